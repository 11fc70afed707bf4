import { DOSSIER_FORMAT, type Dossier, type Test, type Treatment, type Zone } from '../dossier';
import { judgeGates } from '../piece';
import { planPiece } from '../systems';
import { listAlike, requirementsFor, treatmentKey } from './index';

const SHELLAC: Treatment = { prep: 'scuff_220', primer: 'shellac_primer', coats: 1 };
const OAK = { substrate: 'tannin_rich_wood', finish: 'varnish_oil' } as const;
const LAMINATE = { substrate: 'hpl_laminate', finish: 'factory_film' } as const;

const test = (kind: Test['kind'], reading: Test['reading'], more: Partial<Test> = {}): Test => ({
  zone: 'top',
  kind,
  treatment: SHELLAC,
  age_h: 60,
  reading,
  ...more,
});
const NAIL = test('nail', { score: 0 });
const CUT = test('cross_cut', { iso_class: 0 });
const WATCH = test('bleed_watch', { at: '48h', score: 0 });
const piece = (stated: Zone['stated'], tests: Test[] = [], more: Partial<Dossier> = {}): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk' },
  zones: [{ id: 'top', role: 'top', stated }],
  tests,
  ...more,
});
const states = (dossier: Dossier, treatment = SHELLAC): string[] =>
  requirementsFor(dossier, dossier.zones![0]!, { treatment }).map(({ shows, state }) => `${shows} ${state}`);

