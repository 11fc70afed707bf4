import type { ReactNode } from 'react';
import { Column, Row, Title } from '@/client/ui';

/** Header of a screen of the whole shop: its name, with what stands before it and after. */
export function ShopHeader({ title, before, children }: { title: string; before?: ReactNode; children?: ReactNode }) {
  return (
    <Column render="header" borderBottomWidth={1} borderColor="$line">
      <Row
        width="100%"
        maxWidth={1212}
        alignSelf="center"
        alignItems="center"
        paddingHorizontal="$l"
        minHeight={64}
        gap="$m"
      >
        {before}
        <Title flex={1}>{title}</Title>
        {children}
      </Row>
    </Column>
  );
}
