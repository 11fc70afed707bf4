import { isOfNow, type Dossier, type ShelfItem } from '../dossier';
import { HAND_FACTS, isCoat, isWholeCoat, OPERATION_FACTS, type HandCode, type HandFact } from '../knowledge';
import { closesAfterH } from '../proof';
import { measureWork } from '../templates';
import { isFilm } from './film-times';
import { matchLog, type Node } from './task-marks';

/** After so many days dust lies on a piece that stood (common practice: weeks). */
const DUSTY_AFTER_D = 14;
const HOUR_MS = 3_600_000;

interface Chain {
  zone: string;
  nodes: Node[];
}

/**
 * The work of a zone with what a rest of weeks asks for before its next coat: dust again, and dull again where the coat has
 * cured or its label's time for the next is over, unless the plan dulls there anyway. `now`: ISO instant.
 */
export function addPauses({ zone, nodes }: Chain, dossier: Dossier, tins: readonly ShelfItem[], now: string): Chain {
  const marks = matchLog(nodes, dossier, zone);
  const next = nodes.findIndex((node) => isWholeCoat(node.step.op) && !marks.has(node.key));
  const last = (dossier.log ?? [])
    .filter((own) => own.zone === zone && isCoat(own.op) && own.at && !own.skipped && isOfNow(dossier, own))
    .sort((a, b) => Date.parse(a.at!) - Date.parse(b.at!))
    .at(-1);
  if (next < 0 || !last || !isFilm(last.class)) return { zone, nodes };
  const restedH = (Date.parse(now) - Date.parse(last.at!)) / HOUR_MS;
  if (restedH < DUSTY_AFTER_D * 24) return { zone, nodes };
  const tin = tins.find(({ id }) => id === last.product);
  const closesH = closesAfterH(tin);
  const coming = nodes.slice(nodes.findLastIndex((node, i) => i < next && isCoat(node.step.op)) + 1, next);
  const dulled = coming.some(({ step, key }) => OPERATION_FACTS[step.op].dulls !== undefined && !marks.has(key));
  const hands: HandCode[] = [...(restedH > closesH && !dulled ? (['dull_again'] as const) : []), 'dust_again'];
  const own = dossier.zones?.find(({ id }) => id === zone);
  const size = own ? measureWork(dossier, own) : { areaM2: 0, edgeM: 0 };
  const before = nodes[next]!;
  // What was done after an earlier rest before the same coat does not count for this one.
  const keyOf = (key: string): string => {
    const isOld = ({ at = now }: { at?: string }): boolean =>
      Date.parse(now) - Date.parse(at) >= DUSTY_AFTER_D * 24 * HOUR_MS;
    const old = (dossier.log ?? []).filter((own) => own.zone === zone && own.task?.startsWith(key) && isOld(own));
    return old.length === 0 ? key : `${key}-${old.length + 1}`;
  };
  const added = hands
    .filter((hand) => !dossier.goal?.without?.includes(hand))
    .map((hand): Node => {
      const { op, once = 0, perM2 = 0, perM = 0, waitH = 0 }: HandFact = HAND_FACTS[hand];
      const minutes = perM2 * size.areaM2 + perM * size.edgeM;
      return {
        key: keyOf(`${before.key}-${hand}`),
        zone,
        coat: 1,
        coats: 1,
        minutes,
        onceMin: once,
        ml: 0,
        waitH,
        step: {
          op,
          name: 'hand',
          hand,
          stage: before.step.stage,
          minutes,
          once_min: once,
          wait_h: waitH,
          why: [{ code: 'hand', hand }],
        },
      };
    });
  return { zone, nodes: [...nodes.slice(0, next), ...added, ...nodes.slice(next)] };
}
