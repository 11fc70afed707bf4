import { DOSSIER_FORMAT, type Dossier, type Experience, type Test } from '../dossier';
import { readGround } from './take-up';
import { planPiece } from './plan';
import { updateByOwnTests } from './risk';
import { sayWhy } from '@/words';

const TREATMENT = { prep: 'scuff_150', primer: 'bonding_primer_wb', coats: 1 } as const;
const nail = (zone: string, score: number, more: Partial<Test> = {}): Test => ({
  zone,
  kind: 'nail',
  age_h: 48,
  treatment: TREATMENT,
  reading: { score },
  ...more,
});
const laminate = { stated: { substrate: 'hpl_laminate', finish: 'factory_film' } } as const;
const piece = (tests: Test[]): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk', history: { era: 'since_2000' } },
  zones: [
    { id: 'top', role: 'top', area_m2: 1, ...laminate },
    { id: 'side', role: 'side', area_m2: 1, ...laminate },
    { id: 'leg', role: 'leg', area_m2: 0.2, stated: { substrate: 'metal_ferrous', finish: 'powder_coat' } },
  ],
  tests,
});

describe('the shop’s own readings', () => {
  it('move the class estimate as Beta counts do', () => {
    expect(updateByOwnTests(0.12, { held: 0, failed: 0 })).toBeCloseTo(0.12, 12);
    expect(updateByOwnTests(0.12, { held: 4, failed: 0 })).toBeCloseTo(0.04, 12);
    expect(updateByOwnTests(0.12, { held: 0, failed: 1 })).toBeCloseTo((0.24 + 1) / 3, 12);
  });

  it('count on every zone of the same ground, and not on another ground', () => {
    const dossier = piece([nail('top', 0)]);
    const counts = dossier.zones!.map((zone) => {
      const { held, own } = readGround(dossier, zone).pool('adhesion', 'scuff_150', 'bonding_primer_wb');
      return [held, own.tests];
    });
    expect(counts).toEqual([
      [1, 1],
      [1, 1],
      [0, 0],
    ]);
  });

  it('are left out while they are early or say nothing of the hold', () => {
    const dossier = piece([nail('top', 0, { age_h: 1 }), nail('top', 0, { kind: 'water' })]);
    expect(readGround(dossier, dossier.zones![0]!).pool('adhesion', 'scuff_150', 'bonding_primer_wb').tests).toBe(0);
  });

  it('of other pieces count in a plan, and the plan says so', () => {
    const row = { mode: 'adhesion', substrate: 'hpl_laminate', finish: 'factory_film', prep: 'scuff_150' } as const;
    const shop: Experience = { ...row, primer: 'bonding_primer_wb', held: 3, failed: 4, tests: 7, tests_held: 3 };
    const plan = (experience: Experience[]) =>
      planPiece({ ...piece([]), zones: [{ id: 'side', role: 'side', area_m2: 1, ...laminate }], experience })
        .systems[0]!.zones[0]!;
    const before = plan([]).treatment;
    expect(before).toMatchObject({ prep: 'scuff_150', primer: 'bonding_primer_wb' });
    expect(plan([shop]).treatment.primer).not.toBe(before.primer);
    const held = plan([{ ...shop, held: 7, failed: 0, tests_held: 7 }]);
    const why = sayWhy(held.steps.find(({ op }) => op === 'prime')!.why);
    expect(why).toContain('Your own 7 tests of it on laminate sheet count in the chances: all held.');
  });

  it('make a plan surer where patches held', () => {
    const risk = (tests: Test[]): number => {
      const plans = planPiece(piece(tests)).systems.flatMap(({ zones }) => zones);
      const plan = plans.find(
        ({ id, treatment }) =>
          id === 'top' && treatment.primer === TREATMENT.primer && treatment.prep === TREATMENT.prep,
      );
      return plan!.risk.adhesion;
    };
    const before = risk([]);
    expect(risk([nail('top', 0), nail('top', 0), nail('top', 1)])).toBeLessThan(before * 0.75);
  });
});
