/*
 * The CIE 1931 2° standard observer and daylight D65, every 10 nm from 380 to 730 nm (CIE 15 and ISO/CIE 11664; values from
 * memory, held by test to the white they must give).
 */
// prettier-ignore
const X = [0.0014, 0.0042, 0.0143, 0.0435, 0.1344, 0.2839, 0.3483, 0.3362, 0.2908, 0.1954, 0.0956, 0.0320, 0.0049, 0.0093, 0.0633, 0.1655, 0.2904, 0.4334, 0.5945, 0.7621, 0.9163, 1.0263, 1.0622, 1.0026, 0.8544, 0.6424, 0.4479, 0.2835, 0.1649, 0.0874, 0.0468, 0.0227, 0.0114, 0.0058, 0.0029, 0.0014];
// prettier-ignore
const Y = [0.0000, 0.0001, 0.0004, 0.0012, 0.0040, 0.0116, 0.0230, 0.0380, 0.0600, 0.0910, 0.1390, 0.2080, 0.3230, 0.5030, 0.7100, 0.8620, 0.9540, 0.9950, 0.9950, 0.9520, 0.8700, 0.7570, 0.6310, 0.5030, 0.3810, 0.2650, 0.1750, 0.1070, 0.0610, 0.0320, 0.0170, 0.0082, 0.0041, 0.0021, 0.0010, 0.0005];
// prettier-ignore
const Z = [0.0065, 0.0201, 0.0679, 0.2074, 0.6456, 1.3856, 1.7471, 1.7721, 1.6692, 1.2876, 0.8130, 0.4652, 0.2720, 0.1582, 0.0782, 0.0422, 0.0203, 0.0087, 0.0039, 0.0021, 0.0017, 0.0011, 0.0008, 0.0003, 0.0002, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0];
// prettier-ignore
const D65 = [49.98, 54.65, 82.75, 91.49, 93.43, 86.68, 104.86, 117.01, 117.81, 114.86, 115.92, 108.81, 109.35, 107.80, 104.79, 107.69, 104.41, 104.05, 100.00, 96.33, 95.79, 88.69, 90.01, 89.60, 87.70, 83.29, 83.70, 80.03, 80.21, 82.28, 78.28, 69.72, 71.61, 74.35, 61.60, 69.89];

export const BANDS = D65.length;
export const bandNm = (band: number): number => 380 + 10 * band;

const total = Y.reduce((sum, y, i) => sum + y * D65[i]!, 0);
/** Tristimulus values of white under D65 by these tables. Published: 0.9505, 1, 1.0891. */
export const WHITE_BY_TABLE: readonly [number, number, number] = [
  X.reduce((sum, x, i) => sum + x * D65[i]!, 0) / total,
  1,
  Z.reduce((sum, z, i) => sum + z * D65[i]!, 0) / total,
];

/** XYZ of linear sRGB's white (IEC 61966-2-1). */
const WHITE = [0.9504559271, 1, 1.0890577508] as const;
/** IEC 61966-2-1, XYZ to linear light. */
const TO_RGB = [
  [3.2409699419, -1.5373831776, -0.4986107603],
  [-0.9692436363, 1.8759675015, 0.0415550574],
  [0.0556300797, -0.2039769589, 1.0569715142],
] as const;

/** Weights of each band for linear red, green and blue, so that a reflectance of 1 everywhere is white exactly. */
export const RGB_WEIGHTS: readonly Float64Array[] = TO_RGB.map(
  (row) =>
    new Float64Array(
      D65.map((light, i) => {
        const [x, y, z] = [X[i]!, Y[i]!, Z[i]!].map(
          (own, k) => ((own * light) / total) * (WHITE[k]! / WHITE_BY_TABLE[k]!),
        );
        return row[0] * x! + row[1] * y! + row[2] * z!;
      }),
    ),
);
