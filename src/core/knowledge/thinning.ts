import { findCarrier, PRIMER_FACTS, type FILM_FACTS } from './products';
import { SPRAY_FACTS, type SprayFact } from './tools';

/** How a coat is sprayed. Source: common practice, a row of `SPRAY_FACTS`; the label decides. */
export function findSpray(code: keyof typeof FILM_FACTS): SprayFact {
  const carrier = findCarrier(code);
  return SPRAY_FACTS.find(
    ({ classes, carriers }) =>
      (!classes || (classes as readonly string[]).includes(code)) && (!carriers || carriers.includes(carrier)),
  )!;
}

/** By brush and roller most labels allow so much of the paint, where they say anything (common practice). */
const BY_BRUSH_PCT = 10;

/**
 * The most a product may be thinned, % of the paint, 0–100: what its label allows (`labelPct`), else what is usual for a brush,
 * or for a gun; nothing where the class is never thinned, or where a primer is what grips a slick ground.
 */
export function mostThinningPct(
  code: keyof typeof FILM_FACTS,
  { labelPct, gun = false, onSlick = false }: { labelPct?: number | undefined; gun?: boolean; onSlick?: boolean } = {},
): number {
  const usual = findSpray(code).mostThinnerPct;
  if (usual === 0 || (onSlick && code in PRIMER_FACTS)) return 0;
  return labelPct ?? (gun ? usual : Math.min(BY_BRUSH_PCT, usual));
}
