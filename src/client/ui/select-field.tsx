import { useId } from 'react';
import { Labelled } from './labelled';
import { FONT, RADIUS, SPACE, TYPE_SIZE } from './tokens';
import { useTones } from './use-tones';

interface SelectFieldProps {
  label: string;
  value: string;
  options: readonly { code: string; label: string }[];
  onPick: (code: string) => void;
}

/** One of many: the picker of the phone, or the list of the browser, in which a letter typed finds its place. */
export function SelectField({ label, value, options, onPick }: SelectFieldProps) {
  const id = useId();
  const tones = useTones();
  return (
    <Labelled id={id} label={label}>
      <select
        id={id}
        value={value}
        onChange={(event) => onPick(event.target.value)}
        style={{
          minHeight: SPACE.target,
          width: '100%',
          border: `1px solid ${tones.softInk}`,
          borderRadius: RADIUS.corner,
          backgroundColor: tones.card,
          color: tones.ink,
          padding: `0 ${SPACE.m}px`,
          fontFamily: FONT.text,
          fontSize: TYPE_SIZE.text,
        }}
      >
        {options.map(({ code, label: words }) => (
          <option key={code} value={code}>
            {words}
          </option>
        ))}
      </select>
    </Labelled>
  );
}
