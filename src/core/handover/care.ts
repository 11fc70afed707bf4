import { isLeft, listColours, nameZone, type Dossier } from '../dossier';
import { isCoat, type OperationCode, type ProductClass, type SubstrateCode } from '../knowledge';
import { computeBelief } from '../survey';
import { isFilm } from '../work';
import { listReady, type ReadyItem } from './ready';

/** A coat on some zones, as a buyer is told of it: by its class, never by a brand. */
export interface CoatTold {
  class: ProductClass;
  coats: number;
  zones: string[];
}

/** What is told to whoever takes a piece. */
export interface PieceTold {
  name: string;
  /** From the ground up. */
  coats: CoatTold[];
  /** The colours that were wished for, each with where; none where nobody named one. */
  colours: { colour: string; zones: string[] }[];
  /** What the colour was mixed of, and the mark on the jar. */
  recipe: { name: string; parts: { name: string; parts: number }[] }[];
  touchUp: string | null;
  flaws: string | null;
  /** What has to be said: food, child, lead, tipping. */
  said: ReadyItem['code'][];
  size: { width: number; depth: number; height: number } | null;
  /** What it is made of, as far as it is known well. */
  grounds: SubstrateCode[];
  /** What was done, in order, each once. */
  done: OperationCode[];
}

/** It is told what a face is made of when it is this likely, or its owner said so. */
const WELL_KNOWN = 0.8;

/** What was put on a piece and what is to be said of it, out of its log: nothing is asked twice. */
export function tellPiece(dossier: Dossier, name: string): PieceTold {
  const { piece, goal, mixes = [], handover } = dossier;
  const log = (dossier.log ?? []).filter(({ skipped }) => !skipped);
  const zones = (dossier.zones ?? []).filter((zone) => !isLeft(dossier, zone));
  return {
    name,
    coats: listCoats(dossier, log),
    colours: isNamed(goal)
      ? listColours(dossier).map(({ colour, zones: ids }) => ({
          colour,
          zones: ids.map((id) => nameZone(dossier, id)),
        }))
      : [],
    recipe: mixes.filter(({ kind }) => kind === 'colour').map(({ name: own, parts }) => ({ name: own, parts })),
    touchUp: handover?.touch_up ?? null,
    flaws: handover?.flaws ?? null,
    said: listReady(dossier).flatMap(({ code, told }) => (told ? [code] : [])),
    size: piece.size_mm ?? null,
    grounds: [
      ...new Set(
        zones.flatMap((zone) => {
          const best = computeBelief(dossier, zone).substrate[0];
          return best && (zone.stated?.substrate !== undefined || best.p >= WELL_KNOWN) ? [best.code] : [];
        }),
      ),
    ],
    done: [...new Set(log.map(({ op }) => op))],
  };
}

const isNamed = (goal: Dossier['goal']): boolean =>
  goal?.colour !== undefined || Object.values(goal?.zones ?? {}).some(({ colour }) => colour !== undefined);

/** What went on, coat by coat, with the zones that have it; what was stripped off again is not told. */
function listCoats(dossier: Dossier, log: NonNullable<Dossier['log']>): CoatTold[] {
  const told = new Map<string, Map<ProductClass, number>>();
  for (const { zone, op, class: code, coats = 1 } of log) {
    if (op === 'strip') told.delete(zone);
    if (!isCoat(op) || !isFilm(code)) continue;
    const own = told.get(zone) ?? new Map<ProductClass, number>();
    own.set(code, (own.get(code) ?? 0) + coats);
    told.set(zone, own);
  }
  const groups = new Map<string, CoatTold>();
  for (const [zone, coats] of told)
    for (const [code, count] of coats) {
      const key = `${code}/${count}`;
      const group = groups.get(key) ?? { class: code, coats: count, zones: [] };
      groups.set(key, { ...group, zones: [...group.zones, nameZone(dossier, zone)] });
    }
  return [...groups.values()];
}
