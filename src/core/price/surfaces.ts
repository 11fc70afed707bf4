import { LABEL_CLIMATE } from '../climate';
import { isLeft, type Dossier, type Zone } from '../dossier';
import { pricePerMl } from '../ledger';
import { computeBelief, CREDIBLE, DEFAULT_AREA_M2, FACETS, STATES, type Belief } from '../survey';
import { priceSurface, type SurfaceCost } from '../systems';

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

type Told = Pick<Dossier, 'piece' | 'zones' | 'goal' | 'shelf' | 'climate'>;
interface Known {
  told: Told;
  price: ReturnType<typeof priceSurface>;
  /** In haste, and in full. */
  zones: Map<boolean, ZoneSurfaces[]>;
}
/** What hangs on nothing of the money is worked out once for as long as nothing else changes. */
const KNOWN = new WeakMap<object, Known>();

/**
 * Every zone that is to be treated, with the surfaces it may be and what each would take: each solved once. `rough`: the
 * likeliest few alone.
 */
export function listSurfaces(dossier: Dossier, rough = false): ZoneSurfaces[] {
  const { piece, zones, goal, shelf, climate } = dossier;
  if (!zones) return [];
  const before = KNOWN.get(zones);
  const same = (told: Told): boolean =>
    told.piece === piece && told.goal === goal && told.shelf === shelf && told.climate === climate;
  const known: Known =
    before && same(before.told)
      ? before
      : {
          told: { piece, zones, goal, shelf, climate },
          price: priceSurface(dossier, climate ?? LABEL_CLIMATE, (tin, code) => pricePerMl(tin, code)),
          zones: new Map(),
        };
  KNOWN.set(zones, known);
  const solved = known.zones.get(rough) ?? solveSurfaces(dossier, known.price, rough);
  known.zones.set(rough, solved);
  return solved;
}

function solveSurfaces(dossier: Dossier, price: Known['price'], rough: boolean): ZoneSurfaces[] {
  const most = countMost(dossier.zones?.length ?? 1, rough);
  return (dossier.zones ?? []).flatMap((zone): ZoneSurfaces[] => {
    if (isLeft(dossier, zone)) return [];
    const belief = computeBelief(dossier, zone);
    const all = [...belief.joint]
      .flatMap((p, state) => splitByBleed(belief, state, p))
      .sort((one, other) => other.p - one.p)
      .slice(0, most);
    const open = all.filter(({ p }) => p >= CREDIBLE * all[0]!.p);
    const total = open.reduce((sum, { p }) => sum + p, 0);
    const surfaces = open.flatMap(({ state, bleeds, p }): Surface[] => {
      const cost = price(zone, STATES[state]!, bleeds);
      return cost ? [{ state, bleeds, p: p / total, ...cost }] : [];
    });
    surfaces.sort((a, b) => a.state - b.state || Number(a.bleeds) - Number(b.bleeds));
    return [{ zone, area: zone.area_m2 ?? DEFAULT_AREA_M2, belief, surfaces }];
  });
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
