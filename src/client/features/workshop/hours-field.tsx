import X from 'lucide-react-native/icons/x';
import { Button, Column, MomentField, Pressed, Row, Small, Strong, useTones } from '@/client/ui';
import type { Hours } from '@/core/schedule';
import { addStretch, findHoursFault, toClock, toStretch, type Stretch } from './hours';
import { HOURS_FIELD_WORDS } from '@/words';

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
        {hours.length === 0 ? <Small flex={1}>{HOURS_FIELD_WORDS.noTime}</Small> : null}
        <Button look="quiet" label={HOURS_FIELD_WORDS.addATimeNamed(label)} onPress={() => onChange(addStretch(hours))}>
          {HOURS_FIELD_WORDS.addATime}
        </Button>
      </Row>
      {hours.map((own, i) => (
        <Row key={i} alignItems="flex-end" gap="$s">
          <MomentField
            label={HOURS_FIELD_WORDS.fromIt}
            kind="time"
            value={own.from}
            onChange={(from) => set(i, { from })}
          />
          <MomentField
            label={HOURS_FIELD_WORDS.to}
            kind="time"
            value={toClock(own.to)}
            onChange={(to) => set(i, { to: toStretch(to) })}
          />
          <Pressed
            aria-label={HOURS_FIELD_WORDS.leaveOutTo(own.from, own.to, label)}
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
  missing: HOURS_FIELD_WORDS.pickWhenItBeginsAndWhen,
  ends_first: HOURS_FIELD_WORDS.itEndsBeforeItBeginsPick,
  overlap: HOURS_FIELD_WORDS.twoTimesLieOverEachOther,
} as const;
