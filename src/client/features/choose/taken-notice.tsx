import { Body, Column, Disclosure, Notice, Small, Strong } from '@/client/ui';
import { nameZone, type Choice, type Dossier, type Stack } from '@/core/dossier';
import { labelProduct } from '@/core/knowledge';
import type { Plan } from '@/core/systems';
import { TAKEN_NOTICE_WORDS, describeChance, sayRuledOut } from '@/words';
import { sayDifference } from './difference';
import { useMeasures, useToday } from '@/client/store';
import { sayDate } from '@/client/features/shop-plan';

/** A better system is named only when it is worth this much more, in money. */
const WORTH_NAMING = 3;

/** The system the owner took, with its date: still right, no longer allowed, or overtaken by what is known now. */
export function TakenNotice({ dossier, plan }: { dossier: Dossier; plan: Plan }) {
  const { chosen, earlier_choices: earlier = [] } = dossier;
  const now = useToday();
  const { sayMoney } = useMeasures();
  if (!chosen || !plan.taken) return null;
  const { system, broken } = plan.taken;
  const best = plan.systems[0];
  const day = chosen.at ? sayDate(chosen.at, now) : TAKEN_NOTICE_WORDS.anEarlierDay;
  const versions = TAKEN_NOTICE_WORDS.versionTakenOn(earlier.length + 1, day);
  const name = (id: string): string => nameZone(dossier, id);
  return (
    <Column gap="$s">
      {broken.length > 0 ? (
        <Notice tone="stop" title={TAKEN_NOTICE_WORDS.aRuleNowForbidsIt(versions)}>
          {broken.map(({ zone, finding }) => `${name(zone)}: ${sayRuledOut(finding)}`).join(' ')}
        </Notice>
      ) : system && best && best.totalCost < system.totalCost - WORTH_NAMING ? (
        <Notice tone="wait" title={TAKEN_NOTICE_WORDS.somethingBetterIsKnownNow(versions)}>
          {TAKEN_NOTICE_WORDS.yoursStaysAsItIsAs(
            describeChance(system.risk.overall),
            sayDifference(system, best, sayMoney),
          )}
        </Notice>
      ) : (
        <Notice tone="go" title={versions}>
          {TAKEN_NOTICE_WORDS.nothingThatWasLearnedSinceSpeaks}
        </Notice>
      )}
      <Disclosure label={TAKEN_NOTICE_WORDS.whatWasAssumedThen(earlier.length)}>
        {() => (
          <Column gap="$m">
            {[chosen, ...earlier.toReversed()].map((choice, i) => (
              <Version key={choice.at ?? i} choice={choice} name={name} />
            ))}
          </Column>
        )}
      </Disclosure>
    </Column>
  );
}

function Version({ choice, name }: { choice: Choice; name: (id: string) => string }) {
  const { at, figures, zones, assumes = [] } = choice;
  const now = useToday();
  const { sayMoney } = useMeasures();
  return (
    <Column gap="$xs">
      <Strong>{at ? TAKEN_NOTICE_WORDS.takenOn(sayDate(at, now)) : TAKEN_NOTICE_WORDS.takenEarlier}</Strong>
      {figures ? (
        <Small>
          {TAKEN_NOTICE_WORDS.thenGoesWrongMinOfHands(
            describeChance(figures.risk),
            figures.hands_on_min,
            figures.elapsed_h,
            sayMoney(figures.materials_cost),
          )}
        </Small>
      ) : null}
      {zones.map(({ id, stack }) => (stack ? <Body key={id}>{`${name(id)}: ${sayStack(stack)}`}</Body> : null))}
      {assumes.map((text) => (
        <Small key={text}>{text}</Small>
      ))}
    </Column>
  );
}

function sayStack({ primers, paint, topcoat }: Stack): string {
  const layers = [
    ...primers.map(({ code, coats }) => `${labelProduct(code)}${coats > 1 ? ` ×${coats}` : ''}`),
    ...(paint ? [labelProduct(paint)] : []),
    ...(topcoat === 'none' ? [] : [labelProduct(topcoat)]),
  ];
  return layers.join(', ') || TAKEN_NOTICE_WORDS.leftAsItIs;
}
