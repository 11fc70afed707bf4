import jStat from 'jstat';
import { DOSSIER_FORMAT, type Dossier } from '../dossier';
import { findPatterns, PATTERN_FACTS, tellStory, testExactly, type PieceStory } from './patterns';

const story = (i: number, bled: boolean, cold: boolean): PieceStory => ({
  piece: `p${i}`,
  symptoms: bled ? ['bleed'] : [],
  facts: cold ? ['coated_cold'] : [],
});

describe('an exact test', () => {
  it('gives what an independent library makes of the hypergeometric distribution', () => {
    for (const [a, n, b, m] of [
      [4, 5, 1, 10],
      [3, 6, 3, 6],
      [0, 5, 5, 5],
      [5, 5, 0, 20],
      [2, 9, 7, 30],
    ] as const) {
      let p = 0;
      for (let x = a; x <= Math.min(n, a + b); x += 1) p += jStat.hypgeom.pdf(x, n + m, a + b, n);
      expect(testExactly(a, n, b, m)).toBeCloseTo(p, 9);
    }
  });

  // R. A. Fisher, The Design of Experiments (1935): eight cups, four with milk first, all named rightly: 1 in 70.
  it('gives one in seventy for the eight cups of tea', () => expect(testExactly(4, 4, 0, 4)).toBeCloseTo(1 / 70, 12));
});

describe('patterns over the shop', () => {
  it('are told where most of a fault had what few others had', () => {
    const stories = [
      ...[true, true, true, true, false].map((cold, i) => story(i, true, cold)),
      ...Array.from({ length: 14 }, (_, i) => story(10 + i, false, i === 0)),
    ];
    const [bleed] = findPatterns(stories);
    expect(bleed).toMatchObject({ symptom: 'bleed', pieces: 5, tooFew: false });
    expect(bleed!.patterns[0]).toMatchObject({
      fact: 'coated_cold',
      with: { had: 4, of: 5 },
      without: { had: 1, of: 14 },
    });
  });

  it('are not told under five, nor where chance would do', () => {
    const four = [
      ...Array.from({ length: 4 }, (_, i) => story(i, true, true)),
      ...Array.from({ length: 20 }, (_, i) => story(10 + i, false, false)),
    ];
    expect(findPatterns(four)[0]).toMatchObject({ tooFew: true, patterns: [] });
    const even = [
      ...Array.from({ length: 6 }, (_, i) => story(i, true, i < 3)),
      ...Array.from({ length: 12 }, (_, i) => story(10 + i, false, i < 6)),
    ];
    expect(findPatterns(even)[0]).toMatchObject({ tooFew: false, patterns: [] });
  });

  it('count each fact that was tried against what is told', () => {
    const facts = (list: boolean[], fact: PieceStory['facts'][number]) =>
      list.map((has, i): PieceStory => ({
        piece: `${fact}${i}`,
        symptoms: i < 5 ? ['haze'] : [],
        facts: has ? [fact] : [],
      }));
    const one = facts([true, true, true, true, false, false, false, false, false, false, true], 'coated_damp');
    const p = (stories: PieceStory[]) =>
      findPatterns(stories)[0]!.patterns.find(({ fact }) => fact === 'coated_damp')?.p ?? 1;
    const more = one.map((own, i) => (i === 7 ? { ...own, facts: [...own.facts, ...PATTERN_FACTS.slice(2)] } : own));
    expect(p(more)).toBeGreaterThanOrEqual(p(one));
  });
});

describe('what a piece has to tell', () => {
  const coated = (temperature_c: number, gapH: number): Dossier => ({
    format: DOSSIER_FORMAT,
    piece: { id: 'p', kind: 'desk' },
    zones: [{ id: 'top', role: 'top' }],
    log: [0, gapH].map((hours) => ({
      zone: 'top',
      op: 'paint',
      class: 'wb_alkyd_enamel',
      at: new Date(Date.parse('2026-03-02T08:00:00Z') + hours * 3_600_000).toISOString(),
      temperature_c,
      humidity_pct: 50,
    })),
    troubles: [{ id: 'x', zone: 'top', symptom: 'crackle' }],
  });
  it('is the air of its coats and what its log has against it', () => {
    expect(tellStory(coated(11, 3))).toMatchObject({
      symptoms: ['crackle'],
      facts: expect.arrayContaining(['coated_cold', 'hurried']),
    });
    expect(tellStory(coated(20, 30))!.facts).not.toContain('hurried');
    expect(tellStory(coated(20, 30))!.facts).not.toContain('coated_cold');
  });
  it('is nothing before a coat went on', () => expect(tellStory({ ...coated(20, 30), log: [] })).toBeNull());
});
