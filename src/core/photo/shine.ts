import { toGrey } from './grey';
import { boxBlur, quantile, type Pixels } from './pixels';

export interface ShineReading {
  answer: 'matt' | 'satin' | 'semi_gloss' | 'high_gloss';
  /** How much brighter the lamp's light is than the film (logarithm of luminance). */
  bright: number;
  /** Radius of the lit spot at half its height, share of the longer side; nought where there is none. */
  radius: number;
}

const SIDE = 160;
/** Under this the lamp leaves no spot that moves (logarithm of luminance, estimate from renders). */
const LEAST_BRIGHT = 0.3;
/** Spots wider than these are those of a satin and of a half-gloss film (radius, estimate from renders). */
const SATIN_RADIUS = 0.16;
const HALF_GLOSS_RADIUS = 0.065;

/**
 * How a film shines, by two pictures of the same place with the phone's lamp on and the phone tilted between them: of their
 * difference only what shines is left, and the sharper the spot, the glossier the film.
 */
export function readShine(first: Pixels, second: Pixels): ShineReading {
  const [a, b] = [boxBlur(toGrey(first, SIDE), 1), boxBlur(toGrey(second, SIDE), 1)];
  const count = Math.min(a.values.length, b.values.length);
  const difference = Float32Array.from({ length: count }, (_, i) => a.values[i]! - b.values[i]!);
  const bright = quantile(difference, 0.998);
  if (bright < LEAST_BRIGHT) return { answer: 'matt', bright, radius: 0 };
  let lit = 0;
  for (const value of difference) if (value > bright / 2) lit += 1;
  const radius = Math.sqrt(lit / Math.PI) / Math.max(a.width, a.height);
  const answer = radius > SATIN_RADIUS ? 'satin' : radius > HALF_GLOSS_RADIUS ? 'semi_gloss' : 'high_gloss';
  return { answer, bright, radius };
}
