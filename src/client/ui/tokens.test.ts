import { readFileSync } from 'node:fs';
import { TONES } from './tokens';

/** Contrast ratio of WCAG 2.2: (L1 + 0.05) / (L2 + 0.05) with relative luminance of sRGB. */
function contrast(a: string, b: string): number {
  const luminance = (hex: string): number => {
    const [r, g, blue] = [1, 3, 5].map((at) => {
      const value = parseInt(hex.slice(at, at + 2), 16) / 255;
      return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * blue!;
  };
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light! + 0.05) / (dark! + 0.05);
}

describe.each(['light', 'dark'] as const)('the %s tones', (scheme) => {
  const tones = TONES[scheme];
  it.each([
    ['ink', 'ground'],
    ['ink', 'card'],
    ['softInk', 'ground'],
    ['softInk', 'card'],
    ['onAct', 'act'],
    ['act', 'card'],
    ['act', 'ground'],
    ['go', 'card'],
    ['wait', 'card'],
    ['stop', 'card'],
    ['go', 'goTint'],
    ['wait', 'waitTint'],
    ['stop', 'stopTint'],
    ['ink', 'waitTint'],
    ['ink', 'stopTint'],
    ['ink', 'actTint'],
    ['softInk', 'actTint'],
  ] as const)('%s on %s is readable (WCAG 2.2 AA, 4.5:1)', (text, ground) => {
    expect(contrast(tones[text], tones[ground])).toBeGreaterThanOrEqual(4.5);
  });

  it('is the published ratio for black on white', () => expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 5));
});

it('the frame that the page draws by itself has no colour that is not in the tokens', () => {
  const colours = readFileSync('public/index.html', 'utf8').match(/#[0-9a-f]{6}\b/g) ?? [];
  const known = Object.values(TONES).flatMap((tones) => Object.values(tones).map((own) => own.toLowerCase()));
  expect(colours.length).toBeGreaterThan(5);
  expect(colours.filter((own) => !known.includes(own))).toEqual([]);
});
