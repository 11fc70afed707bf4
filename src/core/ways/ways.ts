import { SOLID_WOODS, WAY_FACTORS, type DefectCode } from '../knowledge';
import { isLeft, wishOf, type Dossier, type Goal, type Zone } from '../dossier';
import { assessZone } from '../survey';
import { planRecommended, type CoatingSystem } from '../systems';

export const WAYS = ['paint', 'refresh', 'refinish'] as const;
export type WayCode = (typeof WAYS)[number];

/** What speaks against showing the wood (common practice). */
export type AgainstWood = { code: 'fault'; defect: DefectCode } | { code: 'mixed_woods' } | { code: 'colour_asked' };

/** One way to make something of a piece that is wood, with what it takes and what it should bring. */
export interface Way {
  way: WayCode;
  /** The zone that is done otherwise than the rest, which is painted; none where all of the wood is. */
  zone?: string;
  /** None where the rules leave no way. */
  system: CoatingSystem | null;
  /** What it should sell for, in the major unit; none where nothing is expected. An estimate. */
  sells: number | null;
  /** What is left of that after materials, hands and what a failure would cost by its chance. */
  leaves: number | null;
  /** The share of what is expected. */
  factor: number;
  /** The wishes that ask for it, and whether they are the owner's now. */
  goal: Goal;
  wished: boolean;
}

export interface Ways {
  ways: Way[];
  /** The wood is of a kind that is liked as wood. */
  admired: boolean;
  against: AgainstWood[];
  /** The way that leaves most; none where it is not known what the piece brings. */
  best: Way | null;
}

/** More likely than not. */
const LIKELY = 0.5;
/** Faults that wood cannot hide (common practice). */
const SPOIL_WOOD: readonly DefectCode[] = ['burn', 'ink_stain', 'water_damage', 'chipped_veneer', 'thick_paint'];
const VENEER_FAULTS: readonly DefectCode[] = ['chipped_veneer', 'lifting_veneer', 'bubbled_veneer'];
const DARK_WOOD: readonly string[] = ['red_brown', 'dark_brown'];

interface WoodZone {
  zone: Zone;
  /** The likeliest wood. */
  wood: string;
  admired: boolean;
}

/**
 * Paint, refresh and refinish side by side for a piece that is likely wood: hands, days, money and chance from the planner's
 * own search, and what it should sell for. `expected`: what its owner expects for it, in the major unit. `hourRate`: what an
 * hour is worth. Empty where nothing of it is likely wood.
 */
export function listWays(
  dossier: Dossier,
  { expected, hourRate }: { expected?: number | undefined; hourRate: number },
): Ways {
  const treated = (dossier.zones ?? []).filter((zone) => !isLeft(dossier, zone));
  const woods = treated.flatMap((zone) => readWood(dossier, zone) ?? []);
  if (woods.length === 0) return { ways: [], admired: false, against: [], best: null };
  const areaOf = (zones: readonly Zone[]): number => zones.reduce((sum, { area_m2 = 0.5 }) => sum + area_m2, 0);
  const all = areaOf(treated);
  const tops = woods.filter(({ zone }) => zone.role === 'top');
  const admiredArea = areaOf(woods.filter(({ admired }) => admired).map(({ zone }) => zone));
  const admired = admiredArea >= areaOf(woods.map(({ zone }) => zone)) / 2;
  const make = (way: WayCode, of: readonly WoodZone[], zone?: string): Way => {
    const wished = woods.every((own) => isWished(dossier, own.zone, of.includes(own) ? way : 'paint'));
    const goal = wishWay(dossier, woods, of, way);
    const system = planRecommended({ ...dossier, goal });
    const shown = way === 'paint' ? [] : of;
    const share = areaOf(shown.map((own) => own.zone)) / all;
    const kind = WAY_FACTORS[admired ? 'admired' : 'plain'];
    const factor = share * kind[way] + (1 - share) * kind.paint;
    const sells = expected === undefined ? null : expected * factor;
    const leaves =
      sells === null || system === null ? null : sells - system.expectedCost - (system.handsOnMin / 60) * hourRate;
    return { way, ...(zone === undefined ? {} : { zone }), system, sells, leaves, factor, goal, wished };
  };
  const [top] = tops;
  const mixed = top !== undefined && treated.length > tops.length;
  const ways = [
    ...WAYS.map((way) => make(way, woods)),
    ...(mixed ? (['refresh', 'refinish'] as const).map((way) => make(way, tops, top.zone.id)) : []),
  ];
  const told = ways.filter(({ leaves }) => leaves !== null);
  const best = told.reduce<Way | null>((most, way) => (most === null || way.leaves! > most.leaves! ? way : most), null);
  return { ways, admired, against: listAgainst(dossier, woods), best };
}

/** The wishes with one way for some of the wood and paint for the rest of it. */
function wishWay(dossier: Dossier, woods: readonly WoodZone[], of: readonly WoodZone[], way: WayCode): Goal {
  const zones: NonNullable<Goal['zones']> = { ...dossier.goal?.zones };
  for (const own of woods) {
    const { keep: _keep, ...before } = zones[own.zone.id] ?? {};
    const shown = way !== 'paint' && of.includes(own);
    zones[own.zone.id] = { ...before, look: shown ? 'clear' : 'opaque', ...(shown ? { keep: way } : {}) };
  }
  return { ...dossier.goal, zones };
}

function isWished(dossier: Dossier, zone: Zone, way: WayCode): boolean {
  const { look, keep } = wishOf(dossier, zone);
  return way === 'paint' ? look === 'opaque' : look === 'clear' && keep === way;
}

/** A zone that is likely wood, with the kind it likeliest is. */
function readWood(dossier: Dossier, zone: Zone): WoodZone | undefined {
  const { belief } = assessZone(dossier, zone);
  const chance = (...codes: readonly string[]): number =>
    belief.substrate.reduce((sum, { code, p }) => sum + (codes.includes(code) ? p : 0), 0);
  if (chance('wood_veneer', ...SOLID_WOODS) < LIKELY) return undefined;
  const wood = belief.substrate.find(
    ({ code }) => code === 'wood_veneer' || (SOLID_WOODS as readonly string[]).includes(code),
  )!;
  const dark = zone.observations?.some(
    ({ check, result = '' }) => check === 'wood_colour' && DARK_WOOD.includes(result),
  );
  const red = zone.observations?.some(({ check, result }) => check === 'damp_rag' && result === 'red_pink');
  const old = dossier.piece.history?.era === 'before_1940' || dossier.piece.history?.era === '1940_1977';
  const harmed = zone.defects?.some(({ code }) => VENEER_FAULTS.includes(code));
  const admired =
    chance('oily_tropical_wood', 'tannin_rich_wood') >= LIKELY ||
    (old && chance('open_grain_hardwood') >= LIKELY) ||
    (chance('wood_veneer') >= LIKELY && !harmed && (dark === true || red === true));
  return { zone, wood: wood.code, admired };
}

function listAgainst(dossier: Dossier, woods: readonly WoodZone[]): AgainstWood[] {
  const faults = new Set(woods.flatMap(({ zone }) => (zone.defects ?? []).map(({ code }) => code)));
  return [
    ...SPOIL_WOOD.filter((code) => faults.has(code)).map((defect): AgainstWood => ({ code: 'fault', defect })),
    ...(new Set(woods.map(({ wood }) => wood)).size > 1 ? [{ code: 'mixed_woods' as const }] : []),
    ...(dossier.goal?.colour !== undefined ? [{ code: 'colour_asked' as const }] : []),
  ];
}
