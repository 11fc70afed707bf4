import { DOSSIER_FORMAT, type Dossier, type Test } from '../dossier';
import { readGround } from './ground';
import { planPiece } from './plan';
import { collectTestEvidence, updateByTests } from './test-evidence';

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
    const held = { mode: 'adhesion' as const, treatment: TREATMENT, held: true, weight: 1 };
    expect(updateByTests(0.12, 'adhesion', TREATMENT, [])).toBeCloseTo(0.12, 12);
    expect(updateByTests(0.12, 'adhesion', TREATMENT, [held, held, held, held])).toBeCloseTo(0.072, 12);
    expect(updateByTests(0.12, 'adhesion', TREATMENT, [{ ...held, held: false }])).toBeCloseTo((0.72 + 1) / 7, 12);
    expect(updateByTests(0.12, 'bleed', TREATMENT, [held])).toBeCloseTo(0.12, 12);
    expect(updateByTests(0.12, 'adhesion', { prep: 'none', primer: 'bonding_primer_wb' }, [held])).toBeCloseTo(
      0.12,
      12,
    );
  });

  it('count half on another zone of the same ground, and not at all on another ground', () => {
    const dossier = piece([nail('top', 0)]);
    const weights = dossier.zones!.map((zone) => collectTestEvidence(dossier, zone).map(({ weight }) => weight));
    expect(weights).toEqual([[1], [0.5], []]);
  });

  it('are left out while they are early or say nothing of the hold', () => {
    const dossier = piece([nail('top', 0, { age_h: 1 }), nail('top', 0, { kind: 'water' })]);
    expect(readGround(dossier, dossier.zones![0]!).evidence).toEqual([]);
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
