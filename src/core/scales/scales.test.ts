import { CROSS_CUT_CASES } from '../../../oracles/cross-cut-classes';
import { PENCIL_GRADES } from '../dossier';
import {
  astmOfSeverity,
  severityOfAstm,
  severityOfBleed,
  severityOfPencil,
  severityOfRubs,
  specifyAstmCut,
  specifyCut,
  toAstmClass,
  toIsoClass,
} from './index';

describe('cross-cut classes (ASTM D3359 method B, ISO 2409)', () => {
  it.each(CROSS_CUT_CASES)('%p %% removed is ISO %p and ASTM %p', (removed, iso, astm) => {
    expect(toIsoClass(removed)).toBe(iso);
    expect(toAstmClass(removed)).toBe(astm);
  });

  it('gets no better as more is removed, on either scale', () => {
    for (let removed = 0; removed < 100; removed += 0.25) {
      expect(toIsoClass(removed + 0.25)).toBeGreaterThanOrEqual(toIsoClass(removed));
      expect(severityOfAstm(toAstmClass(removed + 0.25))).toBeGreaterThanOrEqual(severityOfAstm(toAstmClass(removed)));
    }
  });

  it('counts 5B as nothing and 0B as the worst, and back', () => {
    expect(severityOfAstm('5B')).toBe(0);
    expect(severityOfAstm('0A')).toBe(5);
    expect(astmOfSeverity(2)).toBe('3B');
  });
});

describe('how to cut', () => {
  it.each([
    [60, 'hard', 1],
    [60, 'soft', 2],
    [61, 'hard', 2],
    [120, 'soft', 2],
    [121, 'soft', 3],
    [250, 'hard', 3],
  ] as const)('ISO 2409: %p µm on a %s ground wants %p mm', (film, ground, spacing) => {
    expect(specifyCut(film, ground)).toEqual({ standard: 'ISO 2409', cuts: 6, spacing_mm: spacing, squares: 25 });
  });

  it('asks for an X where the film is too thick for a lattice', () => {
    expect(specifyCut(251, 'soft').standard).toBe('ASTM D3359 A');
    expect(specifyAstmCut(126).method).toBe('A');
  });

  it.each([
    [50, 11, 1, 100],
    [51, 6, 2, 25],
    [125, 6, 2, 25],
  ])('ASTM D3359 B: %p µm wants %p cuts %p mm apart', (film, cuts, spacing, squares) => {
    expect(specifyAstmCut(film)).toEqual({ method: 'B', cuts, spacing_mm: spacing, squares });
  });
});

describe('other scales', () => {
  it('passes a bleed of mean ΔE00 under 1 with its worst spot under 2, and nothing above (common practice)', () => {
    expect(severityOfBleed(0.9, 1.9)).toBeLessThanOrEqual(1);
    expect(severityOfBleed(1.0, 1.5)).toBeGreaterThan(1);
    expect(severityOfBleed(0.4, 2.0)).toBeGreaterThan(1);
  });

  it('takes more rubs and harder pencils as better', () => {
    expect(severityOfRubs(120)).toBe(0);
    expect(severityOfRubs(2)).toBe(5);
    expect(severityOfPencil(PENCIL_GRADES, '2H')).toBe(0);
    expect(severityOfPencil(PENCIL_GRADES, 'B')).toBe(1);
    expect(severityOfPencil(PENCIL_GRADES, '6B')).toBe(5);
  });
});
