import { DEFECT_FACTS, findAnswer, SOLID_WOODS, WAY_FACTORS, WAYS, type DefectCode, type WayCode } from '../knowledge';
import { isLeft, wishOf, type Dossier, type Goal, type Zone } from '../dossier';
import { foreseeSale, tellTraits, type Sale } from '../earned';
import { assessZone } from '../survey';
import { planRecommended, type CoatingSystem } from '../systems';

/** What speaks against showing the wood (common practice). */
export type AgainstWood = { code: 'fault'; defect: DefectCode } | { code: 'mixed_woods' } | { code: 'colour_asked' };

/** One way to make something of a piece that is wood, with what it takes and what it should bring. */
export interface Way {
  way: WayCode;
  /** The zone that is done otherwise than the rest, which is painted; none where all of the wood is. */
  zone?: string;
  /** None where the rules leave no way. */
  system: CoatingSystem | null;
  /** What it should sell for, in the major unit; none where nothing is expected. */
  sells: number | null;
  /** By own sales of such pieces made so; else by what is expected and the usual share of it, an estimate. */
  bySales: boolean;
  /** What is left of that after materials, hands and what a failure would cost by its chance. */
  leaves: number | null;
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

interface WoodZone {
  zone: Zone;
  /** The likeliest wood. */
  wood: string;
  admired: boolean;
}

/**
 * Paint, refresh and refinish side by side for a piece that is likely wood: hands, days, money and chance from the planner's
 * own search, and what it should sell for: by own sales of that kind and ground made that way, else by what its owner expects
 * or its kind sold for painted. `sales`: the shop's, in the major unit. `hourRate`: what an hour is worth. Empty where
 * nothing of it is likely wood.
 */
export function listWays(dossier: Dossier, { sales, hourRate }: { sales: readonly Sale[]; hourRate: number }): Ways {
  const treated = (dossier.zones ?? []).filter((zone) => !isLeft(dossier, zone));
  const woods = treated.flatMap((zone) => readWood(dossier, zone) ?? []);
  if (woods.length === 0) return { ways: [], admired: false, against: [], best: null };
  const areaOf = (zones: readonly Zone[]): number => zones.reduce((sum, { area_m2 = 0.5 }) => sum + area_m2, 0);
  const all = areaOf(treated);
  const tops = woods.filter(({ zone }) => zone.role === 'top');
  const admiredArea = areaOf(woods.filter(({ admired }) => admired).map(({ zone }) => zone));
  const admired = admiredArea >= areaOf(woods.map(({ zone }) => zone)) / 2;
  const priceOf = makePrices(dossier, sales, WAY_FACTORS[admired ? 'admired' : 'plain']);
  const make = (way: WayCode, of: readonly WoodZone[], zone?: string): Way => {
    const wished = woods.every((own) => isWished(dossier, own.zone, of.includes(own) ? way : 'paint'));
    const goal = wishWay(dossier, woods, of, way);
    const system = planRecommended({ ...dossier, goal });
    const shown = way === 'paint' ? [] : of;
    const share = areaOf(shown.map((own) => own.zone)) / all;
    const shownAs = priceOf(way);
    const painted = priceOf('paint');
    const sells = shownAs && painted && share * shownAs.likely + (1 - share) * painted.likely;
    const leaves =
      sells === null || system === null ? null : sells - system.expectedCost - (system.handsOnMin / 60) * hourRate;
    return {
      way,
      ...(zone === undefined ? {} : { zone }),
      system,
      sells,
      bySales: shownAs?.bySales ?? false,
      leaves,
      goal,
      wished,
    };
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

/**
 * What a piece like this sells for, made so: own sales of the kind and ground that were made so, with the typed range at
 * the usual share of it; else that share alone, of what is typed or of what the kind sold for painted.
 */
function makePrices(dossier: Dossier, sales: readonly Sale[], factors: Readonly<Record<WayCode, number>>) {
  const traits = tellTraits(dossier);
  const typed = dossier.money?.sale;
  return (way: WayCode): { likely: number; bySales: boolean } | null => {
    const factor = factors[way];
    const own = sales.some((sale) => sale.kind === traits.kind && sale.ground === traits.ground && sale.way === way);
    if (own) {
      const range = typed && {
        low: typed.low * factor,
        likely: typed.likely * factor,
        high: typed.high * factor,
      };
      return { likely: foreseeSale(sales, { ...traits, way }, range)!.likely, bySales: true };
    }
    if (typed) return { likely: typed.likely * factor, bySales: false };
    const painted = foreseeSale(sales, { ...traits, way: 'paint' });
    return painted && { likely: (painted.likely / factors.paint) * factor, bySales: false };
  };
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
  const liked = zone.observations?.some(
    ({ check, result }) => result !== undefined && findAnswer(check, result)?.liked === true,
  );
  const old = dossier.piece.history?.era === 'before_1940' || dossier.piece.history?.era === '1940_1977';
  const harmed = zone.defects?.some(({ code }) => DEFECT_FACTS[code].on?.[0] === 'wood_veneer');
  const admired =
    chance('oily_tropical_wood', 'tannin_rich_wood') >= LIKELY ||
    (old && chance('open_grain_hardwood') >= LIKELY) ||
    (chance('wood_veneer') >= LIKELY && !harmed && liked === true);
  return { zone, wood: wood.code, admired };
}

function listAgainst(dossier: Dossier, woods: readonly WoodZone[]): AgainstWood[] {
  const faults = new Set(woods.flatMap(({ zone }) => (zone.defects ?? []).map(({ code }) => code)));
  return [
    ...[...faults]
      .filter((code) => DEFECT_FACTS[code].spoilsWood)
      .map((defect): AgainstWood => ({ code: 'fault', defect })),
    ...(new Set(woods.map(({ wood }) => wood)).size > 1 ? [{ code: 'mixed_woods' as const }] : []),
    ...(dossier.goal?.colour !== undefined ? [{ code: 'colour_asked' as const }] : []),
  ];
}
