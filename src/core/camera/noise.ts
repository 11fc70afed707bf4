import { makeRandom } from '../shared';

/** A normally distributed number from a seeded source (Box and Muller). */
const drawNormal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

export const drawBetween = (random: () => number, low: number, high: number): number => low + (high - low) * random();

/** Smooth noise on a plane, about −1 to 1, the same for the same seed: random values on a grid, blended between. */
export function makeSmoothNoise(seed: number): (x: number, y: number) => number {
  const random = makeRandom(seed);
  const grid = Float32Array.from({ length: 64 * 64 }, () => random() * 2 - 1);
  const ease = (t: number): number => t * t * (3 - 2 * t);
  return (x, y) => {
    const left = Math.floor(x);
    const top = Math.floor(y);
    const fx = ease(x - left);
    const fy = ease(y - top);
    const at = (i: number, j: number): number => grid[((top + j) & 63) * 64 + ((left + i) & 63)]!;
    return (at(0, 0) * (1 - fx) + at(1, 0) * fx) * (1 - fy) + (at(0, 1) * (1 - fx) + at(1, 1) * fx) * fy;
  };
}

let normals: Float32Array | undefined;

/** Many draws of noise made once, with the first picture: each takes them in order from a place of its own. */
export function listNormals(): Float32Array {
  if (!normals) {
    const random = makeRandom(20_409);
    normals = Float32Array.from({ length: 1 << 16 }, () => drawNormal(random));
  }
  return normals;
}
