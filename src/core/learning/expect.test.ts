import {
  GRIP_GROUNDS,
  PREPS,
  PRIMER_FACTS,
  PRIMERS,
  type FinishCode,
  type GripGround,
  type PrimerCode,
} from '../knowledge';
import { BLEED_LEAK, expectFailure, expectLossOn, type FirstCoat } from './expect';

const lets = (
  ground: GripGround,
  prep: FirstCoat['prep'],
  primer: PrimerCode | null,
  paint?: FirstCoat['paint'],
): number => expectLossOn(ground, { prep, primer, ...(paint ? { paint } : {}) });
const leak = (primer: PrimerCode, coats: 1 | 2): number => BLEED_LEAK[PRIMER_FACTS[primer].block][coats - 1]!;

describe('the table of classes, beside what common practice reports', () => {
  // Within two years in a bedroom or hall: common practice, in per cent.
  it.each([
    ['film', 'scuff_150', 'bonding_primer_2k', undefined, 1.5],
    ['film', 'scuff_150', 'bonding_primer_wb', undefined, 2.5],
    ['film', 'scuff_150', 'bonding_primer_oil', undefined, 2.5],
    ['film', 'scuff_150', 'shellac_primer', undefined, 4],
    ['film', 'scuff_150', 'stainblock_primer_wb', undefined, 8],
    ['film', 'scuff_150', 'allpurpose_primer_wb', undefined, 22],
    ['film', 'scuff_150', null, 'wb_alkyd_enamel', 20],
    ['film', 'scuff_150', null, 'cabinet_paint_2k', 12],
    ['film', 'scuff_150', null, 'latex_wall_paint', 45],
    ['film', 'none', 'bonding_primer_2k', undefined, 6],
    ['film', 'none', 'bonding_primer_wb', undefined, 10],
    ['film', 'none', 'shellac_primer', undefined, 12],
    ['film', 'none', 'stainblock_primer_wb', undefined, 50],
    ['film', 'none', null, undefined, 80],
    ['film', 'scuff_220', 'bonding_primer_wb', undefined, 3.75],
    ['coat', 'scuff_150', null, 'wb_alkyd_enamel', 4],
    ['coat', 'none', 'bonding_primer_wb', undefined, 5],
    ['coat', 'none', 'shellac_primer', undefined, 5],
    ['coat', 'none', null, undefined, 30],
    ['soft_paint', 'scuff_150', 'bonding_primer_wb', undefined, 5],
    ['raw_wood', 'scuff_150', 'allpurpose_primer_wb', undefined, 1],
    ['raw_wood', 'scuff_150', null, undefined, 2],
    ['raw_board', 'scuff_150', 'shellac_primer', undefined, 1.5],
    ['metal', 'scuff_150', 'metal_primer', undefined, 2],
    ['metal', 'scuff_150', 'allpurpose_primer_wb', undefined, 25],
  ] as const)('on %s, %s, %s %s lets go in %d %%', (ground, prep, primer, paint, percent) =>
    expect(100 * lets(ground, prep, primer, paint)).toBeCloseTo(percent, 6),
  );

  it('lets any primer that fits hold on a sound coat that was scuffed: 1.5 to 2.5 in a hundred', () => {
    for (const primer of PRIMERS) {
      expect(lets('coat', 'scuff_180', primer)).toBeGreaterThanOrEqual(0.015);
      expect(lets('coat', 'scuff_180', primer)).toBeLessThanOrEqual(0.025);
    }
  });

  it('keeps the order of the classes on a film, of scuffed and not, and takes a deglosser on film for cleaning', () => {
    const order = [
      'bonding_primer_2k',
      'bonding_primer_wb',
      'shellac_primer',
      'stainblock_primer_wb',
      'allpurpose_primer_wb',
    ] as const;
    for (const prep of ['none', 'scuff_150', 'scuff_220'] as const) {
      const losses = order.map((primer) => lets('film', prep, primer));
      expect(losses).toEqual([...losses].sort((a, b) => a - b));
    }
    for (const ground of GRIP_GROUNDS)
      for (const primer of [null, ...PRIMERS])
        expect(lets(ground, 'scuff_150', primer)).toBeLessThanOrEqual(lets(ground, 'none', primer));
    expect(lets('film', 'liquid_degloss', 'bonding_primer_wb')).toBe(lets('film', 'none', 'bonding_primer_wb'));
  });

  it('asks most of a primer on film: sealed raw board, a coat, a film, under the same care', () => {
    for (const primer of PRIMERS.filter((code) => PRIMER_FACTS[code].slick !== 'none')) {
      expect(lets('raw_board', 'scuff_150', primer)).toBeLessThanOrEqual(lets('coat', 'scuff_150', primer));
      expect(lets('coat', 'scuff_150', primer)).toBeLessThanOrEqual(lets('film', 'scuff_220', primer));
    }
    for (const prep of PREPS)
      for (const ground of GRIP_GROUNDS) expect(lets(ground, prep, null)).toBeLessThanOrEqual(0.95);
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
        const p = expectFailure('adhesion', { substrate: 'melamine_board', finish }, { prep: 'scuff_150', primer });
        expect(p).toBeGreaterThanOrEqual(0.01);
        expect(p).toBeLessThanOrEqual(0.99);
      }
  });
});
