import { useListTimesQuery, useSetup, useWorkshop } from '@/client/store';
import { Card, Choices, Small, Strong } from '@/client/ui';
import type { StartPace, Workshop } from '@/core/workshop';
import { PACE_CHOICE_WORDS as WORDS } from '@/words';

const OPTIONS: readonly { code: StartPace; label: string; hint: string }[] = [
  { code: 'quick', label: WORDS.quick, hint: WORDS.quickHint },
  { code: 'usual', label: WORDS.usual, hint: WORDS.usualHint },
  { code: 'slower', label: WORDS.slower, hint: WORDS.slowerHint },
];

/** What the owner says of their hands: all hours start from it, and own logged times take its place. */
export function PaceChoice({ workshop }: { workshop: Workshop }) {
  const set = useSetup(workshop);
  return (
    <Choices
      label={WORDS.howQuick}
      options={OPTIONS}
      value={workshop.setup.pace}
      onPick={(pace) => set({ pace })}
      tileWidth={96}
    />
  );
}

/** The same as a question, to a shop that has neither said so nor timed anything. */
export function AskPace() {
  const { workshop, known } = useWorkshop();
  const { data: timed } = useListTimesQuery();
  const hasTimes = timed?.some(({ log }) => log.some(({ minutes }) => minutes !== undefined)) ?? true;
  if (!known || workshop.setup.pace !== undefined || hasTimes) return null;
  return (
    <Card gap="$s" role="region" aria-label={WORDS.howQuick}>
      <Strong>{WORDS.howQuick}</Strong>
      <PaceChoice workshop={workshop} />
      <Small>{WORDS.ownTimesReplace}</Small>
    </Card>
  );
}
