import { useMeasures } from '@/client/store';
import { Choices, Column, Disclosure, Heading, Small } from '@/client/ui';
import { nameZone, type Dossier, type Goal } from '@/core/dossier';
import type { Way, Ways } from '@/core/ways';
import { formatChance, nameWay, sayWood, WAYS_WORDS } from '@/words';
import { useWays } from './use-ways';

interface WaysProps {
  dossier: Dossier;
  onPick: (goal: Goal) => void;
}

/** Whether to paint at all, for a piece that is likely wood. Whoever has said what is wished finds it folded. */
export function WaysChoice({ dossier, onPick }: WaysProps) {
  const told = useWays(dossier);
  if (!told || told.ways.length === 0) return null;
  const list = <WayList dossier={dossier} told={told} onPick={onPick} />;
  if (hasWish(dossier)) return <Disclosure label={WAYS_WORDS.title}>{() => list}</Disclosure>;
  return (
    <Column gap="$s" render="section" aria-label={WAYS_WORDS.title}>
      <Heading>{WAYS_WORDS.title}</Heading>
      {list}
    </Column>
  );
}

/** Somebody has said what is to be made of it. */
const hasWish = ({ goal = {}, chosen }: Dossier): boolean =>
  chosen !== undefined ||
  goal.colour !== undefined ||
  goal.look !== undefined ||
  Object.values(goal.zones ?? {}).some(({ look }) => look !== undefined && look !== 'leave');

/** Each way with what it takes and brings. */
function WayList({ dossier, told, onPick }: WaysProps & { told: Ways }) {
  const { sayMoney } = useMeasures();
  const { ways, best } = told;
  const hintOf = ({ system, sells, leaves, bySales }: Way): string => {
    if (!system) return WAYS_WORDS.noWay;
    const takes = WAYS_WORDS.takes(system.handsOnMin, system.elapsedH, formatChance(system.risk.overall));
    return sells === null || leaves === null
      ? takes
      : `${takes}. ${WAYS_WORDS.brings(sayMoney(sells), sayMoney(leaves), bySales)}`;
  };
  return (
    <Column gap="$s">
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
