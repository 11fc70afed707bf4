import { CHECKS, findCheck } from '../knowledge';
import type { Dossier, History, Observation, Zone } from '../dossier';
import { computeBelief } from './belief';
import { likelihoodTables } from './likelihood';
import { needProbability, SURFACE_NEEDS } from './needs';
import { isLook, rankNextChecks } from './next-check';
import { sayWorth } from '@/words';

const LIMITS = { leadOpen: false, ventilation: 'good' as const, hideGrain: false, at: 'bench' as const, clear: false };
const AREA = 0.8;
const MARKS = [0, 2.5, 12];
const ATTENTION = 2.3;

const CASES: [string, History, Observation[]][] = [
  ['nothing known', {}, []],
  ['an old, painted piece', { era: '1940_1977', painted_before: 'yes' }, []],
  ['a red rag', { era: 'since_2000' }, [{ check: 'damp_rag', result: 'red_pink' }]],
  ['a plastic strip', { painted_before: 'yes' }, [{ check: 'edge_line', result: 'plastic_strip' }]],
  ['specks on the tape', { painted_before: 'yes' }, [{ check: 'tape_pull', result: 'specks' }]],
];

/** The worth of a check the long way: make it, answer by answer, and look at the whole belief again. */
function worthTheLongWay(piece: Pick<Dossier, 'piece'>, zone: Zone, code: string): number {
  const check = CHECKS.find((candidate) => candidate.code === code)!;
  const cost = (target: Zone): number => {
    const belief = computeBelief(piece, target);
    return SURFACE_NEEDS.filter((need) => !need.onlyIfHidden).reduce(
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
  const care = check.care === 'solvent' ? 1.5 : check.care === 'abrasion' ? 1 : 0;
  return cost(zone) - after - (ATTENTION + care + check.minutes + check.waitHours + MARKS[check.mark]!);
}

describe('the worth of the next check', () => {
  it.each(CASES)('with %s, is what making it would save on average', (_name, history, observations) => {
    const piece = { piece: { kind: 'sideboard' as const, history } };
    const zone: Zone = { id: 'z', role: 'top', area_m2: AREA, observations };
    const ranked = rankNextChecks(computeBelief(piece, zone), zone, LIMITS);
    expect(ranked.length).toBeGreaterThan(0);
    // Beside an answer of the same group a check counts for less; how much is foreseen only roughly.
    const heard = new Set(observations.map(({ check }) => findCheck(check)!.group));
    const alone = (code: string): boolean => !heard.has(findCheck(code)!.group);
    const compared = ranked.filter(({ check }) => alone(check));
    expect(compared.length).toBeGreaterThan(0);
    for (const next of compared)
      expect(next.worthMinutes).toBeCloseTo(Math.max(0, worthTheLongWay(piece, zone, next.check)), 0);
    expect(compared.some(({ worthMinutes }) => worthMinutes > 0)).toBe(true);
    const unasked = CHECKS.filter(({ code, mark, roles, parts }) => mark < 2 && !roles && !parts && alone(code)).filter(
      ({ code }) => !ranked.some((next) => next.check === code) && !['lead_test', 'coat_thickness'].includes(code),
    );
    for (const { code } of unasked) expect(worthTheLongWay(piece, zone, code)).toBeLessThan(0.06);
  });

  it('leaves visible marks for last, solvents for fresh air and dust for after the lead test', () => {
    const painted = { piece: { kind: 'dresser' as const, history: { painted_before: 'yes' as const } } };
    const codes = (limits: Partial<typeof LIMITS>, zone: Partial<Zone> = {}): string[] => {
      const full: Zone = { id: 'z', role: 'front', area_m2: 2, ...zone };
      return rankNextChecks(computeBelief(painted, full), full, { ...LIMITS, ...limits }).map(({ check }) => check);
    };
    const cares = (list: string[], care: string): boolean => list.some((code) => findCheck(code)!.care === care);
    expect(cares(codes({}), 'solvent')).toBe(true);
    expect(cares(codes({ ventilation: 'none' as never }), 'solvent')).toBe(false);
    const gentle = CHECKS.filter(({ mark }) => mark < 2).map(({ code }) => code);
    expect(codes({})).not.toContain('cross_cut_old');
    const skipped = { skipped_checks: gentle };
    expect(codes({}, skipped)).toEqual(['cross_cut_old']);
    expect(codes({ leadOpen: true }, skipped)).toEqual([]);
  });

  it('lists three looks first for a zone that nothing is known of, and no more once they were taken', () => {
    for (const kind of ['chest', 'desk', 'kitchen_run', 'chair'] as const) {
      const piece = { piece: { kind, history: { era: 'unknown' as const } } };
      const zone: Zone = { id: 'z', role: 'top', area_m2: 1 };
      const listed = rankNextChecks(computeBelief(piece, zone), zone, LIMITS).map(({ check }) => findCheck(check)!);
      expect(listed.slice(0, 3).map(isLook)).toEqual([true, true, true]);
    }
  });

  it('asks about pores only where the owner wants the grain hidden', () => {
    const oak = { piece: { kind: 'table' as const, history: { era: 'before_1940' as const } } };
    // The first looks are taken.
    const skipped_checks = ['edge_line', 'corner_lift', 'pattern_repeat'];
    const zone: Zone = { id: 'z', role: 'top', area_m2: 3, stated: { substrate: 'wood_veneer' }, skipped_checks };
    const asks = (hideGrain: boolean): boolean =>
      rankNextChecks(computeBelief(oak, zone), zone, { ...LIMITS, hideGrain }).some(({ check }) => check === 'pores');
    expect(asks(true)).toBe(true);
    expect(asks(false)).toBe(false);
  });

  it('says for each answer what it would bring into the plan or take out of it', () => {
    const piece = { piece: { kind: 'table' as const, history: { era: 'unknown' as const } } };
    const zone: Zone = { id: 'z', role: 'top', area_m2: 3, stated: { substrate: 'wood_veneer' } };
    const probe = rankNextChecks(computeBelief(piece, zone), zone, LIMITS).find(
      ({ check }) => check === 'bleed_probe',
    )!;
    expect(probe.answers.reduce((sum, { p }) => sum + p, 0)).toBeCloseTo(1, 2);
    expect(probe.answers.find(({ code }) => code === 'stays_white')?.changes).toEqual([
      { need: 'Stain block', wanted: false },
    ]);
  });

  it('says what an answer would change', () => {
    const piece = { piece: { kind: 'sideboard' as const, history: { era: 'before_1940' as const } } };
    const zone: Zone = { id: 'z', role: 'top', area_m2: AREA, observations: [] };
    for (const next of rankNextChecks(computeBelief(piece, zone), zone, LIMITS))
      expect(sayWorth(next)).toMatch(/^“.+” would move “.+” from .+ to .+\.$/);
  });
});
