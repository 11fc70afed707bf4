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
  const weights = listHalfKernel(sigma);
  const radius = weights.length - 1;
  const across = new Float32Array(plane.length);
  const out = new Float32Array(plane.length);
  // A row with its ends drawn out, so that no place in it needs a look whether it is still inside.
  const drawnOut = new Float32Array(width + 2 * radius);
  for (let row = 0; row < plane.length; row += width) {
    drawnOut.fill(plane[row]!, 0, radius);
    drawnOut.set(plane.subarray(row, row + width), radius);
    drawnOut.fill(plane[row + width - 1]!, radius + width);
    for (let x = 0; x < width; x += 1) {
      const middle = x + radius;
      let sum = weights[0]! * drawnOut[middle]!;
      for (let k = 1; k <= radius; k += 1) sum += weights[k]! * (drawnOut[middle - k]! + drawnOut[middle + k]!);
      across[row + x] = sum;
    }
  }
  for (let y = 0; y < height; y += 1) {
    const row = y * width;
    for (let x = 0; x < width; x += 1) out[row + x] = weights[0]! * across[row + x]!;
    for (let k = 1; k <= radius; k += 1) {
      const weight = weights[k]!;
      const above = Math.max(0, y - k) * width;
      const below = Math.min(height - 1, y + k) * width;
      for (let x = 0; x < width; x += 1) out[row + x]! += weight * (across[above + x]! + across[below + x]!);
    }
  }
  return out;
}

/** The weights of a bell from its middle outwards, which with the other half add up to 1. */
function listHalfKernel(sigma: number): Float32Array {
  const radius = Math.max(1, Math.ceil(sigma * 2.5));
  const half = Float32Array.from({ length: radius + 1 }, (_, i) => Math.exp(-((i / sigma) ** 2) / 2));
  const total = half.reduce((sum, value) => sum + 2 * value, -half[0]!);
  return half.map((value) => value / total);
}
