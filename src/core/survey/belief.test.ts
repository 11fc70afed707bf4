import { CHECKS, FINISHES, LIKELIHOOD_RATIO, MISREADING_RATE, SUBSTRATES, type SubstrateCode } from '../knowledge';
import { DOSSIER_FORMAT, type Dossier, type History, type Observation, type Zone } from '../dossier';
import { computeBelief, mostLikelyState } from './belief';
import { likelihoodTables } from './likelihood';
import { STATES } from './states';

const piece = (history: History = {}): Dossier => ({ format: DOSSIER_FORMAT, piece: { kind: 'desk', history } });
const zone = (observations: Observation[] = [], more: Partial<Zone> = {}): Zone => ({
  id: 'z',
  role: 'top',
  observations,
  ...more,
});
const p = (code: SubstrateCode, observations: Observation[], history: History = {}): number =>
  computeBelief(piece(history), zone(observations)).substrate.find((entry) => entry.code === code)!.p;

describe('the belief about a surface', () => {
  it('sums to one in every list, and leaves nothing impossible', () => {
    const belief = computeBelief(
      piece(),
      zone([
        { check: 'edge_line', result: 'dark_line' },
        { check: 'core_view', result: 'chips' },
      ]),
    );
    for (const list of [belief.substrate, belief.finish, belief.soundness]) {
      expect(list.reduce((sum, entry) => sum + entry.p, 0)).toBeCloseTo(1, 10);
      for (const entry of list) expect(entry.p).toBeGreaterThan(0);
    }
    expect(belief.substrate).toHaveLength(SUBSTRATES.length);
    expect(belief.finish).toHaveLength(FINISHES.length);
  });

  it('follows Bayes’ rule as worked by hand for one answer', () => {
    // nail_dent has two answers, each ++ for some and so with the same base rate, which cancels. "dents": softwoods 10, MDF 3, everything else 1. "no_mark": laminate and hardwoods 10,
    // everything else 1. So P(dents | softwood) = 0.95 · 10/11 + 0.025, P(dents | laminate) = 0.95 · 1/11 + 0.025,
    // and the odds of softwood against laminate move by exactly their ratio.
    const soft = (1 - MISREADING_RATE) * (10 / 11) + MISREADING_RATE / 2;
    const laminate = (1 - MISREADING_RATE) * (1 / 11) + MISREADING_RATE / 2;
    const before = p('clear_softwood', []) / p('hpl_laminate', []);
    const after =
      p('clear_softwood', [{ check: 'nail_dent', result: 'dents' }]) /
      p('hpl_laminate', [{ check: 'nail_dent', result: 'dents' }]);
    expect(after / before).toBeCloseTo(soft / laminate, 9);
    expect(soft / laminate).toBeCloseTo(8.0, 1);
  });

  it('does not depend on the order of the answers', () => {
    const observations: Observation[] = [
      { check: 'edge_line', result: 'thin_wood_layer' },
      { check: 'pores', result: 'medium_felt' },
      { check: 'damp_rag', result: 'red_pink' },
      { check: 'water_drop', result: 'beads' },
    ];
    const forward = computeBelief(piece(), zone(observations));
    const backward = computeBelief(piece(), zone([...observations].reverse()));
    forward.joint.forEach((value, s) => expect(value).toBeCloseTo(backward.joint[s]!, 12));
  });

  it.each([
    ['edge_line', 'dark_line', 'hpl_laminate'],
    ['corner_lift', 'plastic_skin', 'thermofoil'],
    ['knots_seen', 'many', 'knotty_softwood'],
    ['core_view', 'thin_brown_sheet', 'hardboard'],
    ['corner_lift', 'wood_flake', 'wood_veneer'],
  ] as const)('%s = %s raises %s', (check, result, code) => {
    expect(p(code, [{ check, result }])).toBeGreaterThan(2 * p(code, []));
  });

  it('never lowers a material by an answer that speaks most strongly for it', () => {
    let tried = 0;
    for (const check of CHECKS) {
      for (const answer of check.answers) {
        for (const [code, strength] of Object.entries(answer.says.substrate ?? {})) {
          if (LIKELIHOOD_RATIO[strength] < 30) continue;
          tried += 1;
          expect(p(code as SubstrateCode, [{ check: check.code, result: answer.code }])).toBeGreaterThan(
            p(code as SubstrateCode, []),
          );
        }
      }
    }
    expect(tried).toBeGreaterThan(8);
  });

  it('lets opaque paint hide the edge line', () => {
    const bare =
      p('hpl_laminate', [{ check: 'edge_line', result: 'dark_line' }], { painted_before: 'no' }) /
      p('hpl_laminate', [], { painted_before: 'no' });
    const tables = likelihoodTables('edge_line').get('dark_line')!;
    const at = (substrate: string, finish: string): number =>
      tables.values[STATES.findIndex((s) => s.substrate === substrate && s.finish === finish)]!;
    expect(at('hpl_laminate', 'latex_paint')).toBeCloseTo(at('knotty_softwood', 'latex_paint'), 12);
    expect(at('hpl_laminate', 'factory_film')).toBeGreaterThan(8 * at('knotty_softwood', 'shellac'));
    expect(bare).toBeGreaterThan(1);
  });

  it('takes a stated fact as very strong, but lets checks contradict it', () => {
    const stated = { stated: { substrate: 'open_grain_hardwood' as const } };
    expect(mostLikelyState(computeBelief(piece(), zone([], stated))).substrate).toBe('open_grain_hardwood');
    const against: Observation[] = [
      { check: 'edge_line', result: 'dark_line' },
      { check: 'pattern_repeat', result: 'repeats' },
      { check: 'core_view', result: 'chips' },
    ];
    expect(mostLikelyState(computeBelief(piece(), zone(against, stated))).substrate).toBe('hpl_laminate');
  });

  it('expects what the history makes likely', () => {
    expect(p('hpl_laminate', [], { era: 'before_1940' })).toBeLessThan(0.01);
    expect(p('melamine_board', [], { flatpack_marks: 'yes', era: 'since_2000' })).toBeGreaterThan(
      p('melamine_board', []),
    );
    const painted = computeBelief(piece({ painted_before: 'yes' }), zone());
    const opaque = painted.finish.filter(({ code }) => code.endsWith('paint')).reduce((sum, entry) => sum + entry.p, 0);
    expect(opaque).toBeGreaterThan(0.7);
  });
});

