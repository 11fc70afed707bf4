import { CHECKS, findCheck } from '../knowledge';
import { drawIndex, makeRandom } from '../shared';
import { computeBelief } from './belief';
import { findContradictions } from './contradictions';
import { likelihoodTables } from './likelihood';
import { byInformation, byWorth, drawSurface, inFixedOrder, makeReader, measurePractice } from './practice';
import { STATES } from './states';

/** Few, to be quick; `npm run bench` reads two thousand and prints the figures. */
const COUNT = 40;
const summaries = {
  worth: measurePractice(COUNT, byWorth, 'each'),
  fixed: measurePractice(COUNT, inFixedOrder, 'each'),
  information: measurePractice(12, byInformation, 'each'),
};

describe('reading made-up surfaces with one answer in twenty misread', () => {
  it('finds what they need with few checks', () => {
    expect(summaries.worth.rightNeeds).toBeGreaterThan(0.85);
    expect(summaries.worth.checks).toBeLessThan(5);
  });

  it('costs fewer minutes than a fixed order and than asking for the most information', () => {
    for (const baseline of [summaries.fixed, summaries.information]) {
      expect(summaries.worth.checkMinutes).toBeLessThan(baseline.checkMinutes);
      expect(summaries.worth.allMinutes).toBeLessThan(baseline.allMinutes);
    }
  });

  it('says chances that come true as often as said, also when slips are shared within a group', () => {
    expect(summaries.worth.calibrationError).toBeLessThan(0.05);
    expect(measurePractice(COUNT, byWorth, 'shared').calibrationError).toBeLessThan(0.05);
    const forecasts = summaries.worth.bands.reduce((sum, band) => sum + band.forecasts, 0);
    expect(forecasts).toBeGreaterThan(7 * COUNT);
  });

  it('gives the same surface and the same answers for the same seed', () => {
    expect(drawSurface(makeRandom(7))).toEqual(drawSurface(makeRandom(7)));
    const surface = drawSurface(makeRandom(7));
    const answers = (seed: number): string[] => {
      const read = makeReader(surface, makeRandom(seed), 'each');
      return CHECKS.map(read);
    };
    expect(answers(3)).toEqual(answers(3));
    expect(answers(3)).not.toEqual(answers(4));
  });
});

describe('a random index', () => {
  it('falls as often as its weight says', () => {
    const random = makeRandom(1);
    const counts = [0, 0, 0];
    for (let i = 0; i < 6000; i += 1) counts[drawIndex(random, [1, 2, 3])]! += 1;
    expect(counts[0]! / 6000).toBeCloseTo(1 / 6, 1);
    expect(counts[2]! / 6000).toBeCloseTo(1 / 2, 1);
  });
});

describe('one changed answer among eight', () => {
  const gentle = CHECKS.filter(({ code, mark, roles, parts }) => code !== 'lead_test' && mark < 2 && !roles && !parts);
  const tally = { settled: 0, changes: 0, shown: 0, seeds: [] as number[] };
  for (let seed = 5; seed < 305; seed += 1) {
    const random = makeRandom(seed);
    const surface = drawSurface(random);
    const pool = [...gentle];
    const checks = Array.from({ length: 8 }, () => pool.splice(Math.floor(random() * pool.length), 1)[0]!);
    const likeliest = (code: string): string => {
      const tables = [...likelihoodTables(code)].map(([answer, { facet, width, values }]) => ({
        answer,
        p: values[surface.stateIndex * width + (facet ? surface.facets[facet] : 0)]!,
      }));
      return tables.reduce((a, b) => (b.p > a.p ? b : a)).answer;
    };
    const right = checks.map(({ code }) => ({ check: code, result: likeliest(code) }));
    const read = (observations: typeof right) => {
      const zone = { id: 'z', role: surface.role, area_m2: surface.areaM2, observations };
      const belief = computeBelief({ piece: { kind: surface.kind, history: surface.history } }, zone);
      return { top: belief.substrate[0]!, contradictions: findContradictions(belief, zone) };
    };
    const truth = STATES[surface.stateIndex]!.substrate;
    const before = read(right).top;
    if (before.code !== truth || before.p < 0.9) continue;
    tally.settled += 1;
    right.forEach(({ check, result }, i) => {
      for (const { code } of findCheck(check)!.answers.filter((answer) => answer.code !== result)) {
        const after = read(right.map((answer, j) => (j === i ? { check, result: code } : answer)));
        tally.changes += 1;
        if (after.contradictions.length > 0) tally.shown += 1;
        else if (after.top.code !== truth && after.top.p >= 0.9) tally.seeds.push(seed);
      }
    });
  }

  it('never turns a settled verdict into a confident wrong one without the conflict being shown', () => {
    expect(tally.seeds).toEqual([]);
    expect(tally.settled).toBeGreaterThan(25);
    expect(tally.shown).toBeGreaterThan(tally.changes / 3);
  });
});
