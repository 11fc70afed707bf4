import { differenceCiede2000, lab65, parse } from 'culori';
import { CIEDE2000_PAIRS } from '../../../oracles/ciede2000-pairs';
import { makeRandom } from '../shared';
import { computeDeltaE00, computeLuminance, convertHexToLinearRgb, convertLinearRgbToLab, type Lab } from './index';

const toLab = ([l, a, b]: readonly [number, number, number]): Lab => ({ l, a, b });
const random = makeRandom(42);
const someHex = (): string =>
  `#${Math.floor(random() * 0x1000000)
    .toString(16)
    .padStart(6, '0')}`;

describe('colour difference', () => {
  it.each(CIEDE2000_PAIRS)('of published pair $pair is $deltaE', ({ first, second, deltaE }) => {
    expect(computeDeltaE00(toLab(first), toLab(second))).toBeCloseTo(deltaE, 4);
    expect(computeDeltaE00(toLab(second), toLab(first))).toBeCloseTo(deltaE, 4);
  });

  it('agrees with an independent library on 300 random pairs', () => {
    const reference = differenceCiede2000();
    for (let i = 0; i < 300; i += 1) {
      const [first, second] = [someHex(), someHex()];
      const ours = computeDeltaE00(
        convertLinearRgbToLab(convertHexToLinearRgb(first)),
        convertLinearRgbToLab(convertHexToLinearRgb(second)),
      );
      expect(Math.abs(ours - reference(first, second))).toBeLessThan(0.002);
    }
  });

  it('is nothing between a colour and itself', () => {
    const lab = convertLinearRgbToLab(convertHexToLinearRgb('#8A3B2F'));
    expect(computeDeltaE00(lab, lab)).toBe(0);
  });
});

describe('colour conversion', () => {
  it('gives CIELAB as published for white and red (D65), and as a library does for 200 colours', () => {
    const white = convertLinearRgbToLab([1, 1, 1]);
    expect([white.l, white.a, white.b].map((value) => Math.round(value * 1e6) / 1e6 + 0)).toEqual([100, 0, 0]);
    const red = convertLinearRgbToLab(convertHexToLinearRgb('#FF0000'));
    expect([red.l, red.a, red.b].map((value) => Number(value.toFixed(1)))).toEqual([53.2, 80.1, 67.2]);
    for (let i = 0; i < 200; i += 1) {
      const hex = someHex();
      const theirs = lab65(parse(hex));
      const ours = convertLinearRgbToLab(convertHexToLinearRgb(hex));
      expect(Math.hypot(ours.l - theirs.l, ours.a - theirs.a, ours.b - theirs.b)).toBeLessThan(0.02);
    }
  });

  it('calls white white and middle grey about a fifth of the light', () => {
    expect(computeLuminance([1, 1, 1])).toBeCloseTo(1, 12);
    expect(convertHexToLinearRgb('#808080')[0]).toBeCloseTo(0.2159, 4);
  });
});
