import { flattenLight, spreadOf, toGrey } from './grey';
import type { Pixels, Plane } from './pixels';

export interface RepeatReading {
  /** What the picture speaks for; null where it shows too little to tell. */
  answer: 'repeats' | 'no_repeat' | 'plain_colour' | null;
  /** How far on and in which direction it comes again, shares of the picture's longer side; null where it does not. */
  repeat: { dx: number; dy: number; length: number } | null;
  /** How much alike the stretches are, −1 to 1. */
  likeness: number;
}

const SIDE = 96;
/** Light changes slower than over a quarter of the picture. */
const LIGHT_RADIUS = 15;
/** Less than this is no pattern (logarithm of luminance, root mean square). */
const PLAIN_SPREAD = 0.085;
/** The same again at least so far on, and so much of the picture must still lie over itself. */
const LEAST_LAG = 10;
const MOST_LAG = 0.62;
const LEAST_LIKENESS = 0.42;
/** It must have been that much less alike on the way. */
const LEAST_DIP = 0.4;

/** Likeness of a picture with itself moved on: the correlation of what lies over itself. */
function likenessAt({ width, height, values }: Plane, dx: number, dy: number): number {
  const [x0, x1] = [Math.max(0, -dx), Math.min(width, width - dx)];
  const [y0, y1] = [Math.max(0, -dy), Math.min(height, height - dy)];
  let [ab, aa, bb] = [0, 0, 0];
  for (let y = y0; y < y1; y += 1) {
    const row = y * width;
    const moved = (y + dy) * width + dx;
    for (let x = x0; x < x1; x += 1) {
      const [a, b] = [values[row + x]!, values[moved + x]!];
      ab += a * b;
      aa += a * a;
      bb += b * b;
    }
  }
  return ab / (Math.sqrt(aa * bb) || 1);
}

/** Where a parabola through three values is highest, −0.5 to 0.5 from the middle one. */
function peakOf(before: number, here: number, after: number): number {
  const bend = before - 2 * here + after;
  return bend < 0 ? Math.max(-0.5, Math.min(0.5, (0.5 * (before - after)) / bend)) : 0;
}

/**
 * Does the pattern come again? A picture of a face, held square to it. It is laid over itself at every
 * distance; a printed pattern is alike again after its roller's round, grown wood is not, though its stripes are alike
 * along the grain: so it must have been unlike in between. Length to a fiftieth on clean patterns (see the test).
 */
export function readRepeat(picture: Pixels): RepeatReading {
  const grey = flattenLight(toGrey(picture, SIDE), LIGHT_RADIUS);
  if (spreadOf(grey.values) < PLAIN_SPREAD) return { answer: 'plain_colour', repeat: null, likeness: 0 };
  const { width, height } = grey;
  const [wide, high] = [Math.floor(width * MOST_LAG), Math.floor(height * MOST_LAG)];
  const span = 2 * wide + 1;
  const map = new Float32Array(span * (high + 1));
  const at = (dx: number, dy: number): number =>
    dy < 0 || (dy === 0 && dx < 0) ? map[-dy * span + wide - dx]! : map[dy * span + wide + dx]!;
  for (let dy = 0; dy <= high; dy += 1)
    for (let dx = dy === 0 ? 0 : -wide; dx <= wide; dx += 1) map[dy * span + wide + dx] = likenessAt(grey, dx, dy);
  const inside = (dx: number, dy: number): boolean => Math.abs(dx) < wide && Math.abs(dy) < high;
  /** The least likeness on the straight way to a place. */
  const dipTo = (dx: number, dy: number): number => {
    const steps = Math.max(Math.abs(dx), Math.abs(dy));
    let least = 1;
    for (let k = 1; k < steps; k += 1)
      least = Math.min(least, at(Math.round((dx * k) / steps), Math.round((dy * k) / steps)));
    return least;
  };
  let best: { dx: number; dy: number; likeness: number } | null = null;
  for (let dy = 0; dy < high; dy += 1)
    for (let dx = dy === 0 ? 1 : -wide + 1; dx < wide; dx += 1) {
      const likeness = at(dx, dy);
      if (Math.hypot(dx, dy) < LEAST_LAG || likeness < LEAST_LIKENESS) continue;
      if (best && likeness <= best.likeness + 0.02) continue;
      const around = [-1, 0, 1].flatMap((j) => [-1, 0, 1].map((i) => [dx + i, dy + j] as const));
      if (around.some(([i, j]) => inside(i, j) && at(i, j) > likeness)) continue;
      if (likeness - dipTo(dx, dy) < LEAST_DIP) continue;
      best = { dx, dy, likeness };
    }
  if (!best) return { answer: 'no_repeat', repeat: null, likeness: 0 };
  const { dx, dy, likeness } = best;
  const longer = Math.max(width, height);
  const x = (dx + peakOf(at(dx - 1, dy), likeness, at(dx + 1, dy))) / longer;
  const y = (dy + peakOf(at(dx, dy - 1), likeness, at(dx, dy + 1))) / longer;
  return { answer: 'repeats', repeat: { dx: x, dy: y, length: Math.hypot(x, y) }, likeness };
}
