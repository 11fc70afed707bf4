import { computeDeltaE00 } from '../colour';
import { estimateNoise, levelPicture, mean, meanOf, type PartFault, type Rect } from './parts';
import { quantile, type Pixels } from './pixels';

export interface StripsOptions {
  /** White paper in the frame. */
  white: Rect;
  /** The same coats on bare card: what the strips are held against. */
  reference: Rect;
  strips: readonly { code: string; rect: Rect }[];
}

export interface StripReading {
  code: string;
  /** Mean ΔE00 of the strip's tiles against the reference. */
  deMean: number;
  /** ΔE00 that 19 of 20 tiles stay under: the worst spot without the noise of a single tile. */
  deWorst: number;
  /** What the noise of this one picture alone would show, ΔE00. */
  noise: number;
  faults: PartFault[];
}

const WORST_SHARE = 0.95;
/** Above this the noise of one picture hides what is looked for, ΔE00. */
export const MOST_NOISE = 0.6;

/** How far each strip's colour is from the reference patch in the same picture, tile by tile in CIELAB (`levelPicture`). */
export function readStrips(pixels: Pixels, { white, reference, strips }: StripsOptions): StripReading[] {
  const { faults, parts, gains } = levelPicture(pixels, white, [reference, ...strips.map(({ rect }) => rect)]);
  const [card, ...read] = parts;
  const common = [...faults, ...card!.faults];
  if (card!.labs.length === 0) return strips.map(({ code }) => refuse(code, common));
  const fresh = meanOf(card!.labs);
  return read.map((part, i): StripReading => {
    const { code } = strips[i]!;
    if (part.faults.length > 0) return refuse(code, [...common, ...part.faults]);
    const differences = part.labs.map((lab) => computeDeltaE00(lab, fresh));
    const noise = estimateNoise([...part.tiles, ...card!.tiles], gains);
    return {
      code,
      deMean: mean(differences),
      deWorst: quantile(differences, WORST_SHARE),
      noise,
      faults: [...common, ...(noise > MOST_NOISE ? (['noisy'] as const) : [])],
    };
  });
}

const refuse = (code: string, faults: readonly PartFault[]): StripReading => ({
  code,
  deMean: 0,
  deWorst: 0,
  noise: 0,
  faults: [...new Set(faults)],
});
