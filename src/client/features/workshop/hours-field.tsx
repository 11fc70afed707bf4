import X from 'lucide-react-native/icons/x';
import { Button, Column, MomentField, Pressed, Row, Small, Strong, useTones } from '@/client/ui';
import type { Hours } from '@/core/schedule';
import { addStretch, findHoursFault, toClock, toStretch, type Stretch } from './hours';

interface HoursFieldProps {
  label: string;
  hours: readonly Stretch[];
  onChange: (hours: Stretch[]) => void;
}

/** The stretches of a day in which hands are free, each picked by its beginning and its end. */
export function HoursField({ label, hours, onChange }: HoursFieldProps) {
  const tones = useTones();
  const fault = findHoursFault(hours);
  const set = (at: number, part: Partial<Pick<Hours, 'from' | 'to'>>): void =>
    onChange(hours.map((own, i) => (i === at ? { ...own, ...part } : own)));
  return (
    <Column role="group" aria-label={label} gap="$xs">
      <Row alignItems="center" justifyContent="space-between" gap="$s">
        <Strong>{label}</Strong>
        {hours.length === 0 ? <Small flex={1}>no time</Small> : null}
        <Button look="quiet" label={`Add a time, ${label}`} onPress={() => onChange(addStretch(hours))}>
          Add a time
        </Button>
      </Row>
      {hours.map((own, i) => (
        <Row key={i} alignItems="flex-end" gap="$s">
          <MomentField label="from" kind="time" value={own.from} onChange={(from) => set(i, { from })} />
          <MomentField
            label="to"
            kind="time"
            value={toClock(own.to)}
            onChange={(to) => set(i, { to: toStretch(to) })}
          />
          <Pressed
            aria-label={`Leave out ${own.from} to ${own.to}, ${label}`}
            width={48}
            alignItems="center"
            onPress={() => onChange(hours.filter((_, k) => k !== i))}
            {...{ type: 'button' }}
          >
            <X size={20} color={tones.ink} aria-hidden />
          </Pressed>
        </Row>
      ))}
      {fault ? (
        <Small role="alert" color="$stop">
          {FAULTS[fault]}
        </Small>
      ) : null}
    </Column>
  );
}

const FAULTS = {
  missing: 'Pick when it begins and when it ends, or leave it out.',
  ends_first: 'It ends before it begins: pick a later end.',
  overlap: 'Two times lie over each other: join them, or leave one out.',
} as const;
