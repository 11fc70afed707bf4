import { computeDeltaE00, convertHexToLinearRgb, convertLinearRgbToLab, type LinearRgb } from '../colour';
import type { Pixels, Rect } from '../photo';
import { makeRandom } from '../shared';
import { expose, makeLight, type LightField } from './lens';
import { drawBetween, makeSmoothNoise } from './noise';

/** Strips side by side under a sheet of paper, photographed from straight above. */
export interface StripsScene {
  paint: string;
  /** Colour that comes through, and how much of it at the worst place of each strip, 0–1. */
  stain: string;
  strips: readonly { code: string; bleed: number }[];
  seed: number;
}

export interface StripsShot {
  width: number;
  height: number;
  blurPx: number;
  noise: number;
  gains: readonly [number, number, number];
  unevenness: number;
  unevenTowardsDeg: number;
  seed: number;
}

export interface TakenStrips {
  pixels: Pixels;
  white: Rect;
  reference: Rect;
  strips: { code: string; rect: Rect; deMean: number; deWorst: number }[];
}

const PAPER: LinearRgb = [0.86, 0.86, 0.86];
const TABLE: LinearRgb = [0.12, 0.1, 0.08];
const TILES = 10;

/** A photograph of strips whose colours are known place by place. */
export function photographStrips(scene: StripsScene, shot: StripsShot): TakenStrips {
  const { width, height } = shot;
  const white = rect(width, height, 0.06, 0.06, 0.88, 0.2);
  const columns = scene.strips.length + 1;
  const place = (k: number): Rect =>
    rect(width, height, 0.06 + (0.88 / columns) * k + 0.01, 0.34, 0.88 / columns - 0.02, 0.56);
  const reference = place(0);
  const paint = convertHexToLinearRgb(scene.paint);
  const stain = convertHexToLinearRgb(scene.stain);
  const planes = [0, 1, 2].map(() => new Float32Array(width * height)) as unknown as LightField['planes'];
  const stipple = makeSmoothNoise(scene.seed);
  const light = makeLight(shot, 0);
  const put = (area: Rect, colour: (u: number, v: number) => LinearRgb): void => {
    for (let y = area.y; y < area.y + area.height; y += 1) {
      for (let x = area.x; x < area.x + area.width; x += 1) {
        const shade = colour((x - area.x) / area.width, (y - area.y) / area.height);
        const lamp = light(x, y) * (1 + 0.004 * stipple(x / 5, y / 5));
        for (let c = 0; c < 3; c += 1) planes[c]![y * width + x] = shade[c]! * lamp;
      }
    }
  };
  put({ x: 0, y: 0, width, height }, () => TABLE);
  put(white, () => PAPER);
  put(reference, () => paint);
  const taken = scene.strips.map(({ code, bleed }, k) => {
    const area = place(k + 1);
    const colour = makeBleed(paint, stain, bleed, scene.seed + k);
    put(area, colour);
    return { code, rect: area, ...measureTruth(colour, paint) };
  });
  return { pixels: expose({ width, height, planes }, shot), white, reference, strips: taken };
}

const rect = (width: number, height: number, x: number, y: number, w: number, h: number): Rect => ({
  x: Math.round(x * width),
  y: Math.round(y * height),
  width: Math.round(w * width),
  height: Math.round(h * height),
});

/** A knot that comes through, and a breath of colour all over. */
function makeBleed(
  paint: LinearRgb,
  stain: LinearRgb,
  bleed: number,
  seed: number,
): (u: number, v: number) => LinearRgb {
  const random = makeRandom(seed * 31 + 5);
  const knots = Array.from({ length: 2 }, () => ({
    u: drawBetween(random, 0.2, 0.8),
    v: drawBetween(random, 0.15, 0.85),
    size: drawBetween(random, 0.08, 0.2),
  }));
  return (u, v) => {
    const knot = Math.max(...knots.map((k) => Math.exp(-((u - k.u) ** 2 + (v - k.v) ** 2) / k.size ** 2)));
    const share = bleed * (0.25 + 0.75 * knot);
    return [0, 1, 2].map((c) => paint[c]! * (1 - share) + stain[c]! * share) as unknown as LinearRgb;
  };
}

/** The same figures from the scene itself: a hundred tiles, each by many places. */
function measureTruth(colour: (u: number, v: number) => LinearRgb, paint: LinearRgb) {
  const fresh = convertLinearRgbToLab(paint);
  const differences = Array.from({ length: TILES * TILES }, (_, k) => {
    const [row, column] = [Math.floor(k / TILES), k % TILES];
    const sum = [0, 0, 0];
    for (let i = 0; i < 64; i += 1) {
      const shade = colour((column + ((i % 8) + 0.5) / 8) / TILES, (row + (Math.floor(i / 8) + 0.5) / 8) / TILES);
      for (let c = 0; c < 3; c += 1) sum[c]! += shade[c]! / 64;
    }
    return computeDeltaE00(convertLinearRgbToLab(sum as unknown as LinearRgb), fresh);
  }).sort((a, b) => a - b);
  return {
    deMean: differences.reduce((total, value) => total + value, 0) / differences.length,
    deWorst: differences[Math.floor(0.95 * differences.length)]!,
  };
}

/** A case within the range that is to be read: light to 12 % uneven, white balance off by 20 %, noise to 6 steps. */
export function drawStripsCase(seed: number): { scene: StripsScene; shot: StripsShot } {
  const random = makeRandom(seed * 7_919 + 3);
  const between = (low: number, high: number): number => drawBetween(random, low, high);
  const paints = ['#F3EFE6', '#FFFFFF', '#DDE3E6', '#E8DCC4', '#B9C7B5'];
  const stains = ['#B5572F', '#8A3B2F', '#C79A3A', '#6B4A2E'];
  const exposure = between(0.6, 0.95);
  return {
    scene: {
      paint: paints[Math.floor(random() * paints.length)]!,
      stain: stains[Math.floor(random() * stains.length)]!,
      strips: ['A', 'B', 'C'].map((code) => ({ code, bleed: random() < 0.3 ? 0 : between(0, 0.25) })),
      seed,
    },
    shot: {
      width: 1224,
      height: 1632,
      blurPx: between(0.4, 2),
      noise: between(1, 6),
      gains: [exposure * between(0.85, 1.05), exposure, exposure * between(0.8, 1.05)],
      unevenness: between(0, 0.12),
      unevenTowardsDeg: between(0, 360),
      seed,
    },
  };
}
