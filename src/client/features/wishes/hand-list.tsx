import { Body, Column, Disclosure, Small, Strong, Toggle } from '@/client/ui';
import { nameZone, type Dossier, type Goal } from '@/core/dossier';
import { HAND_FACTS } from '@/core/knowledge';
import { lowerFirst } from '@/core/shared';
import type { HandWork } from '@/core/systems';
import { HAND_LIST_WORDS, sayHand, sayWithoutHand } from '@/words';

interface HandListProps {
  dossier: Dossier;
  hands: readonly HandWork[];
  onChange: (goal: Goal) => void;
}

/** The steps that shape, colours and tool ask for, each with why, and left out by one tap with what that costs. */
export function HandList({ dossier, hands, onChange }: HandListProps) {
  if (hands.length === 0) return null;
  const without = dossier.goal?.without ?? [];
  const set = (next: string[]): void => onChange({ ...dossier.goal, without: next });
  return (
    <Disclosure label={HAND_LIST_WORDS.workOfTheHandEachWith(hands.length)}>
      {() => (
        <Column role="list" gap="$m">
          {hands.map(({ hand, zones, minutes, leftOut }) => (
            <Column key={hand} role="listitem" gap="$xs">
              <Strong>{HAND_FACTS[hand].label}</Strong>
              <Body>{leftOut ? sayWithoutHand(hand) : sayHand(hand)}</Body>
              <Small>
                {HAND_LIST_WORDS.minCommonPractice(
                  minutes,
                  zones.map((id) => lowerFirst(nameZone(dossier, id))).join(', '),
                )}
              </Small>
              <Toggle
                label={HAND_LIST_WORDS.leaveOut(lowerFirst(HAND_FACTS[hand].label))}
                on={leftOut}
                onPress={() => set(leftOut ? without.filter((own) => own !== hand) : [...without, hand])}
              />
            </Column>
          ))}
        </Column>
      )}
    </Disclosure>
  );
}
