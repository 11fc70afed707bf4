import { DOSSIER_FORMAT, type Dossier } from '../dossier';
import { judgeGates } from '../piece';
import { freezeSystem, planPiece } from '../systems';
import { listBlocks, listHeld, listTasks, nextTask, type Task } from './index';
import { PHRASES } from '@/words';

const CLIMATE = { temperature_c: 21, humidity_pct: 50 };
const BARE: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { id: 'p', kind: 'desk', history: { era: 'since_2000' } },
  zones: [
    { id: 'top', role: 'top', area_m2: 1, stated: { substrate: 'hpl_laminate', finish: 'factory_film' } },
    { id: 'side', role: 'side', area_m2: 1, stated: { substrate: 'hpl_laminate', finish: 'factory_film' } },
  ],
};
const taken: Dossier = { ...BARE, chosen: freezeSystem(planPiece(BARE).systems[0]!, '2026-11-20T10:00:00Z', PHRASES) };
const read = (dossier: Dossier) => {
  const tasks = listTasks(dossier, [], CLIMATE);
  return { tasks, held: listHeld(tasks, listBlocks(dossier, tasks)) };
};

describe('the next job', () => {
  it('is the first that is open, or the one the plan of the shop takes first', () => {
    const work = read(taken);
    expect(nextTask(work, null)).toBe(work.tasks.find(({ state }) => state === 'open'));
    const later = work.tasks[2]!;
    const item = { task: later.id } as { task: string };
    const plan = { sittings: [{ startAt: '', endAt: '', items: [item as never] }] };
    expect(nextTask(work, plan)).toBe(later);
  });

  it('is none that is held back or done', () => {
    const work = read(taken);
    const all = new Set(work.tasks.map(({ id }) => id));
    expect(nextTask({ ...work, held: all }, null)).toBeUndefined();
    const done = work.tasks.map((task): Task => ({ ...task, state: 'done' }));
    expect(nextTask({ tasks: done, held: new Set() }, null)).toBeUndefined();
  });
});

describe('a proof that is over', () => {
  const zones = ['top', 'side'];
  const treatment = (zone: string) => taken.chosen!.zones.find(({ id }) => id === zone)!.treatment;
  const tests = (at?: string): NonNullable<Dossier['tests']> =>
    zones.flatMap((zone) =>
      (['nail', 'fork'] as const).map((kind) => ({
        zone,
        kind,
        treatment: treatment(zone),
        age_h: 48,
        reading: { score: 0 },
        ...(at ? { at } : {}),
      })),
    );
  const proofs = (dossier: Dossier) => read(dossier).tasks.filter(({ op }) => op === 'proof');

  it('has the date of the readings that opened its gate', () => {
    const at = '2026-11-22T19:30:00.000Z';
    const tested = { ...taken, tests: tests(at) };
    expect(judgeGates(tested).find(({ gate }) => gate === 'prime_to_paint')).toMatchObject({ state: 'open', at });
    expect(proofs(tested).length).toBeGreaterThan(0);
    for (const proof of proofs(tested)) expect(proof).toMatchObject({ state: 'done', doneAt: at });
  });

  it('has no date where none is known, and never one of 1970', () => {
    const tested = { ...taken, tests: tests() };
    for (const proof of proofs(tested)) {
      expect(proof.state).toBe('done');
      expect(proof).not.toHaveProperty('doneAt');
    }
  });
});
