import { useId } from 'react';
import { TextInput } from 'react-native';
import { Labelled, labelId, tieError } from './labelled';
import { Pressed, Row } from './layout';
import { stepBy } from './step-by';
import { Strong } from './text';
import { FONT, RADIUS, SPACE, TYPE_SIZE } from './tokens';
import { useTones } from './use-tones';
import { FIELD_WORDS } from '@/words';

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
  /** Not shown while it is typed, and never offered again as what was typed before. */
  secret?: boolean;
  /** With it a number is also set by two buttons, by so much a press, between `least` and `most`. */
  step?: number;
  least?: number;
  most?: number;
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
  secret = false,
  step,
  least,
  most,
}: FieldProps) {
  const generated = useId();
  const id = inputId ?? generated;
  const tones = useTones();
  const press = (by: number): void => onChange(stepBy(value, by, least, most));
  const stepWithArrows = (event: { nativeEvent: { key: string }; preventDefault: () => void }): void => {
    const by = { ArrowUp: step, ArrowDown: step && -step }[event.nativeEvent.key];
    if (!by) return;
    event.preventDefault();
    press(by);
  };
  return (
    <Labelled id={id} label={hideLabel ? undefined : unit ? `${label}, ${unit}` : label} error={error}>
      <Row gap="$xs">
        {step ? <Stepper id={id} label={FIELD_WORDS.less} sign="−" onPress={() => press(-step)} /> : null}
        <TextInput
          id={id}
          value={value}
          onChangeText={onChange}
          onBlur={onBlur}
          {...(step ? { onKeyPress: stepWithArrows } : {})}
          multiline={multiline ?? false}
          {...(secret ? { secureTextEntry: true, autoComplete: 'current-password' as const } : {})}
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
            ...(step ? { flex: 1, textAlign: 'center' as const } : {}),
          }}
        />
        {step ? <Stepper id={id} label={FIELD_WORDS.more} sign="+" onPress={() => press(step)} /> : null}
      </Row>
    </Labelled>
  );
}

interface StepperProps {
  id: string;
  label: string;
  sign: string;
  onPress: () => void;
}

/** For the thumb: at a keyboard the arrows do the same in the field itself, so it is no stop of its own. */
function Stepper({ id, label, sign, onPress }: StepperProps) {
  return (
    <Pressed
      width="$target"
      alignItems="center"
      aria-label={label}
      aria-describedby={labelId(id)}
      tabIndex={-1}
      onPress={onPress}
      {...{ type: 'button' }}
    >
      <Strong>{sign}</Strong>
    </Pressed>
  );
}
