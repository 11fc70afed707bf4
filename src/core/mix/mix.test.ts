import { computeDeltaE00, convertHexToLinearRgb, convertLinearRgbToLab, type Lab } from '../colour';
import { makeRandom } from '../shared';
import { convertKSToReflectance, convertReflectanceToKS } from '../film';
import { absorptionOf, defaultStrength, mixSpectra, type Part } from './mix-spectra';
import { WHITE_BY_TABLE } from './observer';
import { convertHexToSpectrum, convertSpectrumToHex, convertSpectrumToLab } from './spectrum';

const labOf = (hex: string): Lab => convertLinearRgbToLab(convertHexToLinearRgb(hex));
const part = (hex: string, share: number, strength = 1): Part => ({
  absorption: absorptionOf(convertHexToSpectrum(hex)),
  strength,
  share,
});
const mixed = (...parts: Part[]): string => convertSpectrumToHex(mixSpectra(parts));
const random = makeRandom(18);
const someHex = (): string =>
  `#${Math.floor(random() * 0x1000000)
    .toString(16)
    .padStart(6, '0')
    .toUpperCase()}`;

describe('an opaque film', () => {
  // Kubelka and Munk (1931); the values of common practice.
  it('throws back a half where absorption is a quarter of scattering, and the other way round', () => {
    expect(convertReflectanceToKS(0.5)).toBe(0.25);
    expect(convertKSToReflectance(0.25)).toBeCloseTo(0.5, 12);
    for (const r of [0.02, 0.2, 0.7, 0.98])
      expect(convertKSToReflectance(convertReflectanceToKS(r))).toBeCloseTo(r, 12);
  });

  it('goes far darker with a little black than a straight average: 5 % of 0.04 in 0.90 → 0.356', () => {
    const flat = (r: number, share: number): Part => ({
      absorption: Float64Array.of(convertReflectanceToKS(r)),
      strength: 1,
      share,
    });
    const [r] = mixSpectra([flat(0.9, 0.95), flat(0.04, 0.05)]);
    expect(convertReflectanceToKS(r!)).toBeCloseTo(0.581, 3);
    expect(r).toBeCloseTo(0.356, 3);
  });
});

describe('a reflectance from a colour', () => {
  it('stands on tables that give the white of daylight (CIE 15: 0.9505, 1, 1.0891)', () => {
    expect(WHITE_BY_TABLE[0]).toBeCloseTo(0.9505, 2);
    expect(WHITE_BY_TABLE[2]).toBeCloseTo(1.0891, 2);
  });

  it('is that colour again for 400 colours, and lies between nothing and all', () => {
    let worst = 0;
    for (let i = 0; i < 400; i += 1) {
      const hex = someHex();
      const spectrum = convertHexToSpectrum(hex);
      expect(Math.min(...spectrum)).toBeGreaterThan(0);
      expect(Math.max(...spectrum)).toBeLessThan(1);
      worst = Math.max(worst, computeDeltaE00(labOf(hex), labOf(convertSpectrumToHex(spectrum))));
    }
    // A screen shows blues that no smooth reflectance is.
    expect(worst).toBeLessThan(3);
  });

  it('is flat for grey', () => {
    const spectrum = convertHexToSpectrum('#777777');
    expect(Math.max(...spectrum) - Math.min(...spectrum)).toBeLessThan(1e-3);
  });
});

describe('a mix', () => {
  it('of a colour with itself is that colour, and of one alone too', () => {
    for (const hex of ['#8A3B2F', '#F3EFE6', '#2B4C3F', '#D9B23C']) {
      expect(mixed(part(hex, 0.3), part(hex, 0.7))).toBe(convertSpectrumToHex(convertHexToSpectrum(hex)));
      expect(mixed(part(hex, 1), part('#000000', 0))).toBe(convertSpectrumToHex(convertHexToSpectrum(hex)));
    }
  });

  it('does not hang on the order, and lies between its parts in lightness', () => {
    for (let i = 0; i < 50; i += 1) {
      const [one, other, share] = [someHex(), someHex(), random()];
      expect(mixed(part(one, share), part(other, 1 - share))).toBe(mixed(part(other, 1 - share), part(one, share)));
      const l = convertSpectrumToLab(mixSpectra([part(one, share), part(other, 1 - share)])).l;
      expect(l).toBeLessThanOrEqual(Math.max(labOf(one).l, labOf(other).l) + 1);
    }
  });

  it('of yellow and blue goes green, not grey', () => {
    const { a, b } = convertSpectrumToLab(mixSpectra([part('#F2C500', 0.5), part('#1F4FA8', 0.5)]));
    expect(a).toBeLessThan(-8);
    expect(Math.hypot(a, b)).toBeGreaterThan(12);
  });

  it('goes toward what tints more strongly', () => {
    const even = convertSpectrumToLab(mixSpectra([part('#FFFFFF', 0.8), part('#202020', 0.2)])).l;
    const strong = convertSpectrumToLab(mixSpectra([part('#FFFFFF', 0.8), part('#202020', 0.2, 3)])).l;
    expect(strong).toBeLessThan(even - 3);
  });
});

describe('the strength of a tin that no trial has told of', () => {
  it('lets one part of any black in twenty pull white to a reflectance of about 0.36 (worked by hand: K/S 0.581)', () => {
    for (const black of ['#333333', '#1C1C1C', '#101010', '#050505']) {
      const white = '#F2F2F2';
      const mixed = mixSpectra([
        { ...part(white, 0.95), strength: defaultStrength(white) },
        { ...part(black, 0.05), strength: defaultStrength(black) },
      ]);
      const mean = mixed.reduce((sum, own) => sum + own, 0) / mixed.length;
      expect(mean).toBeGreaterThan(0.33);
      expect(mean).toBeLessThan(0.41);
    }
    expect(defaultStrength('#808080')).toBe(1);
  });
});
