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

/** The reverse of `convertLinearRgbToLab`; out of gamut, channels lie outside 0–1. */
export function convertLabToLinearRgb({ l, a, b }: Lab): LinearRgb {
  const back = (t: number): number => (t > 6 / 29 ? t ** 3 : 3 * (6 / 29) ** 2 * (t - 4 / 29));
  const fy = (l + 16) / 116;
  const x = WHITE_D65.x * back(fy + a / 500);
  const y = back(fy);
  const z = WHITE_D65.z * back(fy - b / 200);
  return [
    3.2409699419 * x - 1.5373831776 * y - 0.4986107603 * z,
    -0.9692436363 * x + 1.8759675015 * y + 0.0415550574 * z,
    0.0556300797 * x - 0.2039769589 * y + 1.0569715142 * z,
  ];
}

const HEX = '0123456789ABCDEF';

/** sRGB hex of linear light, clamped to what a screen shows. */
export function convertLinearRgbToHex(rgb: LinearRgb): string {
  const channels = rgb.map((own) => {
    const value = own <= 0.0031308 ? 12.92 * own : 1.055 * Math.max(0, own) ** (1 / 2.4) - 0.055;
    return Math.min(255, Math.max(0, Math.round(255 * value)));
  });
  return `#${channels.map((own) => HEX[own >> 4]! + HEX[own & 15]!).join('')}`;
}
