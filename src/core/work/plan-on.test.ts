import {
  applyChange,
  DOSSIER_FORMAT,
  startWishes,
  type Dossier,
  type LogEntry,
  type PieceChange,
  type Test,
} from '../dossier';
import { judgeGates } from '../piece';
import { freezeSystem, listDepartures, planOn, planPiece } from '../systems';
import { PHRASES } from '@/words';
import { LABEL_CLIMATE } from '../climate';
import { buildTemplate, KIND_TEMPLATES, listParts, templateOf } from '../templates';
import { listTasks, logTask, splitForWork, type Doing, type Task } from './index';

const at = (hours: number): string => new Date(Date.parse('2026-05-01T08:00:00Z') + hours * 3_600_000).toISOString();
const LAMINATE = { substrate: 'hpl_laminate', finish: 'factory_film' } as const;
const BARE: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { kind: 'desk', history: { era: 'since_2000' } },
  zones: [
    { id: 'top', role: 'top', area_m2: 1, stated: LAMINATE },
    { id: 'side', role: 'side', area_m2: 0.6, like: 'top' },
  ],
};
const TAKEN: Dossier = { ...BARE, chosen: freezeSystem(planPiece(BARE).systems[0]!, at(0), PHRASES) };
const primerTaken = TAKEN.chosen!.zones[0]!.treatment.primer!;
const OTHER = primerTaken === 'bonding_primer_oil' ? 'bonding_primer_2k' : 'bonding_primer_oil';

const tasksOf = (dossier: Dossier): Task[] => listTasks(dossier, [], LABEL_CLIMATE);
const open = (dossier: Dossier): Task[] => tasksOf(dossier).filter(({ state }) => state === 'open');
const find = (dossier: Dossier, op: Task['op']): Task =>
  tasksOf(dossier).find((task) => task.op === op && task.state === 'open')!;
const apply = (dossier: Dossier, change: PieceChange): Dossier => applyChange(dossier, change)!;
const log = (dossier: Dossier, entries: LogEntry[], work: string): Dossier =>
  apply(dossier, { type: 'work_logged', work, entries });
const doTask = (dossier: Dossier, op: Task['op'], hours: number, more: Partial<Doing> = {}): Dossier =>
  log(dossier, logTask(find(dossier, op), { at: at(hours), ...more }), `${op}-${hours}`);
/** Washed, dulled and dusted. */
const ready = (['degrease', 'scuff', 'dust'] as const).reduce((dossier, op, i) => doTask(dossier, op, i + 1), TAKEN);

