import { convertHexToLinearRgb, type LinearRgb } from '../colour';
import type { Pixels } from '../photo';
import { makeRandom } from '../shared';
import { expose, type LightField } from './lens';
import { drawBetween, makeSmoothNoise } from './noise';

/** What a place of a surface is: its colour in linear light, how high it stands (shares of the picture's side) and how it shines, 0–1. */
export interface Spot {
  colour: LinearRgb;
  height: number;
  shine: number;
}

/** A surface seen from above; `x` and `y` run from 0 to 1 over the picture. */
export type Surface = (x: number, y: number) => Spot;

/** A seeded source of numbers from 0 to below 1. */
export type Random = () => number;
export const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

export const colourOf = convertHexToLinearRgb;
export const mixColours = (a: LinearRgb, b: LinearRgb, share: number): LinearRgb => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
  a[2] + (b[2] - a[2]) * share,
];
export const shade = ([r, g, b]: LinearRgb, by: number): LinearRgb => [r * by, g * by, b * by];

/** 0 below `low`, 1 above `high`, smooth between. */
export function rise(value: number, low: number, high: number): number {
  const t = Math.max(0, Math.min(1, (value - low) / (high - low)));
  return t * t * (3 - 2 * t);
}

/** How much of the lamp's slope on a surface is seen: side light, as a close look is made. */
const RELIEF = 2.2;

/**
 * A close-up of a surface, `side` pixels square: a lamp from one side that shows its relief, its highlight where it
 * shines, blur and noise of a phone. The same seed gives the same picture.
 */
export function photographSurface(surface: Surface, side: number, seed: number): Pixels {
  const random = makeRandom(seed * 7_919 + 5);
  const between = (low: number, high: number): number => drawBetween(random, low, high);
  const turn = between(-0.9, -0.3) * Math.PI;
  const [lx, ly] = [Math.cos(turn), Math.sin(turn)];
  const lamp = { x: between(0.25, 0.75), y: between(0.2, 0.6), size: between(0.25, 0.4) };
  const uneven = between(0.05, 0.2);
  const planes = [0, 1, 2].map(() => new Float32Array(side * side)) as unknown as LightField['planes'];
  const heights = new Float32Array(side * side);
  const spots: Spot[] = [];
  for (let y = 0; y < side; y += 1)
    for (let x = 0; x < side; x += 1) {
      const spot = surface((x + 0.5) / side, (y + 0.5) / side);
      heights[y * side + x] = spot.height;
      spots.push(spot);
    }
  const heightAt = (x: number, y: number): number =>
    heights[Math.max(0, Math.min(side - 1, y)) * side + Math.max(0, Math.min(side - 1, x))]!;
  for (let y = 0; y < side; y += 1)
    for (let x = 0; x < side; x += 1) {
      const i = y * side + x;
      const { colour, shine } = spots[i]!;
      const [dx, dy] = [heightAt(x + 1, y) - heightAt(x - 1, y), heightAt(x, y + 1) - heightAt(x, y - 1)];
      const steep = (dx * lx + dy * ly) * side * 0.5;
      // A step of the surface is lit no harder than a steep slope.
      const slope = steep / (1 + 1.6 * Math.abs(steep));
      const [u, v] = [x / side, y / side];
      const light = (1 + uneven * ((u - 0.5) * lx + (v - 0.5) * ly)) * Math.max(0.15, 1 + RELIEF * slope);
      const away = ((u - lamp.x + slope * 0.4) ** 2 + (v - lamp.y + slope * 0.4) ** 2) / lamp.size ** 2;
      const glow = 0.22 * shine * Math.exp(-away * 2) + Math.max(0, slope) * shine * 0.35;
      for (let c = 0; c < 3; c += 1) planes[c]![i] = colour[c]! * light + glow;
    }
  const exposure = between(0.82, 1);
  return expose(
    { width: side, height: side, planes },
    {
      blurPx: between(0.4, 0.9) * (side / 320),
      noise: between(1, 3),
      gains: [exposure * between(0.95, 1.05), exposure, exposure * between(0.93, 1.04)],
      seed,
    },
  );
}

