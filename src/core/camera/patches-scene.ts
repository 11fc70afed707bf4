import { computeReflectanceOver } from '../film';
import { computeLuminance, convertHexToLinearRgb, type LinearRgb } from '../colour';
import type { Pixels, Rect } from '../photo';
import { makeRandom } from '../shared';
import { expose, makeLight, type LightField } from './lens';
import { drawBetween, makeSmoothNoise } from './noise';
import type { StripsShot } from './strips-scene';

/** Flat patches of known colour beside white paper, photographed from straight above. */
export interface PatchesScene {
  patches: readonly LinearRgb[];
  seed: number;
}

/** `tone`: the exponent of the camera's own curve, 1 for none. */
export type PatchesShot = StripsShot & { tone: number };

export interface TakenPatches {
  pixels: Pixels;
  white: Rect;
  patches: Rect[];
}

const PAPER: LinearRgb = [0.86, 0.86, 0.86];
const TABLE: LinearRgb = [0.2, 0.17, 0.14];

/** A photograph of patches: uneven light, stipple of the coat, a camera's curve, blur and noise. */
export function photographPatches({ patches, seed }: PatchesScene, shot: PatchesShot): TakenPatches {
  const { width, height, tone } = shot;
  const planes = [0, 1, 2].map(() => new Float32Array(width * height)) as unknown as LightField['planes'];
  const stipple = makeSmoothNoise(seed);
  const lampAt = makeLight(shot, 0);
  const at = (x: number, y: number, w: number, h: number): Rect => ({
    x: Math.round(x * width),
    y: Math.round(y * height),
    width: Math.round(w * width),
    height: Math.round(h * height),
  });
  // A power of one takes as long as any other.
  const bend = (value: number): number => (tone === 1 ? value : value ** tone);
  const put = (area: Rect, colour: LinearRgb, coated: boolean): void => {
    const bent = colour.map(bend);
    for (let y = area.y; y < area.y + area.height; y += 1)
      for (let x = area.x; x < area.x + area.width; x += 1) {
        const lamp = lampAt(x, y) * (coated ? 1 + 0.006 * stipple(x / 5, y / 5) : 1);
        const light = bend(lamp);
        for (let c = 0; c < 3; c += 1) planes[c]![y * width + x] = bent[c]! * light;
      }
  };
  put({ x: 0, y: 0, width, height }, TABLE, false);
  const white = at(0.06, 0.06, 0.88, 0.22);
  put(white, PAPER, false);
  const column = 0.88 / patches.length;
  const rects = patches.map((colour, k) => {
    const area = at(0.06 + k * column + 0.01, 0.36, column - 0.02, 0.54);
    put(area, colour, true);
    return area;
  });
  return { pixels: expose({ width, height, planes }, shot), white, patches: rects };
}

/** Light as it is asked for (uneven to 12 %, white balance off by 20 %, noise to 6 steps) and a sensor without a curve. */
export function drawPatchesShot(seed: number): PatchesShot {
  const random = makeRandom(seed * 104_729 + 11);
  const between = (low: number, high: number): number => drawBetween(random, low, high);
  const exposure = between(0.6, 0.95);
  return {
    // Half a megapixel: the reader takes means over parts, and rendering is what takes time.
    width: 612,
    height: 816,
    blurPx: between(0.4, 2),
    noise: between(1, 6),
    gains: [exposure * between(0.85, 1.05), exposure, exposure * between(0.8, 1.05)],
    unevenness: between(0, 0.12),
    unevenTowardsDeg: between(0, 360),
    tone: 1,
    seed,
  };
}

/** White and black of a printed card: what is under a draw-down. */
const CARD = { white: 0.86, black: 0.05 };

/** A coat over the black and the white of a card, and the ratio of its luminances. `scatter`: S·X of the coat. */
export function drawCoatOnCard(hex: string, scatter: number): { patches: [LinearRgb, LinearRgb]; ratio: number } {
  const full = convertHexToLinearRgb(hex);
  const over = (ground: number): LinearRgb =>
    full.map((own) => computeReflectanceOver(own, scatter, ground)) as unknown as LinearRgb;
  const [black, white] = [over(CARD.black), over(CARD.white)];
  return { patches: [black, white], ratio: computeLuminance(black) / computeLuminance(white) };
}
