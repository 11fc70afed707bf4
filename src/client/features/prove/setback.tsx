import { usePlanner } from '@/client/features/planner';
import { useMeasures, useWithShop } from '@/client/store';
import { Column, Small, Strong } from '@/client/ui';
import type { Dossier } from '@/core/dossier';

import { lowerFirst } from '@/core/shared';
import { describeTreatment } from '@/words';

/** After a failure: what is next best for this zone, and what the failure costs in days and money. */
export function Setback({ dossier, zone }: { dossier: Dossier; zone: string }) {
  const shop = useWithShop(dossier);
  const { sayMoney } = useMeasures();
  const { answer: plan } = usePlanner({ kind: 'plan', dossier: shop });
  const best = plan?.systems[0];
  if (!plan) return <Small role="status">Looking for the next best way…</Small>;
  const next = best?.zones.find(({ id }) => id === zone);
  if (!best || !next)
    return <Small>No way is left that the rules allow. Open Choose to see what stands against each.</Small>;
  const taken = dossier.chosen?.figures;
  const lost = countLostHours(dossier, zone);
  const costs = [
    `${sayHours(lost)} of waiting for these strips is lost`,
    ...(taken
      ? [
          sayMore(
            best.elapsedH - taken.elapsed_h,
            best.handsOnMin - taken.hands_on_min,
            best.materialsCost - taken.materials_cost,
            sayMoney,
          ),
        ]
      : []),
  ];
  return (
    <Column gap={2}>
      <Strong>{`Next best: ${lowerFirst(describeTreatment(next.treatment))}`}</Strong>
      <Small>{`What it costs: ${costs.join('; ')}.`}</Small>
    </Column>
  );
}

/** The age of the oldest patch that failed here: as long was waited for nothing. */
const countLostHours = (dossier: Dossier, zone: string): number =>
  Math.max(0, ...(dossier.tests ?? []).filter((test) => test.zone === zone).map(({ age_h }) => age_h ?? 0));

const sayHours = (hours: number): string => (hours < 48 ? `${Math.round(hours)} h` : `${Math.round(hours / 24)} days`);

function sayMore(elapsedH: number, minutes: number, money: number, sayMoney: (value: number) => string): string {
  const say = (value: number, words: string): string => `${words} ${value < 0 ? 'less' : 'more'}`;
  return `against the system taken ${say(elapsedH, sayHours(Math.abs(elapsedH)))} on the calendar, ${say(minutes, `${Math.round(Math.abs(minutes))} min`)} of hands, ${say(money, sayMoney(Math.abs(money)))} for tins`;
}