describe('what is wanted of a treatment', () => {
  it('is two touches, and a watch where colour may come through pale paint', () => {
    expect(states(piece(LAMINATE))).toEqual(['nail missing', 'cross_cut missing']);
    expect(states(piece(OAK))).toEqual(['nail missing', 'cross_cut missing', 'no_bleed missing']);
    expect(states(piece(OAK, [], { goal: { colour: '#20242A' } }))).toHaveLength(2);
  });

  it.each([
    ['a tape stands for neither touch', [test('tape', { score: 0 })], ['nail missing', 'cross_cut missing']],
    ['each touch is shown by itself', [NAIL], ['nail met', 'cross_cut missing']],
    ['too early is told', [{ ...NAIL, age_h: 0.5 }, CUT], ['nail early', 'cross_cut met']],
    ['one failure fails it', [NAIL, CUT, test('nail', { score: 4 })], ['nail failed', 'cross_cut failed']],
    [
      'another number of coats is another patch',
      [{ ...NAIL, treatment: { ...SHELLAC, coats: 2 } }],
      ['nail missing', 'cross_cut missing'],
    ],
    [
      'a grit that holds alike is the same patch',
      [{ ...NAIL, treatment: { ...SHELLAC, prep: 'scuff_180' } }],
      ['nail missing', 'cross_cut missing'],
    ],
  ] as [string, Test[], string[]][])('%s', (_name, tests, expected) => {
    expect(states(piece(LAMINATE, tests))).toEqual(expected);
  });

  it('counts a scratch of 120, 150 and 180 alike', () => {
    const keys = (['scuff_120', 'scuff_150', 'scuff_180'] as const).map((prep) => treatmentKey({ ...SHELLAC, prep }));
    expect(new Set(keys).size).toBe(1);
    expect(keys).not.toContain(treatmentKey(SHELLAC));
  });

  it('waits for the owner’s own moment of the bleed watch, in the plan as at the gate', () => {
    const own = piece(OAK, [NAIL, CUT, WATCH], { goal: { gates: { bleed_at: '7d' } } });
    expect(states(own)).toEqual(['nail met', 'cross_cut met', 'no_bleed early']);
    const proof = planPiece(piece(OAK, [], { goal: { gates: { bleed_at: '7d' } } })).systems[0]!.zones[0]!.steps.find(
      ({ op }) => op === 'proof',
    );
    expect(proof).toMatchObject({ waitH: 168, tests: ['nail', 'cross_cut', 'bleed_watch'] });
  });

  it('rules a blocker out at so many coats whatever the preparation, and lets more of it be tried', () => {
    const bled = test('bleed_watch', { at: '1h', score: 4 }, { treatment: { ...SHELLAC, prep: 'scuff_150' } });
    expect(states(piece(OAK, [bled]))).toContain('no_bleed failed');
    expect(states(piece(OAK, [bled]), { ...SHELLAC, coats: 2 })).toContain('no_bleed missing');
    const tried = planPiece(piece(OAK, [bled])).systems.map(({ zones }) => zones[0]!.stack.primers);
    expect(tried).not.toContainEqual([{ code: 'shellac_primer', coats: 1 }]);
  });

  it('asks for a watch where a patch let colour through, however unlikely it was', () => {
    const bled = test('bleed_watch', { at: '1h', score: 4 }, { treatment: { prep: 'scuff_220', primer: 'none' } });
    const maple = { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' } as const;
    expect(states(piece(maple))).toHaveLength(2);
    expect(states(piece(maple, [bled]))).toEqual(['nail missing', 'cross_cut missing', 'no_bleed missing']);
  });
});

describe('one patch a surface', () => {
  const zones = (more: Partial<Zone> = {}): Zone[] => [
    { id: 'top', role: 'top', area_m2: 1, stated: LAMINATE },
    { id: 'left', role: 'side', area_m2: 1, like: 'top' },
    { id: 'right', role: 'side', area_m2: 1, like: 'top', ...more },
    { id: 'shelf', role: 'shelf', area_m2: 1, stated: OAK },
  ];
  const desk = (own = zones(), more: Partial<Dossier> = {}): Dossier => ({ ...piece(undefined), zones: own, ...more });

  it('is shared by what is read alike, and by nothing else', () => {
    const own = desk();
    expect(own.zones!.map((zone) => listAlike(own, zone).join('+'))).toEqual([
      'top+left+right',
      'top+left+right',
      'top+left+right',
      'shelf',
    ]);
    const spoilt = desk(zones({ defects: [{ code: 'flaking' }] }));
    expect(listAlike(spoilt, spoilt.zones![1]!)).toEqual(['top', 'left']);
    const apart = desk(zones({ stated: OAK }));
    expect(listAlike(apart, apart.zones![2]!)).toEqual(['right']);
  });

  it('joins sides with the same answers without being told, but not what nothing is known of', () => {
    const side = (id: string, more: Partial<Zone> = {}): Zone => ({ id, role: 'side', ...more });
    const unread = desk([side('left'), side('right')]);
    expect(listAlike(unread, unread.zones![0]!)).toEqual(['left']);
    const read = desk([side('left', { stated: OAK }), side('right', { stated: OAK })]);
    expect(listAlike(read, read.zones![1]!)).toEqual(['left', 'right']);
  });

  it('is planned once and asked for twice, and opens and shuts them all', () => {
    const own = desk(zones().slice(0, 3));
    const plan = planPiece(own).systems[0]!;
    const minutes = plan.zones.map(({ steps }) => steps.find(({ op }) => op === 'proof')?.minutes);
    expect(minutes.filter((spent) => spent === 0)).toHaveLength(2);
    expect(new Set(plan.zones.map(({ treatment }) => treatmentKey(treatment))).size).toBe(1);
    const chosen = { zones: plan.zones.map(({ id, treatment }) => ({ id, treatment })) };
    const { treatment } = plan.zones[0]!;
    const read = (...tests: Test[]): string[] =>
      judgeGates({ ...own, chosen, tests: tests.map((own) => ({ ...own, treatment })) })
        .filter(({ gate }) => gate === 'prime_to_paint')
        .map(({ state }) => state);
    expect(read()).toEqual(['waiting', 'waiting', 'waiting']);
    expect(read(NAIL, { ...CUT, zone: 'right' })).toEqual(['open', 'open', 'open']);
    expect(read(NAIL, CUT, test('nail', { score: 5 }, { zone: 'left' }))).toEqual(['closed', 'closed', 'closed']);
  });
});
