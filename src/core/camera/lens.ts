import { byteOfLinear, type Pixels } from '../photo';
import { listNormals } from './noise';

/** What happens to light between the scene and the file. */
export interface Lens {
  /** Standard deviation of the blur, pixels. */
  blurPx: number;
  /** Standard deviation of the noise, steps of 255. */
  noise: number;
  /** Gains of red, green and blue before the file's encoding: exposure and white balance. */
  gains: readonly [number, number, number];
  /** Where in the row of noise this picture begins. */
  seed: number;
}

/** Three planes of linear light, row by row. */
export interface LightField {
  width: number;
  height: number;
  planes: readonly [Float32Array, Float32Array, Float32Array];
}

/** Linear light through a lens onto a sensor and into eight bits a channel. */
export function expose({ width, height, planes }: LightField, { blurPx, noise, gains, seed }: Lens): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  const normals = listNormals();
  let at = (seed * 7919) & 0xffff;
  planes.forEach((plane, channel) => {
    const blurred = blurPx > 0 ? blurGaussian(plane, width, height, blurPx) : plane;
    const gain = gains[channel]!;
    for (let i = 0; i < blurred.length; i += 1) {
      at = (at + 1) & 0xffff;
      data[i * 4 + channel] = Math.round(encode(blurred[i]! * gain) + noise * normals[at]!);
    }
    // Another stretch of noise for the next channel, so that it is not grey.
    at = (at + 20_011) & 0xffff;
  });
  for (let i = 3; i < data.length; i += 4) data[i] = 255;
  return { width, height, data };
}

interface Lamp {
  width: number;
  height: number;
  /** Light falls off by this share from one side of the picture to the other, towards this side (degrees). */
  unevenness: number;
  unevenTowardsDeg: number;
}

/** Light at each place: a lamp from one side, and the lens darker towards its corners by `cornerFall`. */
export function makeLight(
  { width, height, unevenness, unevenTowardsDeg }: Lamp,
  cornerFall: number,
): (x: number, y: number) => number {
  const [c, s] = [Math.cos((unevenTowardsDeg * Math.PI) / 180), Math.sin((unevenTowardsDeg * Math.PI) / 180)];
  const size = Math.max(width, height);
  return (x, y) => {
    const dx = (x - width / 2) / size;
    const dy = (y - height / 2) / size;
    return (1 + unevenness * (dx * c + dy * s)) * (1 - cornerFall * (dx * dx + dy * dy));
  };
}

/** The encoding as a table: exact to a quarter of a step. */
const STEPS = 8192;
const ENCODED = Float32Array.from({ length: STEPS + 1 }, (_, i) => byteOfLinear(i / STEPS));
const encode = (value: number): number => ENCODED[Math.max(0, Math.min(STEPS, Math.round(value * STEPS)))]!;

function blurGaussian(plane: Float32Array, width: number, height: number, sigma: number): Float32Array {
  const radius = Math.max(1, Math.ceil(sigma * 2.5));
  const kernel = Float32Array.from({ length: 2 * radius + 1 }, (_, i) => Math.exp(-(((i - radius) / sigma) ** 2) / 2));
  const total = kernel.reduce((sum, value) => sum + value, 0);
  for (let k = 0; k < kernel.length; k += 1) kernel[k]! /= total;
  const across = new Float32Array(plane.length);
  const out = new Float32Array(plane.length);
  for (let y = 0; y < height; y += 1) {
    const row = y * width;
    for (let k = -radius; k <= radius; k += 1) {
      const weight = kernel[k + radius]!;
      for (let x = 0; x < width; x += 1) {
        const from = x + k;
        across[row + x]! += weight * plane[row + (from < 0 ? 0 : from >= width ? width - 1 : from)]!;
      }
    }
  }
  for (let y = 0; y < height; y += 1) {
    const row = y * width;
    for (let k = -radius; k <= radius; k += 1) {
      const weight = kernel[k + radius]!;
      const from = Math.max(0, Math.min(height - 1, y + k)) * width;
      for (let x = 0; x < width; x += 1) out[row + x]! += weight * across[from + x]!;
    }
  }
  return out;
}
