import { CLASS_LIMITS, LEAST_CONFIDENCE, toAstmClass, toIsoClass } from '../scales';
import type { LatticeReading, PictureFault } from './lattice';
import type { StripFault, StripReading } from './strips';

/** What is wrong with a picture and what to do about it. */
const FAULT_WORDS: Record<PictureFault | StripFault, string> = {
  no_lattice: 'The cuts are not found. Mark the four outer corners by hand, or take it again nearer and square on.',
  corners_wrong: 'The four corners do not make a square. Put them on the outermost cuts, going round.',
  out_of_frame: 'Part of the lattice or of the paint around it is out of the picture. Take it again from farther away.',
  too_small: 'The lattice is too small in the picture. Take it again nearer.',
  tilted: 'The camera leaned too far. Take it again from straight above.',
  too_dark: 'Too dark to tell paint from ground. Take it again with more light.',
  burnt_out: 'The paint is burnt out to white. Take it again with less light.',
  glare: 'A lamp shines back from the lattice. Take it again with the light from the side.',
  blurred: 'Out of focus. Take it again, a hand farther away or held still.',
  coat_not_seen: 'What surrounds the lattice is not the colour of this coat. Check the corners and the panel.',
  too_alike: 'The coat and what lies under it look too much alike. Read this one by eye.',
  outside: 'A marked part reaches out of the picture. Mark it again.',
  white_burnt: 'The white paper is burnt out. Take it again with less light.',
  white_dark: 'The white paper is too dark. Take it again with more light.',
  white_not_white: 'The paper or the lamp has a strong colour. Use plain printer paper in daylight.',
  noisy: 'Too grainy for small differences of colour. Take it again with more light.',
};

const sayFaults = (faults: readonly (PictureFault | StripFault)[]): string =>
  faults.map((fault) => FAULT_WORDS[fault]).join(' ');

/**
 * How sure the class is, 0–1: the share of a normal error around the reading that lies within its class, less where not
 * all cuts were found; 0 when the picture is not to be used.
 */
export function rateConfidence({ removedPct, errorPct, faults, found }: LatticeReading): number {
  if (faults.length > 0) return 0;
  const severity = toIsoClass(removedPct);
  const low = severity === 0 ? -Infinity : CLASS_LIMITS[severity - 1]!;
  const high = severity === CLASS_LIMITS.length ? Infinity : severity === 0 ? CLEAN_PCT : CLASS_LIMITS[severity]!;
  const inside = normalShare((high - removedPct) / errorPct) - normalShare((low - removedPct) / errorPct);
  return Math.round(inside * Math.min(1, 0.4 + 0.6 * found) * 100) / 100;
}

/** A clean lattice is sure while its error stays below the least flake that is seen, %. */
const CLEAN_PCT = 0.8;

/** Share of a normal distribution below z (Abramowitz and Stegun 26.2.17, error under 7.5e-8). */
function normalShare(z: number): number {
  if (z === Infinity) return 1;
  if (z === -Infinity) return 0;
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z > 0 ? 1 - tail : tail;
}

/** A lattice reading as the open format has it. */
export function reportLattice(reading: LatticeReading) {
  const confidence = rateConfidence(reading);
  const removed = Math.round(reading.removedPct * 10) / 10;
  const doubt =
    confidence < LEAST_CONFIDENCE ? ' It lies close to a limit between two classes: look at it yourself.' : '';
  return {
    removed_pct: removed,
    iso_class: toIsoClass(removed),
    astm: toAstmClass(removed),
    confidence,
    usable: reading.faults.length === 0,
    why:
      sayFaults(reading.faults) ||
      `${removed} % of the lattice is bare, give or take ${reading.errorPct.toFixed(1)}.${doubt}`,
    corners: reading.corners?.map(({ x, y }) => [Math.round(x * 10) / 10, Math.round(y * 10) / 10]) ?? [],
    cells: reading.cells.map((row) => row.map((share) => Math.round(share * 1000) / 1000)),
  };
}

/** Readings of strips as the open format has them. */
export const reportStrips = (readings: readonly StripReading[]) => ({
  strips: readings.map(({ code, deMean, deWorst, noise, faults }) => ({
    code,
    de_mean: Math.round(deMean * 100) / 100,
    de_worst: Math.round(deWorst * 100) / 100,
    usable: faults.length === 0,
    why:
      sayFaults(faults) ||
      `Differences under ${Math.max(LEAST_TOLD, noise).toFixed(1)} cannot be told from one picture.`,
  })),
});

/** Two pictures of the same strip differ by about this much whatever is done (ΔE00; the simulated camera's mean error). */
const LEAST_TOLD = 0.3;
