import type { ReactNode } from 'react';
import { Column } from './layout';
import { Small, Strong } from './text';

interface LabelledProps {
  id: string;
  /** Left out where the field names itself to screen readers only. */
  label?: string | undefined;
  error?: string | undefined;
  children: ReactNode;
}

/** The label of a field, for what belongs to it besides. */
export const labelId = (id: string): string => `${id}-label`;
const errorId = (id: string): string => `${id}-error`;

/** A field under its label; an error names the cure below it. */
export function Labelled({ id, label, error, children }: LabelledProps) {
  return (
    <Column width="100%" flexShrink={1} gap="$xs">
      {label === undefined ? null : (
        <Strong id={labelId(id)} render="label" {...{ htmlFor: id }}>
          {label}
        </Strong>
      )}
      {children}
      {error ? (
        <Small id={errorId(id)} role="alert" color="$stop">
          {error}
        </Small>
      ) : null}
    </Column>
  );
}

/** What ties a field to its error for screen readers. */
export const tieError = (id: string, error: string | undefined) =>
  error ? ({ 'aria-invalid': true, 'aria-describedby': errorId(id) } as const) : {};
