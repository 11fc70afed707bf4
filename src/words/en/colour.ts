import { describeColour, type ColourName, type ColourWay, type Palette } from '@/core/colour';

const DEPTHS: Record<ColourName['depth'], string> = {
  white: 'white',
  pale: 'pale',
  light: 'light',
  middle: 'middle',
  deep: 'deep',
  dark: 'dark',
  black: 'black',
};

const STRENGTHS: Record<ColourName['strength'], string> = { greyish: 'greyish', plain: '', strong: 'strong' };
const HUES: Record<NonNullable<ColourName['hue']>, string> = {
  red: 'red',
  orange: 'orange',
  yellow: 'yellow',
  green: 'green',
  teal: 'teal',
  blue: 'blue',
  violet: 'violet',
  pink: 'pink',
  brown: 'brown',
  cream: 'cream',
};

/** A colour in plain words, for whoever cannot see the swatch: "light greyish green". */
export function sayColour(hex: string): string {
  const { depth, hue, strength } = describeColour(hex);
  if (depth === 'white' || depth === 'black') return DEPTHS[depth];
  if (hue === null) return `${DEPTHS[depth]} grey`;
  return [DEPTHS[depth], STRENGTHS[strength], HUES[hue]].filter(Boolean).join(' ');
}

const WAYS: Record<ColourWay, string> = {
  lighter: 'lighter',
  darker: 'darker',
  greyer: 'greyer',
  stronger: 'stronger',
  warmer: 'warmer',
  cooler: 'cooler',
};

/** In what one colour differs from another: "lighter and a little warmer than Sage". */
export function sayColourWays(ways: readonly ColourWay[], than: string): string {
  const [first, second] = ways;
  if (!first) return `not to be told apart from ${than}`;
  return `${WAYS[first]}${second ? ` and a little ${WAYS[second]}` : ''} than ${than}`;
}

const PALETTES: Record<Palette['kind'], string> = {
  strong: 'Strong: a pale body, dark fronts',
  quiet: 'Quiet: two that stand near each other',
  warm_cool: 'Warm and cool',
  tonal: 'One hue, lighter and darker',
};
export const sayPalette = (kind: Palette['kind']): string => PALETTES[kind];

/** How far two colours are apart in lightness, L* 0–100. */
export const sayPairContrast = (contrast: number): string =>
  contrast < 15
    ? 'little contrast: from across the room they are one'
    : contrast < 40
      ? 'a soft contrast'
      : 'a strong contrast: every uneven edge shows';

/** On the card that a coat is drawn down over. */
export const CARD_WORDS = {
  title: 'Draw-down card',
  checkLine: 'This line is 100 mm long. If it is not, print again at 100 %.',
  overBlack: 'One coat over black',
  overWhite: 'and over white',
  bare: 'Leave this white bare.',
};