describe('misreadings', () => {
  const chanceOf = (observation: object, misreadings?: Record<string, number>): number => {
    const zone = { id: 'z', role: 'top' as const, observations: [observation as never] };
    const dossier = { piece: { kind: 'desk' as const }, zones: [zone], ...(misreadings ? { misreadings } : {}) };
    return computeBelief(dossier, zone).substrate.find(({ code }) => code === 'hpl_laminate')!.p;
  };
  const look = { check: 'edge_line', result: 'dark_line' };

  it('make a look count for more where it is read well, and for less where it is not', () => {
    const general = chanceOf(look);
    expect(chanceOf(look, { edge_line: 0.05 })).toBeCloseTo(general, 12);
    expect(chanceOf(look, { edge_line: 0.01 })).toBeGreaterThan(general);
    expect(chanceOf(look, { edge_line: 0.4 })).toBeLessThan(general);
    expect(chanceOf(look, { water_drop: 0.4 })).toBeCloseTo(general, 12);
  });

  it('of a look with the camera are those of such looks, whatever was measured of the owner', () => {
    const look = { check: 'pattern_repeat', result: 'repeats' };
    expect(chanceOf({ ...look, by: 'camera' })).toBeLessThan(chanceOf(look));
    expect(chanceOf({ ...look, by: 'camera' }, { pattern_repeat: 0.01 })).toBeCloseTo(
      chanceOf({ ...look, by: 'camera' }),
      12,
    );
  });
});
