import { findFacet } from '../survey/likelihood';
import {
  CHECKS,
  DEFECT_FACTS,
  DEFECTS,
  FINISHES,
  FINISH_FACTS,
  PRIMER_FACTS,
  PRIMERS,
  SUBSTRATE_FACTS,
  SUBSTRATES,
  computeCoatMl,
  isLeadPossible,
  labelProduct,
  PRODUCT_CLASSES,
} from './index';

describe('the knowledge tables', () => {
  it('cover every code with words and a basis', () => {
    for (const code of SUBSTRATES) expect(SUBSTRATE_FACTS[code].matters.length).toBeGreaterThan(5);
    for (const code of FINISHES) expect(FINISH_FACTS[code].basis).toBeTruthy();
    for (const code of PRIMERS) expect(PRIMER_FACTS[code].note.length).toBeGreaterThan(5);
    for (const code of DEFECTS) expect(DEFECT_FACTS[code].label).toBeTruthy();
    for (const code of PRODUCT_CLASSES) expect(labelProduct(code)).not.toContain('_');
  });

  it('name a source for what they call published', () => {
    for (const fact of Object.values(SUBSTRATE_FACTS)) if (fact.basis === 'published') expect(fact.source).toBeTruthy();
  });

  it('hold checks with at least two answers, unique codes, and one small fact at most', () => {
    expect(CHECKS.length).toBeGreaterThanOrEqual(14);
    expect(new Set(CHECKS.map(({ code }) => code)).size).toBe(CHECKS.length);
    for (const check of CHECKS) {
      expect(check.answers.length).toBeGreaterThan(1);
      expect(new Set(check.answers.map(({ code }) => code)).size).toBe(check.answers.length);
      const facets = new Set(check.answers.map(({ says }) => findFacet([says])).filter((facet) => facet !== null));
      expect(facets.size).toBeLessThanOrEqual(1);
    }
  });

  it('never call a bonding or all-purpose primer a stain block', () => {
    expect(PRIMER_FACTS.bonding_primer_wb.block).toBe('none');
    expect(PRIMER_FACTS.allpurpose_primer_wb.block).toBe('none');
  });
});

describe('paint for an area', () => {
  it('follows from unit geometry', () => {
    // 1 m² at 40 µm dry from a paint of 40 % solids: 100 µm wet = 100 ml, and 10 % lost.
    expect(computeCoatMl(1, { dryFilmUm: 40, solidsPct: 40 })).toBeCloseTo(110, 9);
    expect(computeCoatMl(2, { dryFilmUm: 40, solidsPct: 40 })).toBeCloseTo(220, 9);
  });
});

describe('the date rule for lead (16 CFR 1303: United States, 1978)', () => {
  it.each([
    ['before_1940', 'US', true],
    ['1940_1977', 'US', true],
    ['1978_1999', 'US', false],
    ['1978_1999', undefined, true],
    ['since_2000', undefined, false],
    ['unknown', 'US', true],
  ] as const)('%s in %s: %s', (era, region, possible) => expect(isLeadPossible(era, region)).toBe(possible));
});
