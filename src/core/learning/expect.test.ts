import { PREPS, PRIMER_FACTS, PRIMERS, type FinishCode, type PrimerCode } from '../knowledge';
import { BLEED_LEAK, expectFailure, expectLoss } from './expect';

const SLICK = [0, 0, 1];
const COATED = [0, 1, 0];
const POROUS = [1, 0, 0];
const leak = (primer: PrimerCode, coats: 1 | 2): number => BLEED_LEAK[PRIMER_FACTS[primer].block][coats - 1]!;

/* What common practice says of the classes, in the order it says it. The figures themselves are estimates. */
describe('the table of classes, beside what common practice reports', () => {
  it('on a slick face a visible scuff does more than a primer, and both together are surest', () => {
    for (const primer of [
      'allpurpose_primer_wb',
      'stainblock_primer_wb',
      'shellac_primer',
      'bonding_primer_wb',
    ] as const) {
      const scuffAlone = expectLoss(SLICK, 'scuff_150', null);
      expect(scuffAlone).toBeLessThan(expectLoss(SLICK, 'none', primer));
      expect(expectLoss(SLICK, 'scuff_150', primer)).toBeLessThan(scuffAlone);
    }
  });

  it('a liquid deglosser softens coats and is no use on a factory film', () => {
    expect(expectLoss(SLICK, 'liquid_degloss', null)).toBe(expectLoss(SLICK, 'none', null));
    expect(expectLoss(COATED, 'liquid_degloss', null)).toBeLessThan(expectLoss(COATED, 'none', null) / 3);
  });

  it('without preparation nine failures in ten are its fault: with it, at most a tenth is left on coats that are sound', () => {
    expect(expectLoss(COATED, 'scuff_180', 'bonding_primer_wb') / expectLoss(COATED, 'none', null)).toBeLessThan(0.1);
    expect(expectLoss(SLICK, 'scuff_150', 'bonding_primer_wb') / expectLoss(SLICK, 'none', null)).toBeLessThan(0.1);
  });

  it('slick asks more of a primer than a coat does, and a coat more than bare wood', () => {
    // What is stripped or sanded bare is the same ground whatever lay on it.
    for (const prep of PREPS.filter((code) => code !== 'strip' && code !== 'sand_bare'))
      for (const primer of [null, ...PRIMERS]) {
        expect(expectLoss(POROUS, prep, primer)).toBeLessThanOrEqual(expectLoss(COATED, prep, primer));
        expect(expectLoss(COATED, prep, primer)).toBeLessThanOrEqual(expectLoss(SLICK, prep, primer));
      }
  });

  it('the laminate primer with an additive grips best, the waterborne bonding primer best of the waterborne', () => {
    const loss = (primer: PrimerCode): number => expectLoss(SLICK, 'none', primer);
    const best = [...PRIMERS].sort((a, b) => loss(a) - loss(b));
    expect(best[0]).toBe('bonding_primer_2k');
    expect(best.find((code) => PRIMER_FACTS[code].carrier === 'water')).toBe('bonding_primer_wb');
    expect(Math.max(...PRIMERS.map(loss))).toBe(loss('allpurpose_primer_wb'));
  });

  it('in a comparison of nine primers, two coats each, the order of what bled through a dark bare top', () => {
    const held = (['stainblock_primer_oil', 'shellac_primer', 'stainblock_primer_wb'] as const).map((p) => leak(p, 2));
    const spots = leak('aerosol_stainblock', 2);
    const bled = (['allpurpose_primer_wb', 'bonding_primer_wb', 'stainblock_clear_wb'] as const).map((p) => leak(p, 2));
    expect(Math.max(...held)).toBeLessThan(spots);
    expect(spots).toBeLessThan(Math.min(...bled));
    // What bled there did so plainly: no class is given an even chance that bled.
    expect(Math.min(...bled)).toBeGreaterThan(0.5);
    for (const primer of PRIMERS) expect(leak(primer, 2)).toBeLessThanOrEqual(leak(primer, 1));
  });

  it('claims no more certainty than estimates have', () => {
    for (const finish of ['factory_film', 'bare', 'varnish_oil'] as FinishCode[])
      for (const primer of ['none', ...PRIMERS] as const) {
        const p = expectFailure('adhesion', { substrate: 'melamine_board', finish }, 'scuff_150', primer);
        expect(p).toBeGreaterThanOrEqual(0.02);
        expect(p).toBeLessThanOrEqual(0.98);
      }
  });
});
