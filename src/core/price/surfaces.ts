import { LABEL_CLIMATE } from '../climate';
import { isLeft, type Dossier, type Zone } from '../dossier';
import { DEFAULT_AREA_M2 } from '../knowledge';
import { computeBelief, CREDIBLE, FACETS, STATES, type Belief } from '../survey';
import { pricePlan, priceSurfaces, type PieceCost, type SurfaceCost } from '../systems';

/** What a zone may turn out to be, with its chance and what treating it takes then. */
export interface Surface extends SurfaceCost {
  state: number;
  bleeds: boolean;
  p: number;
}

export interface ZoneSurfaces {
  zone: Zone;
  area: number;
  belief: Belief;
  /** In one order for all zones, so that one chance draws the same surface on each. */
  surfaces: Surface[];
}

/** What is a tenth as likely as the likeliest, or less, is left out of the draws, and so is all beyond so many: fewer where there are many zones. */
const countMost = (zones: number, rough: boolean): number =>
  rough
    ? Math.min(4, Math.max(2, Math.ceil(SOLVED_ROUGH / zones)))
    : Math.min(10, Math.max(3, Math.ceil(SOLVED / zones)));
/** Surfaces solved for a piece, about; and for a first answer in haste. */
const SOLVED = 40;
const SOLVED_ROUGH = 12;

/** The zones of a piece, and what it takes as a whole for one surface of each. */
export interface PieceSurfaces {
  zones: ZoneSurfaces[];
  addUp: (picked: readonly SurfaceCost[]) => PieceCost;
}

type Told = Pick<Dossier, 'piece' | 'zones' | 'goal' | 'shelf' | 'climate' | 'money'>;
interface Known {
  told: Told;
  prices: ReturnType<typeof priceSurfaces>;
  /** In haste, and in full. */
  solved: Map<boolean, PieceSurfaces>;
}
/** What hangs on nothing of the money is worked out once for as long as nothing else changes. */
const KNOWN = new WeakMap<object, Known>();

/**
 * Every zone that is to be treated, with the surfaces it may be and what each would take: each solved once. `rough`: the
 * likeliest few alone. Where nothing is open any more it is the plan that is priced.
 */
export function listSurfaces(dossier: Dossier, rough = false): PieceSurfaces {
  const { piece, zones, goal, shelf, climate, money } = dossier;
  if (!zones) return { zones: [], addUp: () => ({ minutes: 0, materials: 0, consumables: 0 }) };
  const before = KNOWN.get(zones);
  const same = (told: Told): boolean =>
    told.piece === piece &&
    told.goal === goal &&
    told.shelf === shelf &&
    told.climate === climate &&
    told.money?.consumables === money?.consumables;
  const known: Known =
    before && same(before.told)
      ? before
      : {
          told: { piece, zones, goal, shelf, climate, money },
          prices: priceSurfaces(dossier, climate ?? LABEL_CLIMATE),
          solved: new Map(),
        };
  KNOWN.set(zones, known);
  const solved = known.solved.get(rough) ?? solveSurfaces(dossier, known.prices, rough);
  known.solved.set(rough, solved);
  return solved;
}

function solveSurfaces(dossier: Dossier, prices: Known['prices'], rough: boolean): PieceSurfaces {
  const most = countMost(dossier.zones?.length ?? 1, rough);
  const open = (dossier.zones ?? []).flatMap((zone) => {
    if (isLeft(dossier, zone)) return [];
    const belief = computeBelief(dossier, zone);
    const all = [...belief.joint]
      .flatMap((p, state) => splitByBleed(belief, state, p))
      .sort((one, other) => other.p - one.p)
      .slice(0, most);
    const credible = all.filter(({ p }) => p >= CREDIBLE * all[0]!.p);
    const total = credible.reduce((sum, { p }) => sum + p, 0);
    const surfaces = credible.flatMap(({ state, bleeds, p }) => {
      const search = prices.solve(zone, STATES[state]!, bleeds);
      return search ? [{ state, bleeds, p: p / total, search }] : [];
    });
    return [{ zone, area: zone.area_m2 ?? DEFAULT_AREA_M2, belief, surfaces }];
  });
  const solvable = open.filter(({ surfaces }) => surfaces.length > 0);
  const costs = new Map(
    prices
      .choose(
        solvable.map(({ surfaces }) => surfaces.map(({ search }) => search)),
        rough,
      )
      .map((own, z) => [solvable[z]!.zone.id, own]),
  );
  const isSettled = open.every(({ surfaces }) => surfaces.length === 1);
  const plan = isSettled ? pricePlan(dossier) : null;
  const zones = open.map(({ surfaces, ...rest }): ZoneSurfaces => {
    const planned = plan?.zones.get(rest.zone.id) ?? {};
    const priced = surfaces.map(({ state, bleeds, p }, i): Surface => ({
      state,
      bleeds,
      p,
      ...costs.get(rest.zone.id)![i]!,
      ...planned,
    }));
    // In one order, so that one chance draws the same surface on each zone.
    priced.sort((a, b) => a.state - b.state || Number(a.bleeds) - Number(b.bleeds));
    return { ...rest, surfaces: priced };
  });
  return { zones, addUp: plan ? () => plan.whole : prices.addUp };
}

const BLEEDING = FACETS.seep.map(({ bleed }) => bleed === true);

/** Chance of bleeding in a state, by what is known. */
function chanceOfBleed({ facets }: Belief, state: number): number {
  const width = BLEEDING.length;
  return BLEEDING.reduce((sum, bleeds, v) => sum + (bleeds ? facets.seep[state * width + v]! : 0), 0);
}

const splitByBleed = (belief: Belief, state: number, p: number): { state: number; bleeds: boolean; p: number }[] => {
  const bleed = chanceOfBleed(belief, state);
  return [
    { state, bleeds: false, p: p * (1 - bleed) },
    { state, bleeds: true, p: p * bleed },
  ];
};
