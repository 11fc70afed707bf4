import { useId } from 'react';
import { Labelled, tieError } from './labelled';
import { FONT, RADIUS, SPACE, TYPE_SIZE } from './tokens';
import { useIsDark, useTones } from './use-tones';

interface MomentFieldProps {
  label: string;
  /** "2026-12-24", "18:40" or "2026-12-24T18:40", by its kind; empty where nothing is picked. */
  value: string;
  kind?: 'date' | 'time' | 'datetime-local';
  onChange: (value: string) => void;
  error?: string | undefined;
}

/**
 * A day, a time of day, or both: picked with the thumb in the picker of the phone, or typed at a keyboard in the order
 * the owner's own settings have. What is no date cannot be typed.
 */
export function MomentField({ label, value, kind = 'date', onChange, error }: MomentFieldProps) {
  const id = useId();
  const tones = useTones();
  const dark = useIsDark();
  return (
    <Labelled id={id} label={label} error={error}>
      <input
        id={id}
        type={kind}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        {...tieError(id, error)}
        style={{
          minHeight: SPACE.target,
          width: '100%',
          boxSizing: 'border-box',
          border: `1px solid ${error ? tones.stop : tones.softInk}`,
          borderRadius: RADIUS.corner,
          backgroundColor: tones.card,
          color: tones.ink,
          colorScheme: dark ? 'dark' : 'light',
          padding: `0 ${SPACE.m}px`,
          fontFamily: FONT.text,
          fontSize: TYPE_SIZE.text,
        }}
      />
    </Labelled>
  );
}
