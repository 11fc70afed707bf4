import { CHECKS } from '../knowledge';
import type { Dossier, History, Observation, Zone } from '../dossier';
import { computeBelief } from './belief';
import { likelihoodTables } from './likelihood';
import { needProbability, SURFACE_NEEDS } from './needs';
import { rankNextChecks } from './next-check';

const LIMITS = { leadOpen: false, ventilation: 'good' as const };
const AREA = 0.8;
const MARKS = [0, 1, 12];

const CASES: [string, History, Observation[]][] = [
  ['nothing known', {}, []],
  ['an old, painted piece', { era: '1940_1977', painted_before: 'yes' }, []],
  ['a red rag', { era: 'before_1940' }, [{ check: 'damp_rag', result: 'red_pink' }]],
  ['a plastic strip', { era: 'since_2000' }, [{ check: 'edge_line', result: 'plastic_strip' }]],
  ['specks on the tape', { painted_before: 'yes' }, [{ check: 'tape_pull', result: 'specks' }]],
];

/** The worth of a check the long way: make it, answer by answer, and look at the whole belief again. */
function worthTheLongWay(piece: Pick<Dossier, 'piece'>, zone: Zone, code: string): number {
  const check = CHECKS.find((candidate) => candidate.code === code)!;
  const cost = (target: Zone): number => {
    const belief = computeBelief(piece, target);
    return SURFACE_NEEDS.reduce(
      (sum, need) =>
        sum + Math.min(need.provideMinutes(AREA), needProbability(belief, need) * need.missedMinutes(AREA)),
      0,
    );
  };
  const belief = computeBelief(piece, zone);
  let after = 0;
  for (const answer of check.answers) {
    const { facet, width, values } = likelihoodTables(code).get(answer.code)!;
    const pAnswer = belief.joint.reduce((sum, p, s) => {
      let here = 0;
      for (let x = 0; x < width; x += 1)
        here += (facet ? belief.facets[facet][s * width + x]! : 1) * values[s * width + x]!;
      return sum + p * here;
    }, 0);
    after += pAnswer * cost({ ...zone, observations: [...zone.observations!, { check: code, result: answer.code }] });
  }
  return cost(zone) - after - (1 + check.minutes + check.waitHours * 0.5 + MARKS[check.mark]!);
}

describe('the worth of the next check', () => {
  it.each(CASES)('with %s, is what making it would save on average', (_name, history, observations) => {
    const piece = { piece: { kind: 'sideboard' as const, history } };
    const zone: Zone = { id: 'z', role: 'top', area_m2: AREA, observations };
    const ranked = rankNextChecks(computeBelief(piece, zone), zone, LIMITS);
    expect(ranked.length).toBeGreaterThan(0);
    for (const next of ranked) expect(next.worthMinutes).toBeCloseTo(worthTheLongWay(piece, zone, next.check), 0);
    const unasked = CHECKS.filter(
      ({ code }) => !ranked.some((next) => next.check === code) && !observations.some(({ check }) => check === code),
    );
    for (const { code } of unasked.filter(
      ({ code }) => !['lead_test', 'odour', 'coat_thickness', 'cross_cut_old'].includes(code),
    )) {
      expect(worthTheLongWay(piece, zone, code)).toBeLessThan(0.06);
    }
  });

  it('says what an answer would change', () => {
    const piece = { piece: { kind: 'sideboard' as const, history: { era: 'before_1940' as const } } };
    const zone: Zone = { id: 'z', role: 'top', area_m2: AREA, observations: [] };
    for (const { why } of rankNextChecks(computeBelief(piece, zone), zone, LIMITS))
      expect(why).toMatch(/^“.+” would move “.+” from .+ to .+\.$/);
  });
});
