import { DOSSIER_FORMAT, type Dossier, type LogEntry, type Test } from '../dossier';
import { LABEL_CLIMATE } from '../climate';
import { freezeSystem, planPiece } from '../systems';
import { PHRASES } from '@/words';
import { judgeStanding, listTasks, logTask } from './index';

const at = (hours: number): string => new Date(Date.parse('2026-05-01T08:00:00Z') + hours * 3_600_000).toISOString();
const UNREAD: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk', history: { era: 'since_2000' } },
  zones: [{ id: 'top', role: 'top', area_m2: 1 }],
};
const READ: Dossier = {
  ...UNREAD,
  zones: [{ id: 'top', role: 'top', area_m2: 1, stated: { substrate: 'hpl_laminate', finish: 'factory_film' } }],
};
const TAKEN: Dossier = { ...READ, chosen: freezeSystem(planPiece(READ).systems[0]!, at(0), PHRASES) };
const { treatment } = TAKEN.chosen!.zones[0]!;
const test = (score: number): Test[] =>
  (['nail', 'cross_cut'] as const).map((kind) => ({
    zone: 'top',
    kind,
    treatment,
    age_h: 48,
    at: at(50),
    reading: kind === 'nail' ? { score } : { iso_class: score },
  }));

/** So many of the tasks done, one after the other, six hours apart. */
const worked = (dossier: Dossier, count: number): Dossier => {
  const log: LogEntry[] = [];
  let left = count;
  for (let i = 0; left > 0; i += 1) {
    const next = listTasks({ ...dossier, log }, [], LABEL_CLIMATE).find(
      ({ state, op }) => state === 'open' && op !== 'proof',
    );
    if (!next) break;
    log.push(...logTask(next, { at: at(60 + i * 6) }).map((entry) => ({ ...entry, work: `w${i}` })));
    left -= 1;
  }
  return { ...dossier, log };
};
const PROVED: Dossier = { ...TAKEN, tests: test(0) };
const ALL = worked(PROVED, 99);
const trouble = { id: 'x', zone: 'top', symptom: 'scratches_off' as const };
const sold = { money: { sold: { amount: 200 } } };
const withoutHandover = (dossier: Dossier): Dossier => ({
  ...dossier,
  log: dossier.log!.filter(({ op }) => op !== 'handover'),
});

describe('where a piece stands', () => {
  it.each([
    ['being read', UNREAD, 'reading', 'read'],
    ['read', READ, 'read', 'choose'],
    ['wants a patch, once the washing and dulling are done', worked(TAKEN, 3), 'proof_wanted', 'prove'],
    ['a patch failed', { ...TAKEN, tests: test(5) }, 'patch_failed', 'choose'],
    ['worked on', worked(PROVED, 1), 'working', 'work'],
    ['done, and not sold', withoutHandover(ALL), 'done', 'work'],
    ['sold: it waits to be fetched, and is proved no more', { ...withoutHandover(ALL), ...sold }, 'sold', 'let-go'],
    ['sold, with work left on it: that comes next', { ...worked(PROVED, 2), ...sold }, 'sold', 'work'],
    ['handed over', { ...ALL, ...sold }, 'handed_over', 'let-go'],
    ['in trouble, whatever else', { ...ALL, ...sold, troubles: [trouble] }, 'in_trouble', 'mend'],
    [
      'settled again',
      { ...ALL, ...sold, troubles: [{ ...trouble, settled: { how: 'live_with' as const, at: at(900) } }] },
      'handed_over',
      'let-go',
    ],
  ] as [string, Dossier, string, string][])('%s', (_name, dossier, state, stage) => {
    expect(judgeStanding(dossier)).toMatchObject({ state: { code: state }, stage });
  });

  it('says until when what comes next dries', () => {
    const primed = worked(PROVED, 4);
    expect(primed.log!.at(-1)!.op).toBe('prime');
    const { until } = judgeStanding(primed);
    expect(Date.parse(until!)).toBeGreaterThan(Date.parse(primed.log!.at(-1)!.at!));
  });

  it('takes the old steps of a zone off the bench while something is wrong with it', () => {
    const open = (dossier: Dossier) => listTasks(dossier, [], LABEL_CLIMATE).filter(({ state }) => state === 'open');
    const begun = worked(PROVED, 2);
    expect(open(begun).length).toBeGreaterThan(0);
    expect(open({ ...begun, troubles: [trouble] })).toEqual([]);
  });
});
