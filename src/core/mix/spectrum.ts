import {
  convertHexToLinearRgb,
  convertLinearRgbToHex,
  convertLinearRgbToLab,
  type Lab,
  type LinearRgb,
} from '../colour';
import { BANDS, bandNm, RGB_WEIGHTS } from './observer';

/** Reflectance of each band, above 0 and below 1. */
export type Spectrum = Float64Array;

/** Linear sRGB of a reflectance under D65. Plain loops: a search asks this ten thousand times. */
function convertSpectrumToLinearRgb(spectrum: Spectrum): LinearRgb {
  const [red, green, blue] = RGB_WEIGHTS as [Float64Array, Float64Array, Float64Array];
  let [r, g, b] = [0, 0, 0];
  for (let i = 0; i < BANDS; i += 1) {
    const own = spectrum[i]!;
    r += red[i]! * own;
    g += green[i]! * own;
    b += blue[i]! * own;
  }
  return [r, g, b];
}

/** No paint is blacker or whiter (common practice: a matt black throws back about 3 %). */
const DARKEST = 0.004;
const PALEST = 0.996;

/** The colour on a screen that a reflectance was made of, or is: what is left out between black and white is put back. */
const convertToScreen = (spectrum: Spectrum): LinearRgb => spread(convertSpectrumToLinearRgb(spectrum));
const spread = ([r, g, b]: LinearRgb): LinearRgb => {
  const width = PALEST - DARKEST;
  return [(r - DARKEST) / width, (g - DARKEST) / width, (b - DARKEST) / width];
};

export const convertSpectrumToLab = (spectrum: Spectrum): Lab => convertLinearRgbToLab(convertToScreen(spectrum));

/** Where a band lies between the ends, −1 to 1: keeps the three numbers of a curve of one size. */
const PLACE = Float64Array.from({ length: BANDS }, (_, i) => (2 * (bandNm(i) - 380)) / (bandNm(BANDS - 1) - 380) - 1);
const drawCurve = ([c0, c1, c2]: readonly number[], into: Spectrum): Spectrum => {
  for (let i = 0; i < BANDS; i += 1) {
    const at = PLACE[i]!;
    const x = (c0! * at + c1!) * at + c2!;
    into[i] = 0.5 + x / (2 * Math.sqrt(1 + x * x));
  }
  return into;
};

const MOST_STEPS = 60;
const NEAR_ENOUGH = 1e-9;
const KNOWN = new Map<string, Spectrum>();
const MOST_KNOWN = 500;

/**
 * A smooth reflectance that is this colour under D65: a sigmoid of a parabola in wavelength, its three numbers found by
 * damped Gauss-Newton (Levenberg and Marquardt). Source: Jakob and Hanika, A low-dimensional function space for efficient
 * spectral upsampling, Computer Graphics Forum 38 (2019). `hex`: sRGB. Grey is flat.
 */
export function convertHexToSpectrum(hex: string): Spectrum {
  const known = KNOWN.get(hex);
  if (known) return known;
  const target = convertHexToLinearRgb(hex).map((own) => DARKEST + own * (PALEST - DARKEST));
  const spectrum = solve(target);
  if (KNOWN.size >= MOST_KNOWN) KNOWN.clear();
  KNOWN.set(hex, spectrum);
  return spectrum;
}

function solve(target: readonly number[]): Spectrum {
  const grey = target.reduce((sum, own) => sum + own, 0) / 3;
  // Start from the flat curve of the mean: (2y − 1) / (2 √(y − y²)).
  let c = [0, 0, (2 * grey - 1) / (2 * Math.sqrt(grey * (1 - grey)))];
  const spectrum = new Float64Array(BANDS);
  const off = (at: readonly number[]): number[] => {
    const rgb = convertSpectrumToLinearRgb(drawCurve(at, spectrum));
    return rgb.map((own, i) => own - target[i]!);
  };
  let left = off(c);
  let error = squares(left);
  let damping = 1e-3;
  for (let step = 0; step < MOST_STEPS && error > NEAR_ENOUGH ** 2; step += 1) {
    const slopes = c.map((own, k) => {
      const h = 1e-5 * Math.max(1, Math.abs(own));
      const there = off(c.map((value, j) => (j === k ? value + h : value)));
      return there.map((value, i) => (value - left[i]!) / h);
    });
    const moved = c.map((own, k) => own - stepOf(slopes, left, damping)[k]!);
    const next = off(moved);
    if (squares(next) < error) {
      [c, left, error] = [moved, next, squares(next)];
      damping = Math.max(1e-9, damping / 4);
    } else damping *= 6;
  }
  drawCurve(c, spectrum);
  return spectrum.map((own) => Math.min(PALEST, Math.max(DARKEST, own)));
}

const squares = (list: readonly number[]): number => list.reduce((sum, own) => sum + own * own, 0);

/** (JᵀJ + damping · diag JᵀJ)⁻¹ Jᵀr, of three numbers. `slopes`: a row for each number of the curve. */
function stepOf(slopes: readonly (readonly number[])[], left: readonly number[], damping: number): number[] {
  const dot = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, own, i) => sum + own * b[i]!, 0);
  const m = slopes.map((row, i) =>
    slopes.map((other, j) => dot(row, other) * (i === j ? 1 + damping : 1) + (i === j ? 1e-14 : 0)),
  );
  const r = slopes.map((row) => dot(row, left));
  const det = determinant(m);
  if (det === 0) return [0, 0, 0];
  // Cramer's rule.
  return r.map((_, k) => determinant(m.map((row, i) => row.map((own, j) => (j === k ? r[i]! : own)))) / det);
}

const determinant = (m: readonly (readonly number[])[]): number =>
  m[0]![0]! * (m[1]![1]! * m[2]![2]! - m[1]![2]! * m[2]![1]!) -
  m[0]![1]! * (m[1]![0]! * m[2]![2]! - m[1]![2]! * m[2]![0]!) +
  m[0]![2]! * (m[1]![0]! * m[2]![1]! - m[1]![1]! * m[2]![0]!);

/** The colour of a reflectance on a screen: the reverse of `convertHexToSpectrum`. */
export const convertSpectrumToHex = (spectrum: Spectrum): string => convertLinearRgbToHex(convertToScreen(spectrum));
