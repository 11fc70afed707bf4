import { DOSSIER_FORMAT, type Dossier, type Test, type Treatment } from '../dossier';
import { judgeBleedGate, judgeHandoverGate, judgePrimeGate } from './gates';
import { bleedMomentAt } from './requirements';
import { sayGate, sayTest } from '@/words';
import { judgeTest } from './judge';

const SHELLAC: Treatment = { prep: 'scuff_220', primer: 'shellac_primer', coats: 2 };
const BONDING: Treatment = { prep: 'scuff_150', primer: 'bonding_primer_wb', coats: 1 };

const test = (kind: Test['kind'], score: number, treatment: Treatment, age_h: number): Test => ({
  zone: 'top',
  kind,
  treatment,
  age_h,
  reading: kind === 'cross_cut' ? { iso_class: score } : { score },
});

const dossier = (tests: Test[], more: Partial<Dossier> = {}): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk' },
  zones: [{ id: 'top', role: 'top' }],
  tests,
  ...more,
});
const gate = (tests: Test[], more: Partial<Dossier> = {}) => {
  const piece = dossier(tests, more);
  return judgePrimeGate(piece, piece.zones![0]!);
};

describe('a test reading', () => {
  it('is early before the film has hardened, whatever it says', () => {
    expect(judgeTest(test('nail', 0, BONDING, 11), dossier([]))).toMatchObject({
      verdict: 'early',
      early: true,
      countsFromH: 12,
    });
    expect(judgeTest(test('nail', 5, BONDING, 11), dossier([])).verdict).toBe('early');
  });

  it('of a fast shellac counts after two hours', () => {
    expect(judgeTest(test('nail', 3, SHELLAC, 2), dossier([])).verdict).toBe('fail');
  });

  it('is incomplete without an age or a treatment', () => {
    expect(
      judgeTest({ zone: 'top', kind: 'nail', reading: { score: 0 }, treatment: BONDING }, dossier([])).verdict,
    ).toBe('incomplete');
    expect(judgeTest({ zone: 'top', kind: 'nail', reading: { score: 0 }, age_h: 24 }, dossier([])).verdict).toBe(
      'incomplete',
    );
  });

  it('gives a lattice on both scales, and how it should have been cut', () => {
    const judged = judgeTest({ ...test('cross_cut', 0, BONDING, 24), reading: { removed_pct: 5 } }, dossier([]));
    expect(judged).toMatchObject({ isoClass: 1, astm: '3B', verdict: 'pass', cut: { spacing_mm: 2, cuts: 6 } });
  });

  it('says where it let go', () => {
    const judged = judgeTest({ ...test('nail', 4, BONDING, 24), interface: 'primer_from_substrate' }, dossier([]));
    expect(sayTest(judged)).toContain('primer off the surface');
  });
});

describe('the gate from primer to paint', () => {
  it('waits while nothing is tested', () => {
    expect(gate([])).toMatchObject({ state: 'waiting', missing: ['nail', 'cross_cut'] });
  });

  it('opens on a thumbnail and a cross-cut that held at the right age', () => {
    const result = gate([test('nail', 1, BONDING, 24), test('cross_cut', 1, BONDING, 24)]);
    expect(result.state).toBe('open');
    expect(result.proved).toEqual([BONDING]);
  });

  it('takes a fork for a cross-cut, but not a tape', () => {
    expect(gate([test('nail', 0, BONDING, 24), test('fork', 1, BONDING, 24)]).state).toBe('open');
    expect(gate([test('nail', 0, BONDING, 24), test('tape', 0, BONDING, 24)])).toMatchObject({
      state: 'waiting',
      missing: ['cross_cut'],
    });
  });

  it('closes on one failure at the right age, whatever held before or after', () => {
    const tests = [test('nail', 1, BONDING, 24), test('cross_cut', 1, BONDING, 24), test('nail', 3, BONDING, 48)];
    expect(gate(tests).state).toBe('closed');
    expect(gate([...tests].reverse()).state).toBe('closed');
  });

  it('does not close on an early failure', () => {
    expect(gate([test('nail', 4, BONDING, 3)]).state).toBe('waiting');
  });

  it('asks only about the treatment that was taken', () => {
    const tests = [test('nail', 1, BONDING, 24), test('cross_cut', 1, BONDING, 24)];
    const chosen = { zones: [{ id: 'top', treatment: SHELLAC }] };
    expect(gate(tests, { chosen }).state).toBe('waiting');
    expect(gate(tests, { chosen: { zones: [{ id: 'top', treatment: BONDING }] } }).state).toBe('open');
  });

  it('stays passed over with its reason, and opens if the proof comes after all', () => {
    const overrides = [{ zone: 'top', gate: 'prime_to_paint' as const, reason: 'only a shed shelf' }];
    const closed = gate([test('nail', 4, BONDING, 24)], { overrides });
    expect(closed.state).toBe('overridden');
    expect(sayGate(closed)).toContain('only a shed shelf');
    expect(gate([test('nail', 0, SHELLAC, 24), test('cross_cut', 0, SHELLAC, 24)], { overrides }).state).toBe('open');
  });

  it('is not needed where nothing is painted', () => {
    expect(gate([], { goal: { zones: { top: { look: 'leave' } } } }).state).toBe('not_needed');
  });
});

