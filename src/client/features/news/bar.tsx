import type { ReactNode } from 'react';
import { Column, Row, Small, Strong } from '@/client/ui';

interface BarProps {
  label: string;
  title: string;
  lines?: readonly string[];
  children: ReactNode;
}

/** Something the owner is told of, with what can be done about it, along the top of whatever is looked at. */
export function Bar({ label, title, lines = [], children }: BarProps) {
  return (
    <Row
      role="region"
      aria-label={label}
      flexWrap="wrap"
      alignItems="center"
      gap="$s"
      backgroundColor="$actTint"
      borderBottomWidth={1}
      borderColor="$line"
      paddingLeft="$l"
      paddingRight="$s"
      paddingVertical="$xs"
    >
      <Column role="status" flexGrow={1} flexShrink={1} flexBasis={220}>
        <Strong>{title}</Strong>
        {lines.map((line) => (
          <Small key={line}>{line}</Small>
        ))}
      </Column>
      <Row gap="$s">{children}</Row>
    </Row>
  );
}
