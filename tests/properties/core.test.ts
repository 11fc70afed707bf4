import fc from 'fast-check';
import { readDossier, type Dossier } from '@/core/dossier';
import { judgeGates } from '@/core/piece';
import { computeBelief, diagnoseZone } from '@/core/survey';
import { planPiece } from '@/core/systems';
import { anyDossier, SEED } from './random-dossiers';
import { share } from './share';

const always = (property: fc.IProperty<[Dossier]>, numRuns: number): void =>
  fc.assert(property, { seed: SEED, numRuns: share(numRuns) });

describe('for any piece', () => {
  it('the reader takes what the vocabulary allows', () => {
    always(
      fc.property(anyDossier, (piece) => readDossier(piece).ok),
      200,
    );
  });

  it('beliefs are probabilities, whatever contradicts what', () => {
    always(
      fc.property(anyDossier, (piece) => {
        for (const entry of piece.zones!) {
          const belief = computeBelief(piece, entry);
          const total = belief.joint.reduce((sum, p) => sum + p, 0);
          expect(total).toBeCloseTo(1, 9);
          expect(Math.min(...belief.joint)).toBeGreaterThan(0);
          for (const p of Object.values(belief.present)) expect(p > 0 && p < 1).toBe(true);
        }
      }),
      150,
    );
  });

  it('an extra answer that is taken back leaves the diagnosis as it was', () => {
    always(
      fc.property(anyDossier, (piece) => {
        const [first] = piece.zones!;
        const before = diagnoseZone(piece, first!);
        diagnoseZone(piece, {
          ...first!,
          observations: [...first!.observations!, { check: 'weight', result: 'heavy_for_size' }],
        });
        expect(diagnoseZone(piece, first!)).toEqual(before);
      }),
      60,
    );
  });

  it('a plan keeps to the hard rules it names and to chances between nought and one', () => {
    let systems = 0;
    always(
      fc.property(anyDossier, (piece) => {
        const plan = planPiece(piece);
        expect(plan.systems.length > 0 || plan.blocked.length > 0).toBe(true);
        for (const system of plan.systems) {
          systems += 1;
          for (const p of Object.values(system.risk)) expect(p >= 0 && p <= 1).toBe(true);
          expect(system.zones.map(({ id }) => id)).toEqual(['a', 'b']);
          expect(system.handsOnMin).toBeGreaterThan(0);
          if (piece.goal!.ventilation === 'none') expect(system.fumes).toBe('low');
        }
      }),
      60,
    );
    expect(systems).toBeGreaterThan(share(60));
  });

  it('no gate opens without a test', () => {
    always(
      fc.property(anyDossier, (piece) => {
        for (const gate of judgeGates(piece)) expect(['waiting', 'not_needed']).toContain(gate.state);
      }),
      60,
    );
  });
});