describe('work that was done otherwise than planned', () => {
  it('keeps to the plan where it did, however many coats went on at once', () => {
    expect(listDepartures(ready)).toEqual([]);
    expect(planOn(ready, at(9), PHRASES)).toBeNull();
    const primed = doTask(ready, 'prime', 5);
    expect(listDepartures(primed)).toEqual([]);
    const painted = doTask({ ...primed, overrides: [] }, 'paint', 30, { coats: 2 });
    expect(listDepartures(painted)).toEqual([]);
    expect(open(painted).some(({ op }) => op === 'paint')).toBe(false);
  });

  it('is no job left open, and a departure that says what was and what is', () => {
    const primed = doTask(ready, 'prime', 5, { class: OTHER });
    expect(primed.log!.at(-1)).toMatchObject({ class: OTHER, instead_of: expect.stringContaining('prime') });
    expect(primed.log!.at(-1)).not.toHaveProperty('task');
    expect(open(primed).some(({ op }) => op === 'prime')).toBe(false);
    expect(listDepartures(primed).map(({ zone, was, is }) => [zone, was.primer, is.primer])).toEqual([
      ['top', primerTaken, OTHER],
      ['side', primerTaken, OTHER],
    ]);
  });

  it('is planned on from what is on: proved on the face before paint, the old work kept', () => {
    const primed = doTask(ready, 'prime', 5, { class: OTHER });
    const on = planOn(primed, at(6), PHRASES)!;
    expect(on.broken).toEqual([]);
    const after = apply(primed, { type: 'choice_taken', choice: on.choice });
    expect(listDepartures(after)).toEqual([]);
    expect(after.earlier_choices).toHaveLength(1);
    const tasks = tasksOf(after);
    expect(tasks.filter(({ state }) => state === 'done').map(({ op }) => op)).toEqual(
      expect.arrayContaining(['degrease', 'scuff', 'dust', 'prime']),
    );
    const left = tasks.filter(({ state }) => state === 'open').map(({ op }) => op);
    expect(left[0]).toBe('proof');
    expect(left).toContain('paint');
    expect(left).not.toContain('prime');
    const paint = tasks.find(({ op }) => op === 'paint')!;
    const before = (key: string): string[] => {
      const task = tasks.find((own) => own.key === key)!;
      return [task.op, ...task.after.flatMap((own) => before(own.key))];
    };
    expect(before(paint.key)).toContain('proof');
    const tests: Test[] = (['nail', 'cross_cut'] as const).map((kind) => ({
      zone: 'top',
      kind,
      treatment: { ...on.choice.zones[0]!.treatment, paint: undefined },
      age_h: 40,
      reading: kind === 'nail' ? { score: 0 } : { iso_class: 0 },
    })) as Test[];
    expect(judgeGates(after).find(({ gate }) => gate === 'prime_to_paint')!.state).toBe('waiting');
    const proved = judgeGates({ ...after, tests }).filter(({ gate }) => gate === 'prime_to_paint');
    expect(proved.map(({ state }) => state)).toEqual(['open', 'open']);
  });

  it('on one zone alone leaves the others as they were planned', () => {
    const one = doTask(ready, 'prime', 5, { class: OTHER, zones: ['side'] });
    const on = planOn(one, at(6), PHRASES)!;
    expect(on.departures.map(({ zone }) => zone)).toEqual(['side']);
    const after = apply(one, { type: 'choice_taken', choice: on.choice });
    const prime = open(after).find(({ op }) => op === 'prime')!;
    expect(prime.openZones).toEqual(['top']);
    expect(prime.class).toBe(primerTaken);
  });

  it('says which rule is broken where nothing can go over what is on', () => {
    const thin = doTask(ready, 'prime', 5, { class: 'allpurpose_primer_wb' });
    const on = planOn(thin, at(6), PHRASES)!;
    expect(on.broken.map(({ finding }) => finding.rule)).toContain('too_weak_for_ground');
    expect(on.choice.zones.map(({ treatment }) => treatment.primer)).toEqual([primerTaken, primerTaken]);
  });

  it('may be about nine of fourteen doors: they become a zone with all that was done on the whole', () => {
    const counts = { doors: 14 };
    const { zones } = buildTemplate('kitchen_run', KIND_TEMPLATES.kitchen_run.size, counts);
    const kitchen: Dossier = {
      format: DOSSIER_FORMAT,
      piece: { kind: 'kitchen_run', history: { era: 'since_2000' }, counts },
      zones: zones.map((zone) => ({ ...zone, stated: LAMINATE })),
      goal: startWishes(zones),
    };
    const doors = kitchen.zones!.find(({ role }) => role === 'door')!.id;
    const taken: Dossier = { ...kitchen, chosen: freezeSystem(planPiece(kitchen).systems[0]!, at(0), PHRASES) };
    const washed = doTask(taken, 'degrease', 1, { minutes: 100 });
    const all = listParts(templateOf(washed.piece).shapes, washed.zones!, doors);
    expect(all).toHaveLength(14);
    let made = 0;
    const changes = splitForWork(
      washed,
      doors,
      all.slice(0, 9),
      { id: 'nine', name: 'Nine doors' },
      () => `id${(made += 1)}`,
    );
    const split = changes.reduce((dossier, change) => apply(dossier, change), washed);
    const minutesOf = ({ log }: Dossier) => log!.reduce((sum, { minutes = 0 }) => sum + minutes, 0);
    expect(minutesOf(split)).toBeCloseTo(minutesOf(washed), 0);
    expect(find(split, 'scuff').openZones).toEqual(expect.arrayContaining([doors, 'nine']));
    // Primed with another tin, and only the nine.
    const task = tasksOf(split).find(({ op, openZones }) => op === 'prime' && openZones.includes('nine'))!;
    const primed = log(split, logTask(task, { at: at(5), zones: ['nine'], class: OTHER }), 'primed');
    const on = planOn(primed, at(6), PHRASES)!;
    expect(on.departures.map(({ zone }) => zone)).toEqual(['nine']);
    const after = apply(primed, { type: 'choice_taken', choice: on.choice });
    const left = open(after)
      .filter(({ op }) => op === 'prime')
      .flatMap(({ openZones }) => openZones);
    expect(left).toContain(doors);
    expect(left).not.toContain('nine');
  });

  it('takes a step besides the plan for none of its own', () => {
    const extra = log(ready, [{ zone: 'top', op: 'prime', class: primerTaken, coats: 1, at: at(5), extra: true }], 'x');
    expect(open(extra).some(({ op }) => op === 'prime')).toBe(true);
  });
});
