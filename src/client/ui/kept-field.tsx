import { useState } from 'react';
import { Field } from './field';

interface KeptFieldProps {
  label: string;
  value: string | undefined;
  /** The most characters; more cannot be typed. */
  most: number;
  /** The text without spaces around it; nothing where it was emptied. */
  onSet: (text: string | undefined) => void;
  placeholder?: string;
  /** Said where it is empty and must not be: then it stays as it was. */
  needed?: string;
}

/** A line of text that is kept when it is left. */
export function KeptField({ label, value = '', most, onSet, placeholder, needed }: KeptFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? value;
  const next = text.trim();
  const missing = needed !== undefined && next === '';
  const keep = (): void => {
    if (missing) return;
    setTyped(null);
    if (next !== value) onSet(next === '' ? undefined : next);
  };
  return (
    <Field
      label={label}
      value={text}
      onChange={(own) => setTyped(own.slice(0, most))}
      onBlur={keep}
      error={missing ? needed : undefined}
      {...(placeholder ? { placeholder } : {})}
    />
  );
}
