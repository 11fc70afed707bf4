import { Matrix, solve } from 'ml-matrix';
import { convertLinearRgbToLab } from '../colour';
import { applyHomography, computeHomography, UNIT_SQUARE, type Quad } from './homography';
import { addLight, byteOfLinear, linearOfByte, median, type Pixels } from './pixels';

/** A lattice brought to a square, with a rim of coat around it that was not cut. */
export interface Flat {
  side: number;
  /** Pixels a cell, and cells a side of the lattice. */
  cell: number;
  cells: number;
  /** Width of the rim, pixels. */
  rim: number;
  /** Linear light, one plane a channel; negative where the picture does not reach. */
  planes: readonly [Float32Array, Float32Array, Float32Array];
}

/** Rim in cells: enough coat to know its colour and the light by. */
const RIM_CELLS = 0.6;
const CELL_PX: Readonly<Record<number, number>> = { 5: 72, 10: 40 };

/** Brings the lattice between four corners to a square, averaging where the picture is finer than the square. */
export function flatten(pixels: Pixels, corners: Quad, cells: number): Flat | null {
  const h = computeHomography(UNIT_SQUARE, corners);
  if (!h) return null;
  const cell = CELL_PX[cells] ?? 48;
  const rim = Math.round(cell * RIM_CELLS);
  const side = cells * cell + 2 * rim;
  const planes = [0, 1, 2].map(() => new Float32Array(side * side).fill(-1)) as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const size = cells * cell;
  const grain = Math.hypot(corners[1].x - corners[0].x, corners[1].y - corners[0].y) / size;
  const taps = grain > 1.6 ? [-0.25, 0.25] : [0];
  const light = new Float64Array(3);
  for (let y = 0; y < side; y += 1) {
    for (let x = 0; x < side; x += 1) {
      light.fill(0);
      let count = 0;
      for (const dy of taps) {
        for (const dx of taps) {
          const u = (x + 0.5 + dx - rim) / size;
          const v = (y + 0.5 + dy - rim) / size;
          const w = h[6]! * u + h[7]! * v + 1;
          const inside = addLight(
            pixels,
            (h[0]! * u + h[1]! * v + h[2]!) / w,
            (h[3]! * u + h[4]! * v + h[5]!) / w,
            light,
          );
          if (inside) count += 1;
        }
      }
      if (count === 0) continue;
      const i = y * side + x;
      for (let c = 0; c < 3; c += 1) planes[c]![i] = light[c]! / count;
    }
  }
  return { side, cell, cells, rim, planes };
}

/** Is this place on the rim, outside the cuts and away from their ends? */
export const isRim = ({ side, rim, cell }: Flat, x: number, y: number): boolean => {
  const gap = cell * 0.1;
  return x < rim - gap || y < rim - gap || x >= side - rim + gap || y >= side - rim + gap;
};

/** Light over the picture as a smooth bowl in its logarithm: 1, x, y, x², xy, y². */
export type LightField = readonly number[];
const basis = (x: number, y: number): number[] => [1, x, y, x * x, x * y, y * y];

/**
 * The light over the square from the places that show the coat: least squares in the logarithm, with places far off
 * thrown out and fitted again, so that hairs, cuts and what has flaked do not count.
 */
export function fitLight(flat: Flat, isCoat: (x: number, y: number) => boolean): LightField | null {
  const rows: number[][] = [];
  const values: number[] = [];
  const every = Math.max(2, Math.round(flat.cell / 16));
  for (let y = 0; y < flat.side; y += every) {
    for (let x = 0; x < flat.side; x += every) {
      const light = luminanceAt(flat, y * flat.side + x);
      if (light <= 0 || !isCoat(x, y)) continue;
      rows.push(basis(x / flat.side - 0.5, y / flat.side - 0.5));
      values.push(Math.log(light));
    }
  }
  let kept = rows.map(() => true);
  let fit: number[] | null = null;
  for (let round = 0; round < 3; round += 1) {
    fit = leastSquares(rows, values, kept) ?? fit;
    if (!fit) return null;
    const misses = rows.map((row, i) => values[i]! - dot(row, fit!));
    const middle = median(misses);
    const spread = 1.48 * median(misses.map((miss) => Math.abs(miss - middle)));
    kept = misses.map((miss) => Math.abs(miss - middle) < Math.max(0.02, 2.5 * spread));
  }
  return fit;
}

/** Coefficients of the rows that are kept, by the normal equations; null when there are too few rows. */
function leastSquares(rows: readonly number[][], values: readonly number[], kept: readonly boolean[]): number[] | null {
  const size = rows[0]?.length ?? 0;
  const products = Matrix.zeros(size, size);
  const sums = Matrix.zeros(size, 1);
  let count = 0;
  rows.forEach((row, k) => {
    if (!kept[k]) return;
    count += 1;
    for (let i = 0; i < size; i += 1) {
      sums.set(i, 0, sums.get(i, 0) + row[i]! * values[k]!);
      for (let j = 0; j < size; j += 1) products.set(i, j, products.get(i, j) + row[i]! * row[j]!);
    }
  });
  return count < LEAST_SAMPLES ? null : solve(products, sums).to1DArray();
}

const LEAST_SAMPLES = 24;

function dot(row: readonly number[], fit: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < row.length; i += 1) sum += row[i]! * fit[i]!;
  return sum;
}

export const luminanceAt = ({ planes: [r, g, b] }: Flat, i: number): number =>
  0.2126 * r[i]! + 0.7152 * g[i]! + 0.0722 * b[i]!;

/** CIELAB of every place under even light, three values a place; the coat comes out as bright as it is in mid-picture. */
export function evenOut(flat: Flat, field: LightField): Float32Array {
  const lab = new Float32Array(flat.side * flat.side * 3);
  const level = Math.exp(field[0]!);
  for (let y = 0; y < flat.side; y += 1) {
    for (let x = 0; x < flat.side; x += 1) {
      const i = y * flat.side + x;
      if (flat.planes[0][i]! < 0) continue;
      const gain = level / Math.exp(dot(basis(x / flat.side - 0.5, y / flat.side - 0.5), field));
      const colour = convertLinearRgbToLab([
        flat.planes[0][i]! * gain,
        flat.planes[1][i]! * gain,
        flat.planes[2][i]! * gain,
      ]);
      lab[i * 3] = colour.l;
      lab[i * 3 + 1] = colour.a;
      lab[i * 3 + 2] = colour.b;
    }
  }
  return lab;
}

/** A channel this high in the file holds no more light: what it shows is burnt out. */
export const BURNT = linearOfByte(252);

/** The lattice between four corners as a square picture, for the eye. */
export function drawSquare(pixels: Pixels, corners: Quad, side: number): Pixels | null {
  const h = computeHomography(UNIT_SQUARE, corners);
  if (!h) return null;
  const data = new Uint8ClampedArray(side * side * 4).fill(255);
  const light = new Float64Array(3);
  for (let y = 0; y < side; y += 1) {
    for (let x = 0; x < side; x += 1) {
      light.fill(0);
      const place = applyHomography(h, (x + 0.5) / side, (y + 0.5) / side);
      addLight(pixels, place.x, place.y, light);
      for (let c = 0; c < 3; c += 1) data[(y * side + x) * 4 + c] = byteOfLinear(light[c]!);
    }
  }
  return { width: side, height: side, data };
}
