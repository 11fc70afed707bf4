/** A picture as plain numbers: sRGB, four bytes a pixel (red, green, blue, alpha), rows from the top. */
export interface Pixels {
  width: number;
  height: number;
  data: Uint8ClampedArray | Uint8Array;
}

/** One value a pixel. */
export interface Plane {
  width: number;
  height: number;
  values: Float32Array;
}

export interface Point {
  x: number;
  y: number;
}

/** Linear light of every sRGB byte (IEC 61966-2-1). */
const LINEAR = Float64Array.from({ length: 256 }, (_, byte) => {
  const value = byte / 255;
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
});

/** Linear light of one sRGB byte, 0–255 → 0–1. */
export const linearOfByte = (byte: number): number => LINEAR[byte]!;

/** The sRGB byte of linear light; values outside 0–1 are cut. Example: 0.2159 → 128. */
export function byteOfLinear(value: number): number {
  const inside = Math.max(0, Math.min(1, value));
  const encoded = inside <= 0.0031308 ? 12.92 * inside : 1.055 * inside ** (1 / 2.4) - 0.055;
  return Math.round(encoded * 255);
}

/** Adds the linear light at a place between pixels (bilinear) to three sums; false and nothing added outside. */
export function addLight({ width, height, data }: Pixels, x: number, y: number, sums: Float64Array): boolean {
  if (!(x >= 0 && y >= 0 && x <= width - 1 && y <= height - 1)) return false;
  const left = Math.min(width - 2, Math.floor(x));
  const top = Math.min(height - 2, Math.floor(y));
  const fx = x - left;
  const fy = y - top;
  const at = (top * width + left) * 4;
  const below = at + width * 4;
  for (let c = 0; c < 3; c += 1) {
    const upper = LINEAR[data[at + c]!]! * (1 - fx) + LINEAR[data[at + 4 + c]!]! * fx;
    const lower = LINEAR[data[below + c]!]! * (1 - fx) + LINEAR[data[below + 4 + c]!]! * fx;
    sums[c]! += upper * (1 - fy) + lower * fy;
  }
  return true;
}

/** Keeps the deepest shadows, which are noise, from counting as great steps of brightness (linear light). */
const SHADOW = 0.005;

/** Logarithm of the luminance, in which a groove is as deep on black paint as on white; shrunk by a whole number. */
export function shrinkToBrightness({ width, height, data }: Pixels, factor: number): Plane {
  const w = Math.floor(width / factor);
  const h = Math.floor(height / factor);
  const values = new Float32Array(w * h);
  const share = 1 / (factor * factor);
  for (let y = 0; y < h; y += 1) {
    for (let x = 0; x < w; x += 1) {
      let sum = 0;
      for (let dy = 0; dy < factor; dy += 1) {
        let at = ((y * factor + dy) * width + x * factor) * 4;
        for (let dx = 0; dx < factor; dx += 1, at += 4) {
          sum += 0.2126 * LINEAR[data[at]!]! + 0.7152 * LINEAR[data[at + 1]!]! + 0.0722 * LINEAR[data[at + 2]!]!;
        }
      }
      values[y * w + x] = Math.log(sum * share + SHADOW);
    }
  }
  return { width: w, height: h, values };
}

/** Mean over a square of 2 × radius + 1 pixels, cut at the rim; running sums, so the radius costs nothing. */
export function boxBlur({ width, height, values }: Plane, radius: number): Plane {
  const rows = new Float32Array(values.length);
  const out = new Float32Array(values.length);
  blurLines(values, rows, { lines: height, length: width, step: 1, lineStep: width, radius });
  blurLines(rows, out, { lines: width, length: height, step: width, lineStep: 1, radius });
  return { width, height, values: out };
}

interface Lines {
  lines: number;
  length: number;
  step: number;
  lineStep: number;
  radius: number;
}

function blurLines(from: Float32Array, to: Float32Array, { lines, length, step, lineStep, radius }: Lines): void {
  for (let line = 0; line < lines; line += 1) {
    const start = line * lineStep;
    let sum = 0;
    let count = 0;
    for (let i = 0; i < Math.min(radius, length); i += 1) {
      sum += from[start + i * step]!;
      count += 1;
    }
    for (let i = 0; i < length; i += 1) {
      if (i + radius < length) {
        sum += from[start + (i + radius) * step]!;
        count += 1;
      }
      if (i - radius - 1 >= 0) {
        sum -= from[start + (i - radius - 1) * step]!;
        count -= 1;
      }
      to[start + i * step] = sum / count;
    }
  }
}

/** The middle of a list; 0 of an empty one. */
export function median(values: ArrayLike<number>): number {
  return quantile(values, 0.5);
}

/** The value below which the given share (0–1) of a list lies; 0 of an empty one. */
export function quantile(values: ArrayLike<number>, share: number): number {
  const sorted = Float64Array.from(values).sort();
  return sorted.length === 0 ? 0 : sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}