describe('the bleed gate', () => {
  const watch = (at: string, score: number): Test => ({
    zone: 'top',
    kind: 'bleed_watch',
    treatment: SHELLAC,
    age_h: 48,
    reading: { at, score },
  });
  const judge = (tests: Test[], risk = 0.8, pale = true) => {
    const piece = dossier(tests);
    return judgeBleedGate(piece, piece.zones![0]!, { bleeds: risk, pale }).state;
  };

  it('is needed only for pale paint over a risk of bleed', () => {
    expect(judge([], 0.02)).toBe('not_needed');
    expect(judge([], 0.8, false)).toBe('not_needed');
    expect(judge([])).toBe('waiting');
  });

  it('opens on a clean reading at 48 hours and closes on a stained one at any time', () => {
    expect(judge([watch('1h', 0)])).toBe('waiting');
    expect(judge([watch('48h', 1)])).toBe('open');
    expect(judge([watch('after_clear', 3)])).toBe('closed');
  });
});

describe('what opens the bleed gate', () => {
  const zone = { id: 'top', role: 'top' as const };
  const watch = (reading: Test['reading'], age_h?: number, treatment: Treatment = SHELLAC): Test => ({
    zone: 'top',
    kind: 'bleed_watch',
    treatment,
    reading,
    ...(age_h === undefined ? {} : { age_h }),
  });
  const judge = (tests: Test[], more: Partial<Dossier> = {}) =>
    judgeBleedGate(dossier(tests, more), zone, { bleeds: 0.8, pale: true });
  const chosen = (more: Partial<Treatment>, topcoat?: 'wb_clear'): Partial<Dossier> => ({
    chosen: {
      zones: [
        {
          id: 'top',
          treatment: { ...SHELLAC, ...more },
          ...(topcoat
            ? {
                stack: {
                  prep: 'scuff_220' as const,
                  primers: [{ code: 'shellac_primer' as const, coats: 2 }],
                  paint: 'wb_alkyd_enamel' as const,
                  paint_coats: 2,
                  topcoat,
                },
              }
            : {}),
        },
      ],
    },
  });

  it('is not a moment named on a patch too young for it', () => {
    expect(judge([watch({ at: '48h', score: 0 }, 2)]).state).toBe('waiting');
    expect(judge([watch({ at: '7d', score: 0 }, 47.9)]).state).toBe('waiting');
    expect(judge([watch({ at: '48h', score: 0 }, 48)]).state).toBe('open');
  });

  it('is not a reading without an age, stained or clean', () => {
    expect(judge([watch({ at: '48h', score: 5 })]).state).toBe('waiting');
    expect(judge([watch({ at: '48h', score: 0 })]).state).toBe('waiting');
    expect(sayGate(judge([watch({ at: '48h', score: 0 })]))).toContain('lacks the age');
  });

  it('is no patch of another treatment than the one taken', () => {
    const bonding = watch({ at: '48h', score: 0 }, 60, BONDING);
    expect(judge([bonding]).state).toBe('open');
    expect(judge([bonding], chosen({})).state).toBe('waiting');
    const painted = (paint: 'chalk_paint' | 'wb_alkyd_enamel', paint_coats = 1) =>
      judge([watch({ at: '48h', score: 0 }, 60, { ...SHELLAC, paint, paint_coats })], chosen({}, 'wb_clear')).state;
    expect([painted('chalk_paint'), painted('wb_alkyd_enamel'), painted('wb_alkyd_enamel', 3)]).toEqual([
      'waiting',
      'open',
      'waiting',
    ]);
  });

  it('says what of the system did not lie on the patch', () => {
    const whole = { ...SHELLAC, paint: 'wb_alkyd_enamel', paint_coats: 2, clear: 'wb_clear' } as const;
    expect(sayGate(judge([watch({ at: '48h', score: 0 }, 60)], chosen({}, 'wb_clear')))).toContain(
      'no colour coat and no clear coat',
    );
    expect(sayGate(judge([watch({ at: '48h', score: 0 }, 60, whole)], chosen({}, 'wb_clear')))).not.toContain(
      'not proved',
    );
  });

  it('does not shut because an unprimed control bled beside a treatment that held', () => {
    const control = watch({ at: '1h', score: 5 }, 1, { prep: 'scuff_220', primer: 'none', coats: 0 });
    const result = judge([control, watch({ at: '48h', score: 0 }, 60)]);
    expect(result).toMatchObject({ state: 'open', proved: [SHELLAC] });
    expect(judge([control]).state).toBe('closed');
  });

  it('has nothing to ask of a back, which is left unless it is wished', () => {
    const back = { id: 'back', role: 'back' as const };
    const piece = { ...dossier([]), zones: [back] };
    expect(judgeBleedGate(piece, back, { bleeds: 0.8, pale: true }).state).toBe('not_needed');
    expect(judgePrimeGate(piece, back).state).toBe('not_needed');
    expect(judgeHandoverGate(piece, back, '2026-03-01T10:00:00Z').state).toBe('not_needed');
  });
});

