import { applyChange } from './change';
import type { PieceChange } from './piece-change';
import { DOSSIER_FORMAT, type Dossier } from './schema';

const start: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk', id: 'p' },
  zones: [{ id: 'top', role: 'top', observations: [{ id: 'o1', check: 'weight' as never, result: 'x' }] }],
};
const twice = (change: PieceChange): void => {
  const once = applyChange(start, change);
  expect(applyChange(once, change)).toEqual(once);
};

describe('changes to a piece', () => {
  it('are harmless when they are made twice', () => {
    twice({
      type: 'observation_recorded',
      zoneId: 'top',
      observation: { id: 'o2', check: 'edge_line', result: 'dark_line' },
    });
    twice({ type: 'observation_withdrawn', zoneId: 'top', observationId: 'o1' });
    twice({ type: 'test_logged', test: { id: 't', zone: 'top', kind: 'nail', reading: { score: 1 } } });
    twice({ type: 'zone_set', zoneId: 'lid', facts: { role: 'top' } });
    twice({ type: 'zone_removed', zoneId: 'top' });
    twice({ type: 'gate_overridden', override: { id: 'g', zone: 'top', gate: 'bleed', reason: 'shed' } });
  });

  it('keep the readings of a zone whose facts are set', () => {
    const zones = applyChange(start, { type: 'zone_set', zoneId: 'top', facts: { role: 'top', area_m2: 2 } })?.zones;
    expect(zones?.[0]).toMatchObject({ area_m2: 2, observations: [{ id: 'o1' }] });
  });

  it('take a zone’s tests with it', () => {
    const tested = applyChange(start, {
      type: 'test_logged',
      test: { id: 't', zone: 'top', kind: 'nail', reading: { score: 1 } },
    });
    expect(applyChange(tested, { type: 'zone_removed', zoneId: 'top' })?.tests).toEqual([]);
  });

  it('do not meet a piece a second time, and need a piece otherwise', () => {
    expect(applyChange(start, { type: 'piece_met', dossier: { ...start, zones: [] } })).toBe(start);
    expect(applyChange(undefined, { type: 'goal_set', goal: {} })).toBeUndefined();
  });

  it('leave the dossier they start from as it was', () => {
    const before = structuredClone(start);
    applyChange(start, { type: 'goal_set', goal: { colour: '#000000' } });
    applyChange(start, { type: 'observation_withdrawn', zoneId: 'top', observationId: 'o1' });
    expect(start).toEqual(before);
  });
});
