import { flattenLight, spreadOf, toGrey } from './grey';
import { boxBlur, quantile, type Pixels, type Plane } from './pixels';

export interface GrainReading {
  /** What the picture speaks for; null where it shows neither grain nor pores. */
  answer: 'open_felt' | 'medium_felt' | 'none_felt_wood' | 'seen_not_felt' | null;
  /** Which way the grain runs: degrees from the picture's breadth, clockwise as it is seen, 0 to below 180. */
  alongDeg: number;
  /** How much of it runs that way, 0–1. */
  aligned: number;
  /** Share of the face that is pores, 0–1. */
  density: number;
}

const SIDE = 256;
/** Light changes slower than over this stretch, and pores are narrower (pixels of the shrunk picture). */
const LIGHT_RADIUS = 5;
const FIGURE_RADIUS = 21;
/** Pores are looked for along so many pixels of the grain, each against what lies so far beside it. */
const HALF_LENGTH = 3;
const BESIDE = 1.5;
/** Where nothing differs by more, it is one colour (logarithm of luminance, root mean square). */
const PLAIN_SPREAD = 0.03;
/*
 * Told from renders (estimates). Smooth wood slopes and has no ridges. In side light a narrow groove is as bright on one
 * flank as it is dark on the other, a wide one darker; what is printed is dark without a bright flank, and never deep.
 */
const MOST_SLOPE = 1.1;
const NARROW_GROOVE = 1.22;
const NO_FLANK = 1.5;
const DEEP_GROOVE = 0.3;

type Four = [number, number, number, number];

/** The way across which most changes (structure tensor of Scharr's derivatives, which turn without bias), and how much of the change is that way. */
function findGrain({ width, height, values }: Plane): { along: number; aligned: number } {
  let [xx, yy, xy] = [0, 0, 0];
  for (let y = 1; y < height - 1; y += 1)
    for (let x = 1; x < width - 1; x += 1) {
      const i = y * width + x;
      const [a, b, c, d] = [i - width - 1, i - width + 1, i + width - 1, i + width + 1].map(
        (at) => values[at]!,
      ) as Four;
      const gx = 3 * (b - a + d - c) + 10 * (values[i + 1]! - values[i - 1]!);
      const gy = 3 * (c - a + d - b) + 10 * (values[i + width]! - values[i - width]!);
      xx += gx * gx;
      yy += gy * gy;
      xy += gx * gy;
    }
  const across = 0.5 * Math.atan2(2 * xy, xx - yy);
  return { along: across + Math.PI / 2, aligned: Math.hypot(xx - yy, 2 * xy) / (xx + yy || 1) };
}

/** The value at a place between pixels (bilinear); the rim goes on outside. */
function sample({ width, height }: Plane, values: Float32Array, x: number, y: number): number {
  const inX = Math.max(0, Math.min(width - 1.001, x));
  const inY = Math.max(0, Math.min(height - 1.001, y));
  const [left, top] = [Math.floor(inX), Math.floor(inY)];
  const [fx, fy, i] = [inX - left, inY - top, top * width + left];
  const upper = values[i]! * (1 - fx) + values[i + 1]! * fx;
  return upper * (1 - fy) + (values[i + width]! * (1 - fx) + values[i + width + 1]! * fx) * fy;
}

/**
 * Pores and grain of a face taken from a hand's breadth in side light. Its light is taken off, the way of the grain is
 * found, and the picture is smoothed along it; what is then darker than both sides of it is a pore.
 */
export function readGrain(picture: Pixels): GrainReading {
  const grey = toGrey(picture, SIDE);
  const flat = flattenLight(grey, LIGHT_RADIUS);
  const { along, aligned } = findGrain(boxBlur(flattenLight(grey, FIGURE_RADIUS), 1));
  const alongDeg = ((((along * 180) / Math.PI) % 180) + 180) % 180;
  if (spreadOf(flat.values) < PLAIN_SPREAD) return { answer: null, alongDeg, aligned, density: 0 };
  const { width, height, values } = flat;
  const [c, s] = [Math.cos(along), Math.sin(along)];
  const smooth = values.map((_, i) => {
    const [x, y] = [i % width, Math.floor(i / width)];
    let sum = 0;
    for (let k = -HALF_LENGTH; k <= HALF_LENGTH; k += 1) sum += sample(flat, values, x + k * c, y + k * s);
    return sum / (2 * HALF_LENGTH + 1);
  });
  const ridges: number[] = [];
  let [ridge, slope] = [0, 0];
  for (let y = 4; y < height - 4; y += 1)
    for (let x = 4; x < width - 4; x += 1) {
      const a = sample(flat, smooth, x - BESIDE * s, y + BESIDE * c);
      const b = sample(flat, smooth, x + BESIDE * s, y - BESIDE * c);
      const deep = (a + b) / 2 - smooth[y * width + x]!;
      ridges.push(deep);
      ridge += deep * deep;
      slope += (a - b) ** 2 / 4;
    }
  const [dark, bright] = [quantile(ridges, 0.98), -quantile(ridges, 0.02)];
  const density = ridges.filter((deep) => deep > dark / 2).length / (ridges.length || 1);
  if (slope > MOST_SLOPE ** 2 * ridge) return { answer: 'none_felt_wood', alongDeg, aligned, density: 0 };
  const felt = dark > DEEP_GROOVE && dark < NO_FLANK * bright ? 'open_felt' : 'seen_not_felt';
  return { answer: dark < NARROW_GROOVE * bright ? 'medium_felt' : felt, alongDeg, aligned, density };
}