describe('the moment of a bleed watch', () => {
  it('follows from the age of the patch', () => {
    expect([0, 7.9, 8, 47.9, 48, 167, 168].map(bleedMomentAt)).toEqual([
      '1h',
      '1h',
      'overnight',
      'overnight',
      '48h',
      '48h',
      '7d',
    ]);
  });
});

describe('limits of the owner’s own', () => {
  const zone = { id: 'top', role: 'top' as const };
  const bleed = (de_mean: number, at = '48h'): Test => ({
    zone: 'top',
    kind: 'bleed_watch',
    age_h: 60,
    treatment: { prep: 'scuff_150', primer: 'shellac_primer', coats: 1 },
    reading: { at, de_mean, de_worst: de_mean * 1.5 },
  });
  const piece = (tests: Test[], gates?: NonNullable<Dossier['goal']>['gates']): Dossier => ({
    format: DOSSIER_FORMAT,
    piece: { kind: 'desk' },
    zones: [zone],
    tests,
    ...(gates ? { goal: { gates } } : {}),
  });

  it('move the bleed gate, at the limit itself too', () => {
    const state = (de: number, gates?: NonNullable<Dossier['goal']>['gates']) =>
      judgeBleedGate(piece([bleed(de)], gates), zone, { bleeds: 0.5, pale: true }).state;
    expect(state(0.99)).toBe('open');
    expect(state(1)).toBe('closed');
    expect(state(1, { bleed_mean: 1.5, bleed_worst: 3 })).toBe('open');
    expect(state(0.5, { bleed_at: '7d' })).toBe('waiting');
  });

  it('move what passes a scratch', () => {
    const dent: Test = { ...bleed(0), kind: 'nail', reading: { score: 2 } };
    expect(judgeTest(dent, piece([])).verdict).toBe('fail');
    expect(judgeTest(dent, piece([], { scratch_most: 2 })).verdict).toBe('pass');
  });
});

describe('handing over', () => {
  const zone = { id: 'top', role: 'top' as const };
  const piece = (more: Partial<Dossier>): Dossier => ({
    format: DOSSIER_FORMAT,
    piece: { kind: 'desk' },
    zones: [zone],
    ...more,
  });
  const log = [
    { at: '2026-03-01T10:00:00Z', zone: 'top', op: 'prime' as const, class: 'shellac_primer' },
    { at: '2026-03-02T10:00:00Z', zone: 'top', op: 'paint' as const, class: 'wb_alkyd_enamel', product: 'tin' },
  ];

  it('waits for the slowest coat to cure, counted from the last (cabinet enamel: 30 days)', () => {
    expect(judgeHandoverGate(piece({}), zone, '2026-03-03T00:00:00Z')).toMatchObject({ state: 'waiting' });
    const state = (now: string, more: Partial<Dossier> = {}) =>
      judgeHandoverGate(piece({ log, ...more }), zone, now).state;
    expect(state('2026-04-01T09:59:00Z')).toBe('waiting');
    expect(state('2026-04-01T10:00:00Z')).toBe('open');
    expect(state('2026-03-10T10:00:00Z', { shelf: [{ id: 'tin', class: 'wb_alkyd_enamel', cure_days: 7 }] })).toBe(
      'open',
    );
    expect(state('2026-03-03T00:00:00Z', { overrides: [{ zone: 'top', gate: 'handover', reason: 'sold' }] })).toBe(
      'overridden',
    );
  });
});
