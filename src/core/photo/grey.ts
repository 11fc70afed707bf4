import { boxBlur, shrinkToBrightness, type Pixels, type Plane } from './pixels';

/** The brightness of a picture as logarithms of luminance, its longer side about `side` pixels. */
export const toGrey = (picture: Pixels, side: number): Plane =>
  shrinkToBrightness(picture, Math.max(1, Math.round(Math.max(picture.width, picture.height) / side)));

/** What is left of a picture without its light: each place against its surroundings, in logarithms of luminance. */
export function flattenLight(grey: Plane, radius: number): Plane {
  const around = boxBlur(grey, radius).values;
  return { ...grey, values: grey.values.map((value, i) => value - around[i]!) };
}

/** Root of the mean square. */
export const spreadOf = (values: Float32Array): number =>
  Math.sqrt(values.reduce((sum, value) => sum + value * value, 0) / Math.max(1, values.length));