interface WoodLook {
  base: string;
  /** Late wood, figure and knots. */
  dark: string;
  pores: 'open' | 'fine' | 'none';
  knots: number;
  shine: number;
  /** Printed: nothing stands out, and the dots of the print show. */
  printed?: boolean;
}

/** Wood as it is seen close by: figure along the grain, pores as short grooves, knots that the grain runs round. */
export function makeWood(random: () => number, { base, dark, pores, knots, shine, printed }: WoodLook): Surface {
  const between = (low: number, high: number): number => drawBetween(random, low, high);
  const seed = Math.floor(random() * 1e9);
  const [warp, streak] = [makeSmoothNoise(seed), makeSmoothNoise(seed + 1)];
  const [light, late] = [colourOf(base), colourOf(dark)];
  const turn = between(-0.25, 0.25);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const rings = between(5, 11);
  const bend = between(0.15, 0.5);
  const own = Array.from({ length: knots }, (_, k) => ({
    x: (k + between(0.25, 0.75)) / Math.max(1, knots),
    y: between(0.15, 0.85),
    r: between(0.03, 0.075),
  }));
  const dotSize = between(70, 110);
  const length = between(0.05, 0.12);
  const width = pores === 'open' ? 0.011 : 0.005;
  const often = 0.24;
  return (x, y) => {
    const u = x * c + y * s;
    let v = y * c - x * s;
    let knotted = 0;
    for (const knot of own) {
      const [dx, dy] = [x - knot.x, (y - knot.y) * 1.3];
      const d = Math.hypot(dx, dy);
      v += Math.sign(dy || 1) * knot.r * 0.7 * Math.exp(-((d / (knot.r * 2.2)) ** 2));
      knotted = Math.max(knotted, 1 - rise(d, knot.r * 0.75, knot.r * 1.1));
    }
    // No two years are alike: rings come wide and narrow.
    const years = v + bend * 0.25 * warp(u * 1.5, v * 2.5) + 0.16 * streak(11, v * 3.1);
    const figure = 0.5 + 0.5 * Math.sin(years * rings * 6.283);
    const fine = streak(u * 3, v * 70);
    let share = 0.45 * figure ** 2 + 0.1 * fine + 0.75 * knotted;
    let height = printed ? 0 : -0.0006 * fine;
    if (pores !== 'none') {
      const row = Math.floor(v / width);
      const place = u / length + hash(row, seed) * 7;
      const here = hash(row * 131 + Math.floor(place), seed + 2) < often;
      const within = here ? rise(Math.sin(Math.PI * (place - Math.floor(place))), 0.15, 0.5) : 0;
      const depth = within * rise(Math.sin(Math.PI * (v / width - row)), 0.2, 0.8);
      share += (pores === 'open' ? 0.6 : 0.35) * depth;
      if (!printed) height -= (pores === 'open' ? 0.006 : 0.0022) * depth;
    }
    if (printed) share += 0.05 * Math.sin(x * dotSize * 6.283) * Math.sin(y * dotSize * 6.283);
    return { colour: mixColours(light, late, Math.max(0, Math.min(1, share))), height, shine };
  };
}

/** A number in [0, 1) for a whole number and a seed. */
export function hash(n: number, seed: number): number {
  let t = Math.imul((n | 0) ^ Math.imul(seed | 0, 0x9e3779b1), 0x85ebca6b);
  t = Math.imul(t ^ (t >>> 13), 0xc2b2ae35);
  return ((t ^ (t >>> 16)) >>> 0) / 4294967296;
}

/** One colour all over, with a trace of texture. */
export function makePlain(random: () => number, hex: string, shine: number, texture = 0.02): Surface {
  const noise = makeSmoothNoise(Math.floor(random() * 1e9));
  const base = colourOf(hex);
  return (x, y) => {
    const grain = noise(x * 60, y * 60);
    return { colour: shade(base, 1 + texture * grain), height: texture * 0.02 * grain, shine };
  };
}

