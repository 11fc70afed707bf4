/** Linear-light sRGB, each channel 0–1. */
export type LinearRgb = readonly [red: number, green: number, blue: number];
/** CIELAB under D65, 2° observer. */
export interface Lab {
  l: number;
  a: number;
  b: number;
}

/** Linear light of an sRGB hex colour (IEC 61966-2-1). Example: `#808080` → 0.2159 in each channel. */
export function convertHexToLinearRgb(hex: string): LinearRgb {
  const channel = (at: number): number => {
    const value = parseInt(hex.slice(at, at + 2), 16) / 255;
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
  };
  return [channel(1), channel(3), channel(5)];
}

/** Relative luminance, 0 black to 1 white (ITU-R BT.709 weights). */
export const computeLuminance = ([red, green, blue]: LinearRgb): number =>
  0.2126 * red + 0.7152 * green + 0.0722 * blue;

/** CIELAB of linear sRGB (IEC 61966-2-1 matrix, CIE 15, D65). White (1, 1, 1) → (100, 0, 0). */
export function convertLinearRgbToLab([r, g, b]: LinearRgb): Lab {
  const x = (0.4123907993 * r + 0.3575843394 * g + 0.1804807884 * b) / WHITE_D65.x;
  const y = 0.2126390059 * r + 0.7151686788 * g + 0.0721923154 * b;
  const z = (0.0193308187 * r + 0.1191947798 * g + 0.9505321522 * b) / WHITE_D65.z;
  const f = (t: number): number => (t > (6 / 29) ** 3 ? Math.cbrt(t) : t / (3 * (6 / 29) ** 2) + 4 / 29);
  return { l: 116 * f(y) - 16, a: 500 * (f(x) - f(y)), b: 200 * (f(y) - f(z)) };
}

/** The white the matrix above gives for (1, 1, 1). */
const WHITE_D65 = { x: 0.4123907993 + 0.3575843394 + 0.1804807884, z: 0.0193308187 + 0.1191947798 + 0.9505321522 };
