import {
  convertHexToLinearRgb,
  convertLinearRgbToHex,
  convertLabToLinearRgb,
  convertLinearRgbToLab,
  type Lab,
} from './convert';

type Hue = 'red' | 'orange' | 'yellow' | 'green' | 'teal' | 'blue' | 'violet' | 'pink';

/** What a colour is called by: how light, how far from grey, and towards what. */
export interface ColourName {
  depth: 'white' | 'pale' | 'light' | 'middle' | 'deep' | 'dark' | 'black';
  /** None of a grey. */
  hue: Hue | 'brown' | 'cream' | null;
  strength: 'greyish' | 'plain' | 'strong';
}

/** CIELAB of an sRGB hex colour. */
export const labOfHex = (hex: string): Lab => convertLinearRgbToLab(convertHexToLinearRgb(hex));
const chromaOf = ({ a, b }: Lab): number => Math.hypot(a, b);
const hueOf = ({ a, b }: Lab): number => ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;

/** Where each hue begins on the circle of CIELAB, degrees (by the hues of common paint names; estimate). */
const STARTS: readonly (readonly [number, Hue])[] = [
  [0, 'pink'],
  [18, 'red'],
  [48, 'orange'],
  [78, 'yellow'],
  [112, 'green'],
  [172, 'teal'],
  [222, 'blue'],
  [295, 'violet'],
  [330, 'pink'],
];
/** Closer to grey than this nobody names a hue; farther than that everybody does. */
const GREY = 4;
const STRONG = 45;
const GREYISH = 14;

/** A colour in the words that people use of it; an estimate. `hex`: sRGB. Example: "#9DB0A5" → light, greyish green. */
export function describeColour(hex: string): ColourName {
  const lab = labOfHex(hex);
  const [chroma, angle] = [chromaOf(lab), hueOf(lab)];
  const { l } = lab;
  const plain = STARTS.findLast(([start]) => angle >= start)![1];
  const warm = plain === 'orange' || plain === 'yellow';
  const hue = warm && l > 72 && chroma < 28 ? 'cream' : plain === 'orange' && l < 58 ? 'brown' : plain;
  const grey = chroma < GREY;
  const depth =
    l > 96 || (grey && l > 92)
      ? 'white'
      : l > 85
        ? 'pale'
        : l > 68
          ? 'light'
          : l > 45
            ? 'middle'
            : l > 24
              ? 'deep'
              : grey || l < 8
                ? 'black'
                : 'dark';
  return {
    depth,
    hue: grey || depth === 'white' || depth === 'black' ? null : hue,
    strength: chroma > STRONG ? 'strong' : chroma < GREYISH ? 'greyish' : 'plain',
  };
}

/** Ways from one colour to another, those that an eye sees most first. */
export type ColourWay = 'lighter' | 'darker' | 'greyer' | 'stronger' | 'warmer' | 'cooler';

/** Less than this in lightness, chroma or hue is not said (ΔE00 parts of about one; common practice: just noticeable). */
const SEEN = 1.2;

/** In what a colour differs from another, most telling first; nothing where no one sees it. Both sRGB. */
export function compareColours(hex: string, than: string): ColourWay[] {
  const [own, other] = [labOfHex(hex), labOfHex(than)];
  const light = own.l - other.l;
  const strong = chromaOf(own) - chromaOf(other);
  // Warm is towards orange (60°), cool towards blue (240°): what is left along that line besides the change of strength.
  const warmth = (lab: Lab): number => lab.a * Math.cos(Math.PI / 3) + lab.b * Math.sin(Math.PI / 3);
  const warm = warmth(own) - warmth(other);
  const ways: [number, ColourWay][] = [
    [Math.abs(light), light > 0 ? 'lighter' : 'darker'],
    [Math.abs(strong) * 0.8, strong > 0 ? 'stronger' : 'greyer'],
    [Math.abs(warm) * 0.8, warm > 0 ? 'warmer' : 'cooler'],
  ];
  return ways
    .filter(([size]) => size >= SEEN)
    .sort((a, b) => b[0] - a[0])
    .map(([, way]) => way);
}

/** How far a shade goes: a step that is plainly seen and still of the family (estimate). */
const STEP = 8;

/** A shade of a colour: a step along one of the ways, within what a screen shows. `hex`: sRGB. */
export function shiftColour(hex: string, way: ColourWay): string {
  const { l, a, b } = labOfHex(hex);
  const chroma = Math.hypot(a, b);
  const scale =
    chroma === 0 ? 1 : Math.max(0, chroma + (way === 'stronger' ? STEP : way === 'greyer' ? -STEP : 0)) / chroma;
  const warm = way === 'warmer' ? STEP : way === 'cooler' ? -STEP : 0;
  const light = way === 'lighter' ? STEP : way === 'darker' ? -STEP : 0;
  return convertLinearRgbToHex(
    convertLabToLinearRgb({
      l: Math.min(100, Math.max(0, l + light)),
      a: a * scale + warm * Math.cos(Math.PI / 3),
      b: b * scale + warm * Math.sin(Math.PI / 3),
    }),
  );
}
