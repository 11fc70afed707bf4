import { Body, Column, Disclosure, Small, Strong } from '@/client/ui';
import { lowerFirst } from '@/core/shared';
import { nameZone, type Dossier } from '@/core/dossier';
import { findCheck } from '@/core/knowledge';
import type { TurningPoint } from '@/core/systems';
import { TURNING_POINTS_WORDS, describeChance, sayFact, sayThen } from '@/words';
import { usePlanner } from '@/client/features/planner';
import { useMeasures } from '@/client/store';

/** The two or three facts the plan hangs on most. */
export function TurningPoints({ dossier }: { dossier: Dossier }) {
  return (
    <Disclosure label={TURNING_POINTS_WORDS.whatWouldChangeThis}>
      {() => <OpenTurningPoints dossier={dossier} />}
    </Disclosure>
  );
}

function OpenTurningPoints({ dossier }: { dossier: Dossier }) {
  const { sayMoney } = useMeasures();
  const { answer, fresh } = usePlanner({ kind: 'turning_points', dossier });
  if (!answer || !fresh) return <Small role="status">{TURNING_POINTS_WORDS.planningAgainWithEachOpenQuestion}</Small>;
  if (answer.length === 0) return <Body>{TURNING_POINTS_WORDS.nothingThatIsStillOpenWould}</Body>;
  const name = (id: string): string => nameZone(dossier, id);
  return (
    <Column role="list" gap="$m">
      {answer.map((point) => (
        <Column key={`${point.zone}${sayFact(point.fact)}`} role="listitem">
          <Strong>{`${name(point.zone)}: ${lowerFirst(sayFact(point.fact))} (${describeChance(point.p)})`}</Strong>
          <Body>
            {(point.saves.money < 0 ? TURNING_POINTS_WORDS.moreWouldBeWanted : TURNING_POINTS_WORDS.bestWouldThenBe)(
              sayThen(point.then),
              saySaving(point, sayMoney),
            )}
          </Body>
          {point.check ? (
            <Small>{TURNING_POINTS_WORDS.toFindOut(lowerFirst(findCheck(point.check)?.title ?? point.check))}</Small>
          ) : null}
        </Column>
      ))}
    </Column>
  );
}

function saySaving(
  { saves: { hours, minutes, money } }: Pick<TurningPoint, 'saves'>,
  sayMoney: (sum: number) => string,
): string {
  const say = (amount: number, unit: string): string =>
    Math.abs(amount) < 1
      ? ''
      : `${Math.abs(Math.round(amount))} ${unit} ${amount > 0 ? TURNING_POINTS_WORDS.less : TURNING_POINTS_WORDS.more}`;
  const parts = [say(hours, TURNING_POINTS_WORDS.hOfWaiting), say(minutes, TURNING_POINTS_WORDS.minOfHands)].filter(
    Boolean,
  );
  const worth = TURNING_POINTS_WORDS.worthAboutInAll(sayMoney(Math.abs(money)), money);
  return [...parts, worth].join(', ');
}