/** Flakes pressed together: each nearest of scattered points has a tone and a tilt of its own. */
export function makeChips(random: () => number): Surface {
  const seed = Math.floor(random() * 1e9);
  const [light, dark] = [colourOf('#C9A677'), colourOf('#7A5734')];
  const across = drawBetween(random, 11, 17);
  return (x, y) => {
    const [cx, cy] = [x * across * 0.7, y * across];
    let [best, second, which] = [9, 9, 0];
    for (let j = -1; j <= 1; j += 1)
      for (let i = -1; i <= 1; i += 1) {
        const [gx, gy] = [Math.floor(cx) + i, Math.floor(cy) + j];
        const id = gx * 73_856 + gy * 19_349;
        const d = Math.hypot(gx + hash(id, seed) - cx, gy + hash(id, seed + 1) - cy);
        if (d < best) [second, best, which] = [best, d, id];
        else if (d < second) second = d;
      }
    const tone = hash(which, seed + 2);
    const gap = 1 - rise(second - best, 0.02, 0.14);
    return {
      colour: shade(mixColours(light, dark, tone), 1 - 0.55 * gap),
      height: 0.006 * tone - 0.01 * gap,
      shine: 0,
    };
  };
}

/** Even brown fibre, like thick card. */
export function makeFelt(random: () => number, hex = '#A58256'): Surface {
  const noise = makeSmoothNoise(Math.floor(random() * 1e9));
  const base = colourOf(hex);
  return (x, y) => {
    const fuzz = 0.6 * noise(x * 90, y * 55) + 0.4 * noise(x * 33, y * 140);
    return { colour: shade(base, 1 + 0.1 * fuzz), height: 0.0016 * fuzz, shine: 0 };
  };
}

/** Thin layers of wood, their grain crossed by turns. */
export function makePlies(random: () => number): Surface {
  const noise = makeSmoothNoise(Math.floor(random() * 1e9));
  const [along, end, glue] = [colourOf('#D3B183'), colourOf('#9B7648'), colourOf('#4A3420')];
  const thick = drawBetween(random, 0.1, 0.16);
  const start = random();
  return (x, y) => {
    const place = y / thick + start;
    const ply = Math.floor(place);
    const line = 1 - rise(Math.min(place - ply, 1 - (place - ply)), 0.02, 0.07);
    const cross = ply % 2 === 0;
    const fibre = cross ? noise(x * 5, y * 90) : noise(x * 110, y * 110);
    const tone = shade(cross ? along : end, 1 + (cross ? 0.1 : 0.22) * fibre);
    return { colour: mixColours(tone, glue, 0.8 * line), height: cross ? 0 : 0.002 * fibre, shine: 0 };
  };
}

/** A white rag with its weave, and what came off on it. */
export function makeRag(random: () => number, stain: { hex: string; shine: number; strength: number } | null): Surface {
  const between = (low: number, high: number): number => drawBetween(random, low, high);
  const noise = makeSmoothNoise(Math.floor(random() * 1e9));
  const white = colourOf('#E9E7E0');
  const threads = between(26, 38);
  const turn = between(-0.5, 0.5);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const at = { x: between(0.4, 0.6), y: between(0.4, 0.6), rx: between(0.22, 0.34), ry: between(0.14, 0.24) };
  const off = stain ? colourOf(stain.hex) : white;
  return (x, y) => {
    const [u, v] = [x * c + y * s, y * c - x * s];
    const weave = Math.sin(u * threads * 6.283) * Math.sin(v * threads * 6.283);
    const fold = noise(x * 2.2, y * 2.2);
    const cloth = shade(white, 1 + 0.05 * weave + 0.08 * fold);
    const d = Math.hypot((x - at.x) / at.rx, (y - at.y) / at.ry) + 0.35 * noise(x * 7, y * 7);
    const smear = stain ? stain.strength * (1 - rise(d, 0.5, 1.15)) : 0;
    return {
      colour: mixColours(cloth, off, smear),
      height: 0.002 * weave * (1 - 0.6 * smear) + 0.01 * fold,
      shine: smear * (stain?.shine ?? 0),
    };
  };
}
