import { useMeasures } from '@/client/store';
import { Choices, Column, Heading, Small } from '@/client/ui';
import { nameZone, type Dossier, type Goal } from '@/core/dossier';
import type { Way } from '@/core/systems';
import { formatChance, nameWay, sayWood, WAYS_WORDS } from '@/words';
import { useWays } from './use-ways';

/** Whether to paint at all, for a piece that is likely wood: each way with what it takes and brings. */
export function WaysChoice({ dossier, onPick }: { dossier: Dossier; onPick: (goal: Goal) => void }) {
  const { sayMoney } = useMeasures();
  const told = useWays(dossier);
  if (!told || told.ways.length === 0) return null;
  const { ways, best } = told;
  const hintOf = ({ system, sells, leaves }: Way): string => {
    if (!system) return WAYS_WORDS.noWay;
    const takes = WAYS_WORDS.takes(system.handsOnMin, system.elapsedH, formatChance(system.risk.overall));
    return sells === null || leaves === null
      ? takes
      : `${takes}. ${WAYS_WORDS.brings(sayMoney(sells), sayMoney(leaves))}`;
  };
  return (
    <Column gap="$s" render="section" aria-label={WAYS_WORDS.title}>
      <Heading>{WAYS_WORDS.title}</Heading>
      <Choices
        label={WAYS_WORDS.title}
        tileWidth={220}
        options={ways.map((way, i) => ({
          code: String(i),
          label: [
            nameWay(way, way.zone && nameZone(dossier, way.zone)),
            ...(way === best ? [WAYS_WORDS.best] : []),
          ].join(' · '),
          hint: hintOf(way),
        }))}
        value={String(ways.findIndex(({ wished }) => wished))}
        onPick={(code) => onPick(ways[Number(code)]!.goal)}
      />
      <Small>{`${sayWood(told)} ${best ? WAYS_WORDS.estimate : WAYS_WORDS.noPrice}`}</Small>
    </Column>
  );
}
