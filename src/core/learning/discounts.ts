import {
  SOLID_WOODS,
  PREP_FACTS,
  type FinishCode,
  type PrepCode,
  type SubstrateCode,
  type PrepGroup,
} from '../knowledge';

/*
 * How much a reading says about something near what was tested. Each discount has a share, what one reading counts,
 * and a cap, what any number of them count together at most: however often a neighbour was tested, it stays another
 * thing. Estimates, chosen on simulated shops (`simulate.ts`): their test checks that intervals built with these hold
 * what they promise and that pooling ranks better than not pooling.
 */
export interface Discount {
  share: number;
  cap: number;
}

export const DISCOUNTS = {
  /** The same product on the same surface. */
  same: { share: 1, cap: Infinity },
  /** Another product of the same class on the same surface. */
  sameClass: { share: 0.5, cap: 4 },
  /** The same product or class on a neighbouring surface. */
  neighbour: { share: 0.3, cap: 2.5 },
} as const satisfies Record<string, Discount>;
export type Nearness = keyof typeof DISCOUNTS;

/**
 * What was expected of a treatment before any reading counts as much as this many patches (estimate). Products of one
 * class differ widely, so the class says little of the tin in hand: by common practice two patches that failed end a
 * primer on that surface, and with two a chance to hold of 49 in 50 falls below one in two.
 */
export const PRIOR_COUNT = 2;
/** A piece that came through three months of use, or came back, says as much as this many patches (estimate). */
export const SERVICE_WEIGHT = 2;

export const groupPrep = (prep: PrepCode): PrepGroup => PREP_FACTS[prep].group;

export interface Surface {
  substrate: SubstrateCode;
  finish: FinishCode;
}

const SLICK_FACES: readonly SubstrateCode[] = ['hpl_laminate', 'melamine_board', 'thermofoil', 'paper_foil'];
const CLEAR_COATS: readonly FinishCode[] = ['shellac', 'nitro_lacquer', 'varnish_oil', 'waterborne_clear'];
const OLD_PAINTS: readonly FinishCode[] = ['latex_paint', 'mineral_paint', 'alkyd_paint'];
const BLEEDERS: readonly SubstrateCode[] = [
  'tannin_rich_wood',
  'open_grain_hardwood',
  'wood_veneer',
  'oily_tropical_wood',
];

/** No colour comes out of a board or a foil: that none came through there says nothing of a primer. */
export const mayBleed = ({ substrate }: Surface): boolean =>
  (SOLID_WOODS as readonly SubstrateCode[]).includes(substrate) ||
  substrate === 'wood_veneer' ||
  substrate === 'plywood';

/**
 * How near a surface is to another. For grip it is the coat that counts: the same coat on another wood, or another slick
 * face. For bleed it is the wood: the same wood under another coat, or another wood that bleeds alike.
 */
export function compareSurfaces(mode: 'adhesion' | 'bleed', one: Surface, other: Surface): 'same' | 'neighbour' | null {
  if (one.substrate === other.substrate && one.finish === other.finish) return 'same';
  if (mode === 'bleed') {
    return one.substrate === other.substrate || areBoth(BLEEDERS, one.substrate, other.substrate) ? 'neighbour' : null;
  }
  if (one.finish === 'factory_film' || other.finish === 'factory_film') {
    return one.finish === other.finish && areBoth(SLICK_FACES, one.substrate, other.substrate) ? 'neighbour' : null;
  }
  if (one.finish === 'bare' || other.finish === 'bare') return null;
  const alike =
    one.finish === other.finish ||
    areBoth(CLEAR_COATS, one.finish, other.finish) ||
    areBoth(OLD_PAINTS, one.finish, other.finish);
  return alike ? 'neighbour' : null;
}

const areBoth = <T>(list: readonly T[], one: T, other: T): boolean => list.includes(one) && list.includes(other);
