import type { PrimerCode } from '../knowledge';
import type { Need } from '../survey';
import { compareWithNamed } from './named-class';
import { UNTOUCHED } from './surface-state';

const needs = (...codes: string[]): Need[] => codes.map((code) => ({ code, p: 0.9 }) as Need);
const compare = (named: Need[], primer: PrimerCode | null, pale = true) =>
  compareWithNamed(named, { ...UNTOUCHED, primers: primer ? [{ code: primer, coats: 2 }] : [] }, pale)?.code ?? null;

describe('the class that Read named', () => {
  it('is taken, or it is said why not', () => {
    expect(compare(needs('bonding_primer'), 'bonding_primer_wb')).toBe('as_named');
    expect(compare(needs('bonding_primer', 'stain_block'), 'shellac_primer')).toBe('grips_and_blocks');
    expect(compare(needs('bonding_primer'), 'shellac_primer')).toBe('grips_enough');
    expect(compare(needs('stain_block'), 'shellac_primer')).toBe('as_named');
    expect(compare(needs('stain_block'), 'allpurpose_primer_wb', false)).toBe('hidden_by_dark');
  });

  it('is nothing to speak of where none was named, or nothing is primed', () => {
    expect(compare(needs('scuff'), 'shellac_primer')).toBeNull();
    expect(compare(needs('bonding_primer'), null)).toBeNull();
  });
});
