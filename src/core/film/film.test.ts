import {
  computeContrastRatio,
  computeReflectanceOver,
  convertReflectanceToKS,
  compareTints,
  findScatter,
  forecastCover,
} from './index';

/** The same film by the other published form: R = [1 − Rg(a − b·coth bSX)] / [a − Rg + b·coth bSX]. */
function byHyperbola(full: number, scatter: number, ground: number): number {
  const a = 1 + convertReflectanceToKS(full);
  const b = Math.sqrt(a * a - 1);
  const coth = 1 / Math.tanh(b * scatter);
  return (1 - ground * (a - b * coth)) / (a - ground + b * coth);
}

describe('light in a film (Kubelka and Munk 1931)', () => {
  it('absorbs a quarter of what it scatters where half comes back', () => {
    expect(convertReflectanceToKS(0.5)).toBe(0.25);
  });

  it.each([0.05, 0.2, 0.5, 0.85])(
    'with full reflectance %d is the ground when there is none and itself when thick',
    (full) => {
      for (const ground of [0, 0.1, 0.8]) {
        expect(computeReflectanceOver(full, 0, ground)).toBeCloseTo(ground, 9);
        expect(computeReflectanceOver(full, 1000, ground)).toBeCloseTo(full, 3);
      }
    },
  );

  it('agrees with the hyperbolic form', () => {
    for (const full of [0.1, 0.4, 0.9])
      for (const scatter of [0.1, 1, 5])
        for (const ground of [0, 0.3, 0.9])
          expect(computeReflectanceOver(full, scatter, ground)).toBeCloseTo(byHyperbola(full, scatter, ground), 9);
  });

  it('hides more the thicker it is, and the scatter is found again from the contrast ratio', () => {
    for (const full of [0.1, 0.5, 0.85]) {
      let last = 0;
      for (const scatter of [0.5, 1, 2, 4, 8]) {
        const ratio = computeContrastRatio(full, scatter);
        expect(ratio).toBeGreaterThan(last);
        last = ratio;
        if (ratio < 0.9999) expect(findScatter(full, ratio)).toBeCloseTo(scatter, 4);
      }
    }
  });
});

describe('coats to cover', () => {
  const white = { colour: '#F3EFE6', contrastRatio: 0.94 };
  const MAHOGANY = '#5E2F22';

  it('takes fewer coats over a pale ground than over a dark one, and none less than one', () => {
    const weak = { ...white, contrastRatio: 0.85 };
    const pale = forecastCover('#E2C58F', [], weak).coats;
    const dark = forecastCover(MAHOGANY, [], weak).coats;
    expect(pale).toBeGreaterThanOrEqual(1);
    expect(dark).toBeGreaterThan(pale);
    expect(forecastCover(MAHOGANY, [], white).coats).toBeLessThan(dark);
  });

  it('comes nearer to the wished colour with every coat', () => {
    const { deltaE } = forecastCover(MAHOGANY, [], white);
    for (let i = 1; i < deltaE.length; i += 1) expect(deltaE[i]).toBeLessThan(deltaE[i - 1]!);
  });

  it('needs one coat where the ground has the colour already', () => {
    expect(forecastCover('#F3EFE6', [], white).coats).toBe(1);
  });

  it('puts a dark primer under a dark paint, since its hiding is weak in reds', () => {
    const oxblood = { colour: '#6E1F1A', contrastRatio: 0.9 };
    const tints = compareTints('#F3EFE6', 2, 0.93, oxblood);
    expect(tints[0]!.tint).not.toBe('white');
    expect(tints[0]!.coats).toBeLessThan(tints.find(({ tint }) => tint === 'white')!.coats);
  });
});
