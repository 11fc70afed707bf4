import { usePlanner } from '@/client/features/planner';
import { useMeasures, useWithShop } from '@/client/store';
import { Column, Small, Strong } from '@/client/ui';
import type { Dossier } from '@/core/dossier';

import { lowerFirst } from '@/core/shared';
import { SETBACK_WORDS, describeTreatment } from '@/words';

/** After a failure: what is next best for this zone, and what the failure costs in days and money. */
export function Setback({ dossier, zone }: { dossier: Dossier; zone: string }) {
  const shop = useWithShop(dossier);
  const { sayMoney } = useMeasures();
  const { answer: plan } = usePlanner({ kind: 'plan', dossier: shop });
  const best = plan?.systems[0];
  if (!plan) return <Small role="status">{SETBACK_WORDS.lookingForTheNextBestWay}</Small>;
  const next = best?.zones.find(({ id }) => id === zone);
  if (!best || !next) return <Small>{SETBACK_WORDS.noWayIsLeftThatThe}</Small>;
  const taken = dossier.chosen?.figures;
  const lost = countLostHours(dossier, zone);
  const costs = [
    SETBACK_WORDS.ofWaitingForTheseStripsIs(sayHours(lost)),
    ...(taken
      ? [
          SETBACK_WORDS.againstTaken(
            sayMore(best.elapsedH - taken.elapsed_h, sayHours),
            sayMore(best.handsOnMin - taken.hands_on_min, (minutes) => SETBACK_WORDS.min(Math.round(minutes))),
            sayMore(best.materialsCost - taken.materials_cost, sayMoney),
          ),
        ]
      : []),
  ];
  return (
    <Column gap={2}>
      <Strong>{SETBACK_WORDS.nextBest(lowerFirst(describeTreatment(next.treatment)))}</Strong>
      <Small>{SETBACK_WORDS.whatItCosts(costs.join('; '))}</Small>
    </Column>
  );
}

/** The age of the oldest patch that failed here: as long was waited for nothing. */
const countLostHours = (dossier: Dossier, zone: string): number =>
  Math.max(0, ...(dossier.tests ?? []).filter((test) => test.zone === zone).map(({ age_h }) => age_h ?? 0));

const sayHours = (hours: number): string =>
  hours < 48 ? SETBACK_WORDS.h(Math.round(hours)) : SETBACK_WORDS.days(Math.round(hours / 24));

const sayMore = (difference: number, say: (value: number) => string): string =>
  SETBACK_WORDS.moreOrLess(say(Math.abs(difference)), difference < 0);
