import { isConvex, mapUnitSquare, type Homography, type Quad } from './homography';
import type { Plane } from './pixels';

/** Cuts nearer than this are not told apart, pixels of the shrunk picture. */
export const LEAST_GAP = 9;

/** Not folded, not a sliver, and its cuts apart: all of them on one dark line would score best of all. */
export function isPlausible(quad: Quad, cuts: number): boolean {
  const sides = quad.map(({ x, y }, i) => Math.hypot(quad[(i + 1) % 4]!.x - x, quad[(i + 1) % 4]!.y - y));
  const shortest = Math.min(...sides);
  return isConvex(quad) && shortest > LEAST_GAP * (cuts - 1) && shortest > LEAST_RATIO * Math.max(...sides);
}

/** Shortest side to longest of a square seen from 35° aside and turned any way, with something to spare. */
const LEAST_RATIO = 0.45;
/** Samples along one cut: few while many squares are weighed, enough to see a gap when it matters. */
export const FIRST_SAMPLES = 10;
export const ROUGH_SAMPLES = 15;
export const FINE_SAMPLES = 26;

/** How dark each cut of a square is on the map of lines, 0–1; first those down, then those across. */
export function measureCuts(lines: Plane, quad: Quad, cuts: number): number[] {
  const h = mapUnitSquare(quad);
  if (!h) return [];
  return Array.from({ length: 2 * cuts }, (_, k) => {
    const mark = (k % cuts) / (cuts - 1);
    return measureLine(lines, h, k < cuts ? [mark, 0, mark, 1] : [0, mark, 1, mark], FINE_SAMPLES);
  });
}

/** Mean of the map along a line of the unit square, place by place between pixels; outside the picture counts as 0. */
export function measureLine(
  { width, height, values }: Plane,
  h: Homography,
  [u0, v0, u1, v1]: readonly [number, number, number, number],
  samples: number,
): number {
  let sum = 0;
  for (let k = 0; k < samples; k += 1) {
    const t = (k + 0.5) / samples;
    const u = u0 + (u1 - u0) * t;
    const v = v0 + (v1 - v0) * t;
    const w = h[6]! * u + h[7]! * v + 1;
    const x = (h[0]! * u + h[1]! * v + h[2]!) / w;
    const y = (h[3]! * u + h[4]! * v + h[5]!) / w;
    if (!(x >= 0 && y >= 0 && x < width - 1 && y < height - 1)) continue;
    // Cutting off the fraction of a number that is not negative rounds it down, and quicker.
    const left = x | 0;
    const top = y | 0;
    const fx = x - left;
    const i = top * width + left;
    const above = values[i]! * (1 - fx) + values[i + 1]! * fx;
    sum += above + (values[i + width]! * (1 - fx) + values[i + width + 1]! * fx - above) * (y - top);
  }
  return sum / samples;
}

/**
 * How much darker the cuts of a square are than the lines midway between them. Darkness alone is no sign: a small square
 * set down where many lines are finds some on each of its cuts, and as many between them.
 */
export function scoreQuad(lines: Plane, quad: Quad, cuts: number, samples: number): number {
  const h = mapUnitSquare(quad);
  if (!h) return 0;
  // The square root keeps one missing cut from being made up for by another very dark one.
  const mean = (count: number, first: number): number => {
    let sum = 0;
    for (let k = 0; k < count; k += 1) {
      const mark = first + k / (cuts - 1);
      for (const ends of [
        [mark, 0, mark, 1],
        [0, mark, 1, mark],
      ] as const)
        sum += Math.sqrt(measureLine(lines, h, ends, samples));
    }
    return sum / (2 * count);
  };
  return mean(cuts, 0) - BETWEEN_WEIGHT * mean(cuts - 1, 0.5 / (cuts - 1));
}

const BETWEEN_WEIGHT = 0.7;

export function countFound(lines: Plane, quad: Quad, cuts: number): number {
  const measured = measureCuts(lines, quad, cuts);
  return measured.filter((value) => value > SEEN).length / (2 * cuts);
}

/** A cut this dark on the map of lines is there. */
export const SEEN = 0.15;
const MOST_ROUNDS = 6;

/** Moves the corners one at a time, by less and less, as long as more darkness comes under the cuts. */
export function refine(
  lines: Plane,
  start: Quad,
  cuts: number,
  steps: readonly number[],
  samples: number,
): { quad: Quad; score: number } {
  let quad = start.map((corner) => ({ ...corner })) as unknown as Quad;
  let score = scoreQuad(lines, quad, cuts, samples);
  for (const step of steps) {
    for (let round = 0, moved = true; moved && round < MOST_ROUNDS; round += 1) {
      moved = false;
      for (let corner = 0; corner < 4; corner += 1) {
        for (const [dx, dy] of MOVES) {
          const next = quad.map((point, i) =>
            i === corner ? { x: point.x + dx * step, y: point.y + dy * step } : point,
          ) as unknown as Quad;
          const better = scoreQuad(lines, next, cuts, samples);
          if (better <= score + 1e-9 || !isPlausible(next, cuts)) continue;
          [quad, score, moved] = [next, better, true];
        }
      }
    }
  }
  return { quad, score };
}

// prettier-ignore
const MOVES: readonly (readonly [number, number])[] = [[1, 0], [-1, 0], [0, 1], [0, -1], [1, 1], [-1, -1], [1, -1], [-1, 1]];
