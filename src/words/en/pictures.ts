import {
  rateConfidence,
  type ColourReading,
  type DrawDownReading,
  type LatticeReading,
  type PictureFault,
  type PartFault,
  type GrainReading,
  type RepeatReading,
  type ShineReading,
  type StripReading,
} from '@/core/photo';
import { LEAST_CONFIDENCE, toAstmClass, toIsoClass } from '@/core/proof';
import { sayDecimal } from './numbers';

/** What is wrong with a picture and what to do about it. */
const FAULT_WORDS: Record<PictureFault | PartFault, string> = {
  no_lattice: 'The cuts are not found. Mark the four outer corners by hand, or take it again nearer and square on.',
  corners_wrong: 'The four corners do not make a square. Put them on the outermost cuts, going round.',
  out_of_frame: 'Part of the lattice or of the paint around it is out of the picture. Take it again from farther away.',
  too_small: 'What is to be read is too small in the picture. Take it again nearer.',
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
  not_even: 'What is marked is not of one colour. Mark a smaller, even part.',
  no_grey:
    'What is marked as grey card is none: it is too dark or too pale beside the paper. Leave it out, or mark it again.',
  halves_swapped: 'Over black it is paler than over white: the two halves are marked the wrong way round.',
  noisy: 'Too grainy for small differences of colour. Take it again with more light.',
};

const sayFaults = (faults: readonly (PictureFault | PartFault)[]): string =>
  faults.map((fault) => FAULT_WORDS[fault]).join(' ');

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
      `${removed} % of the lattice is bare, give or take ${sayDecimal(reading.errorPct, 1)}.${doubt}`,
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
      `Differences under ${sayDecimal(Math.max(LEAST_TOLD, noise), 1)} cannot be told from one picture.`,
  })),
});

/** Two pictures of the same strip differ by about this much whatever is done (ΔE00; the simulated camera's mean error). */
const LEAST_TOLD = 0.3;

/** A colour read from a photograph. */
export const reportColour = ({ lab, colour, spread, faults }: ColourReading) => ({
  lab,
  colour,
  usable: faults.length === 0,
  why: sayFaults(faults) || `Even to ΔE00 ${sayDecimal(spread, 1)}. A phone is good to about 3 to 5.`,
});

/** How well a coat hides, read from a photograph of its draw-down. */
export const reportDrawDown = ({ contrastRatio, error, faults }: DrawDownReading) => ({
  contrast_ratio: Math.round(contrastRatio * 1000) / 1000,
  usable: faults.length === 0,
  why: sayFaults(faults) || `Give or take ${sayDecimal(Math.max(LEAST_RATIO_ERROR, 2 * error), 2)}.`,
});
/** The simulated camera's own error of a contrast ratio. */
const LEAST_RATIO_ERROR = 0.01;

/** What a picture of a face shows of its pattern. */
export function sayRepeat({ answer, repeat, likeness }: RepeatReading): string {
  if (answer === 'repeats' && repeat)
    return `The pattern comes again after ${Math.round(repeat.length * 100)} % of the picture’s longer side, alike to ${Math.round(likeness * 100)} %.`;
  return answer === 'plain_colour' ? 'There is no pattern to be seen.' : 'Nothing comes again within the picture.';
}

/** What two pictures with the phone's lamp show of a film's shine. */
export const sayShine = ({ bright, radius }: ShineReading): string =>
  radius === 0
    ? 'The lamp leaves no spot that moves with the phone.'
    : `The lamp's spot moves with the phone; it is ${Math.round(radius * 200)} % of the picture wide and ${Math.round(Math.exp(bright) * 10) / 10} times as bright as the film.`;

/** What a picture in side light shows of pores and grain. */
export function sayGrain({ answer, alongDeg, aligned, density }: GrainReading): string {
  if (answer === null) return 'Neither grain nor pores are to be seen: nothing is proposed.';
  const runs =
    aligned < 0.3 ? 'No one way of the grain is seen' : `The grain runs at ${Math.round(alongDeg)}° across the picture`;
  return density === 0
    ? `${runs}; no pores stand out.`
    : `${runs}; about ${Math.max(1, Math.round(density * 100))} % of the face is ${answer === 'seen_not_felt' ? 'dark strokes without a bright flank' : 'grooves'}.`;
}
