import { Body, Column, Disclosure, Small, Strong } from '@/client/ui';
import { lowerFirst, describeChance } from '@/core/shared';
import { nameZone, type Dossier } from '@/core/dossier';
import { findCheck } from '@/core/knowledge';
import type { TurningPoint } from '@/core/systems';
import { sayFact, sayThen } from '@/words';
import { usePlanner } from '@/client/features/planner';
import { useMeasures } from '@/client/store';

/** The two or three facts the plan hangs on most. */
export function TurningPoints({ dossier }: { dossier: Dossier }) {
  return <Disclosure label="What would change this?">{() => <OpenTurningPoints dossier={dossier} />}</Disclosure>;
}

function OpenTurningPoints({ dossier }: { dossier: Dossier }) {
  const { sayMoney } = useMeasures();
  const { answer, fresh } = usePlanner({ kind: 'turning_points', dossier });
  if (!answer || !fresh) return <Small role="status">Planning again with each open question answered …</Small>;
  if (answer.length === 0) return <Body>Nothing that is still open would change it.</Body>;
  const name = (id: string): string => nameZone(dossier, id);
  return (
    <Column role="list" gap="$m">
      {answer.map((point) => (
        <Column key={`${point.zone}${sayFact(point.fact)}`} role="listitem">
          <Strong>{`${name(point.zone)}: ${lowerFirst(sayFact(point.fact))} (${describeChance(point.p)})`}</Strong>
          <Body>{`Best would then be: ${sayThen(point.then)}; ${saySaving(point, sayMoney)}.`}</Body>
          {point.check ? (
            <Small>{`To find out: ${lowerFirst(findCheck(point.check)?.title ?? point.check)}`}</Small>
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
    Math.abs(amount) < 1 ? '' : `${Math.abs(Math.round(amount))} ${unit} ${amount > 0 ? 'less' : 'more'}`;
  const parts = [say(hours, 'h of waiting'), say(minutes, 'min of hands')].filter(Boolean);
  const worth = `worth about ${sayMoney(Math.abs(money))} ${money > 0 ? 'saved' : 'more'} in all`;
  return [...parts, worth].join(', ');
}
