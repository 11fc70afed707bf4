import {
  estimateContrastRatio,
  isPaint,
  GROUND_COLOURS,
  OLD_PAINT_COLOUR,
  FINISH_FACTS,
  PRIMER_FACTS,
  leavesBare,
  type PrepCode,
} from '../knowledge';
import { compareTints, forecastCover, MOST_COATS, type Coat, type PrimerTint } from '../film';
import type { Ground } from './ground';
import { isOffered, type Product } from './product';
import type { PrimerCoats } from './surface-state';

export interface Cover {
  /** Coats of paint: enough to hide the ground, and at least two for the film to wear. */
  coats: number;
  /** Tint of the primer that costs the fewest coats; none without a pigmented primer. */
  tint: PrimerTint | null;
  /** Coats under a white primer, where another tint saves some. */
  whiteCoats?: number;
  /** Even the most coats leave the ground visible. */
  shows: boolean;
}

const LEAST_COATS = 2;
const CACHE = new Map<string, Cover>();

/** How many coats of one colour hide another that is sound and dry; the film under them wears already, so one may do. */
export function forecastOver(under: string, colour: string, contrastRatio: number): Pick<Cover, 'coats' | 'shows'> {
  const key = [under, colour, contrastRatio, 'over'].join('|');
  const { coats } = forecastCover(under, [], { colour, contrastRatio });
  const known = CACHE.get(key) ?? { coats: Math.min(MOST_COATS, coats), tint: null, shows: coats > MOST_COATS };
  CACHE.set(key, known);
  return known;
}

/** How many coats of paint this ground, prep and primer ask for, and the primer tint that makes it fewest. An estimate. */
export function forecastCoats(
  ground: Ground,
  prep: PrepCode,
  primers: readonly PrimerCoats[],
  contrastRatio: number,
): Cover {
  const paint = { colour: ground.colour, contrastRatio };
  const under = findGroundColour(ground, prep);
  const pigmented = primers.filter(({ code }) => !PRIMER_FACTS[code].clear);
  const key = [paint.colour, contrastRatio, under, ...pigmented.map(({ code, coats }) => `${code}${coats}`)].join('|');
  const known = CACHE.get(key) ?? workOut(under, pigmented, paint);
  CACHE.set(key, known);
  return known;
}

function workOut(under: string, primers: readonly PrimerCoats[], paint: Coat): Cover {
  const total = primers.reduce((sum, { coats }) => sum + coats, 0);
  if (total === 0) return limit(forecastCover(under, [], paint).coats, null);
  const hiding = Math.max(...primers.map(({ code }) => PRIMER_FACTS[code].hiding));
  const tints = compareTints(under, total, hiding, paint);
  // A tint that saves no coat beyond the least is not worth asking for.
  const white = tints.find(({ tint }) => tint === 'white')!;
  const best = Math.max(white.coats, LEAST_COATS) > Math.max(tints[0]!.coats, LEAST_COATS) ? tints[0]! : white;
  const cover = limit(best.coats, best.tint);
  return best === white ? cover : { ...cover, whiteCoats: Math.min(MOST_COATS, white.coats) };
}

const limit = (coats: number, tint: PrimerTint | null): Cover => ({
  coats: Math.min(MOST_COATS, Math.max(LEAST_COATS, coats)),
  tint,
  shows: coats > MOST_COATS,
});

/** Colour of what the first coat lies on: the old paint if it stays, else the material. Typical, not measured. */
function findGroundColour(ground: Ground, prep: PrepCode): string {
  const top = ground.states.reduce((best, state) => (state.p > best.p ? state : best));
  const stays = !leavesBare(prep);
  return stays && FINISH_FACTS[top.finish].opaque ? OLD_PAINT_COLOUR : GROUND_COLOURS[top.substrate];
}

/** How well each paint of its colour that may be used here hides. */
export const listContrasts = ({ colour }: Ground, products: readonly Product[]): number[] => [
  ...new Set(
    products
      .filter((product) => isPaint(product.class) && isOffered(product, colour))
      .map((product) => contrastOf(product, colour)),
  ),
];

/** The far side as a face of its own, where it has a colour of its own on the primer. */
export const listFarSide = (ground: Ground): Ground[] =>
  ground.second?.lies === 'far_side' ? [{ ...ground, colour: ground.second.colour }] : [];
export const contrastOf = ({ contrastRatio }: Product, colour: string): number =>
  contrastRatio ?? estimateContrastRatio(colour);
