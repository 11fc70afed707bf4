import { useId } from 'react';
import { TextInput } from 'react-native';
import { Labelled, tieError } from './labelled';
import { FONT, RADIUS, SPACE, TYPE_SIZE } from './tokens';
import { useTones } from './use-tones';

interface FieldProps {
  label: string;
  value: string;
  onChange: (text: string) => void;
  onBlur?: () => void;
  error?: string | undefined;
  unit?: string;
  numeric?: boolean;
  multiline?: boolean;
  hideLabel?: boolean;
  inputId?: string;
  placeholder?: string;
}

/** A labelled text field. An error names the cure and is tied to the field for screen readers. */
export function Field({
  label,
  value,
  onChange,
  onBlur,
  error,
  unit,
  numeric,
  multiline,
  hideLabel,
  inputId,
  placeholder,
}: FieldProps) {
  const generated = useId();
  const id = inputId ?? generated;
  const tones = useTones();
  return (
    <Labelled id={id} label={hideLabel ? undefined : unit ? `${label}, ${unit}` : label} error={error}>
      <TextInput
        id={id}
        value={value}
        onChangeText={onChange}
        onBlur={onBlur}
        multiline={multiline ?? false}
        placeholder={placeholder}
        placeholderTextColor={tones.softInk}
        inputMode={numeric ? 'decimal' : 'text'}
        aria-label={hideLabel ? label : undefined}
        {...tieError(id, error)}
        style={{
          minHeight: SPACE.target,
          width: '100%',
          borderWidth: 1,
          borderColor: error ? tones.stop : tones.softInk,
          borderRadius: RADIUS.corner,
          backgroundColor: tones.card,
          color: tones.ink,
          paddingHorizontal: SPACE.m,
          paddingVertical: multiline ? SPACE.m : 0,
          fontFamily: FONT.text,
          fontSize: TYPE_SIZE.text,
        }}
      />
    </Labelled>
  );
}
