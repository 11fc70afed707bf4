import { computeLuminance } from '../colour';
import { levelPicture, mean, type PartFault, type Rect } from './parts';
import { median, type Pixels } from './pixels';

export interface DrawDownOptions {
  /** Bare white of the card. */
  white: Rect;
  /** The coat over the black of the card, and over its white. */
  overBlack: Rect;
  overWhite: Rect;
}

export interface DrawDownReading {
  /** Luminance over black against that over white, 0–1; 0.98 is called hiding (ISO 6504-3). */
  contrastRatio: number;
  /** What the noise and the unevenness of this one picture leave open. */
  error: number;
  faults: PartFault[];
}

/** Over black a coat is never paler than over white by more than a reading is off. */
const TOO_PALE = 1.03;

/** How well one coat hides, from a photograph of a draw-down on a black-and-white card. */
export function readDrawDown(pixels: Pixels, { white, overBlack, overWhite }: DrawDownOptions): DrawDownReading {
  const { faults, parts } = levelPicture(pixels, white, [overBlack, overWhite]);
  const [black, pale] = parts;
  const all = [...new Set([...faults, ...black!.faults, ...pale!.faults])];
  if (black!.lights.length === 0 || pale!.lights.length === 0) return { contrastRatio: 0, error: 0, faults: all };
  const [dark, light] = [black!, pale!].map(({ lights }) => lights.map(computeLuminance)) as [number[], number[]];
  const ratio = median(dark) / median(light);
  const errorOf = (values: readonly number[]): number => {
    const middle = mean(values);
    const variance = mean(values.map((own) => (own / middle - 1) ** 2));
    return Math.sqrt(variance / values.length);
  };
  if (ratio > TOO_PALE) all.push('halves_swapped');
  return { contrastRatio: Math.min(1, ratio), error: ratio * Math.hypot(errorOf(dark), errorOf(light)), faults: all };
}
