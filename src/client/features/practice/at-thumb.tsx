import type { ReactNode } from 'react';
import { MainAction } from '@/client/features/piece-frame';
import { Column } from '@/client/ui';

/** What comes next in an exercise, at the thumb. */
export function AtThumb({ label, children }: { label?: string; children: ReactNode }) {
  return (
    <MainAction>
      <Column
        gap="$s"
        padding="$m"
        alignItems="center"
        backgroundColor="$ground"
        borderTopWidth={1}
        borderColor="$line"
        {...(label ? { render: 'section' as const, 'aria-label': label } : {})}
      >
        {children}
      </Column>
    </MainAction>
  );
}
