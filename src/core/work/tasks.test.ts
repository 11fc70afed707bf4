import { applyChange, correctWork } from '../dossier';
import { makePiece, plainSteps } from '../../../tests/properties/shop-data';
import { findWait, listBlocks, listHeld, listTasks, listTaken, logTask, type Task } from './index';
import { nameTask } from '@/words';

const MILD = { temperature_c: 21, humidity_pct: 50 };
const tasksOf = (dossier: Parameters<typeof listTasks>[0]): Task[] => listTasks(dossier, [], MILD);
const find = (tasks: Task[], label: RegExp): Task => tasks.find((task) => label.test(nameTask(task)))!;

describe('tasks', () => {
  it('are one a coat, the same work on several zones together, each after the one before', () => {
    const tasks = tasksOf(makePiece('desk', ['top', 'legs']));
    expect(tasks.map((task) => `${nameTask(task)}: ${task.zones.join()}`)).toEqual([
      'Degrease, rinse, dry: top,legs',
      'Scuff 150: top,legs',
      'Waterborne bonding primer: top,legs',
      'Cabinet enamel, coat 1 of 2: top,legs',
      'Cabinet enamel, coat 2 of 2: top,legs',
    ]);
    expect(tasks.map(({ after }) => after.map(({ lags }) => lags[0]!.fromH)).flat()).toEqual([1, 0, 12, 16]);
    expect(find(tasks, /coat 1/)).toMatchObject({ minutes: 24, ml: 300 });
  });

  it('wait longer in cold air, and as the tin says', () => {
    const piece = makePiece('desk');
    const cold = listTasks(piece, [], { temperature_c: 12, humidity_pct: 75 });
    expect(find(cold, /coat 2/).after[0]!.lags[0]!.fromH).toBeGreaterThan(16);
    const steps = plainSteps().map((one) => (one.op === 'paint' ? { ...one, product: 'mine' } : one));
    const own = listTasks(
      makePiece('desk', ['top'], steps),
      [{ id: 'mine', class: 'wb_alkyd_enamel', recoat_h: 6 }],
      MILD,
    );
    expect(find(own, /coat 2/).after[0]!.lags[0]!.fromH).toBe(6);
  });

  it('are done when the log says so, zone by zone, and taken back with it', () => {
    let piece = makePiece('desk', ['top', 'legs']);
    const scuff = find(tasksOf(piece), /Scuff/);
    const entries = logTask({ ...scuff, openZones: ['top'] }, { at: '2026-11-28T09:00:00Z' });
    piece = applyChange(piece, { type: 'work_logged', work: 'w1', entries })!;
    expect(find(tasksOf(piece), /Scuff/)).toMatchObject({ state: 'open', openZones: ['legs'] });
    piece = applyChange(piece, {
      type: 'work_logged',
      work: 'w2',
      entries: logTask(find(tasksOf(piece), /Scuff/), { at: '2026-11-28T09:20:00Z' }),
    })!;
    expect(find(tasksOf(piece), /Scuff/)).toMatchObject({ state: 'done', doneAt: '2026-11-28T09:20:00Z' });
    piece = applyChange(piece, { type: 'work_withdrawn', work: 'w2' })!;
    expect(find(tasksOf(piece), /Scuff/).openZones).toEqual(['legs']);
  });

  it('count a log made elsewhere, coats and all, and forget what a strip took away', () => {
    const at = (hour: number): string => `2026-11-28T${String(hour).padStart(2, '0')}:00:00Z`;
    const log = [
      { at: at(8), zone: 'top', op: 'prime' as const, class: 'bonding_primer_wb', coats: 1 },
      { at: at(9), zone: 'top', op: 'paint' as const, class: 'wb_alkyd_enamel', coats: 2 },
    ];
    const states = (more: typeof log | { at: string; zone: string; op: 'strip' }[] = []): string[] =>
      tasksOf({ ...makePiece('desk'), log: [...log, ...more] }).map(({ op, coat, state }) => `${op}${coat} ${state}`);
    expect(states()).toEqual(['degrease1 open', 'scuff1 open', 'prime1 done', 'paint1 done', 'paint2 done']);
    expect(states([{ at: at(10), zone: 'top', op: 'strip' }]).slice(2)).toEqual([
      'prime1 open',
      'paint1 open',
      'paint2 open',
    ]);
  });

  it('that are left out are over but not done, and hold up nothing', () => {
    let piece = makePiece('desk');
    const scuff = find(tasksOf(piece), /Scuff/);
    piece = applyChange(piece, {
      type: 'work_logged',
      work: 'w',
      entries: logTask(scuff, { at: '2026-11-28T09:00:00Z', skipped: true, minutes: 5 }),
    })!;
    expect(piece.log![0]).not.toHaveProperty('minutes');
    expect(find(tasksOf(piece), /Scuff/).state).toBe('skipped');
    expect(findWait(find(tasksOf(piece), /primer/), tasksOf(piece), '2026-11-28T09:01:00Z')).toBeNull();
  });
});

describe('a tap on Done', () => {
  const task = find(tasksOf(makePiece('desk', ['top', 'legs'])), /coat 1/);

  it('writes time, coats, paint, air and cautions by itself, shared over the zones', () => {
    const entries = logTask(task, {
      at: '2026-11-28T09:30:00Z',
      startedAt: '2026-11-28T09:00:00Z',
      climate: { temperature_c: 16, humidity_pct: 60 },
      tin: { id: 'mine', class: 'wb_alkyd_enamel' },
      cautions: ['fumes'],
    });
    expect(entries).toHaveLength(2);
    expect(entries[0]).toMatchObject({
      zone: 'top',
      coats: 1,
      ml: 150,
      minutes: 15,
      foreseen_min: 21,
      product: 'mine',
      temperature_c: 16,
      cautions: ['fumes'],
    });
    expect(listTaken(entries)).toEqual(new Map([['mine', 300]]));
  });

  it('counts as planned, marked an estimate, where no clock ran, or ran all night', () => {
    // Twelve minutes of painting, and half of the eighteen that getting out and putting away take.
    const planned = { minutes: 21, minutes_estimated: true };
    expect(logTask(task, { at: '2026-11-28T09:30:00Z' })[0]).toMatchObject(planned);
    const allNight = { at: '2026-11-28T09:30:00Z', startedAt: '2026-11-27T20:00:00Z' };
    expect(logTask(task, allNight)[0]).toMatchObject(planned);
    expect(logTask(task, { at: '2026-11-28T09:30:00Z', pace: 1.5 })[0]).toMatchObject({ minutes: 31.5 });
    expect(logTask(task, { at: '2026-11-28T09:30:00Z', skipped: true })[0]).not.toHaveProperty('minutes');
  });

  it('may be of yesterday: clocks run from then, and when it was written down is kept beside', () => {
    const [entry] = logTask(task, { at: '2026-11-27T19:00:00Z', loggedAt: '2026-11-28T09:30:00Z' });
    expect(entry).toMatchObject({ at: '2026-11-27T19:00:00Z', logged_at: '2026-11-28T09:30:00Z' });
    expect(logTask(task, { at: '2026-11-28T09:30:00Z', loggedAt: '2026-11-28T09:30:00Z' })[0]).not.toHaveProperty(
      'logged_at',
    );
  });

  it('keeps what was written before when it is put right', () => {
    const [entry] = logTask(task, { at: '2026-11-28T09:30:00Z', minutes: 20 });
    const [put] = correctWork([entry!], { minutes: 12 });
    expect(put).toMatchObject({ minutes: 12, earlier: [{ minutes: 10, zone: 'top' }] });
  });
});

describe('what holds work back', () => {
  it('is a failed patch: proof, primer and paint of its zone, and what comes after', () => {
    const piece = makePiece('desk');
    const failed = {
      ...piece,
      tests: piece.tests!.map((test) => (test.kind === 'nail' ? { ...test, reading: { score: 4 } } : test)),
    };
    const tasks = tasksOf(failed);
    const held = listHeld(tasks, listBlocks(failed, tasks));
    expect(tasks.filter(({ id }) => held.has(id)).map(({ op }) => op)).toEqual(['prime', 'paint', 'paint']);
  });

  it('is lead: dry sanding until a test, and everything once it was found', () => {
    const old = makePiece('door');
    const zone = {
      ...old.zones![0]!,
      stated: { substrate: 'clear_softwood' as const, finish: 'alkyd_paint' as const },
    };
    const door = { ...old, piece: { ...old.piece, history: { era: '1940_1977' as const } }, zones: [zone] };
    const heldOf = (dossier: typeof door): string[] => {
      const tasks = tasksOf(dossier);
      const held = listHeld(tasks, listBlocks(dossier, tasks));
      return tasks.filter(({ id }) => held.has(id)).map(({ op }) => op);
    };
    expect(heldOf(door)).toEqual(['scuff', 'prime', 'paint', 'paint']);
    const tested = (result: string): typeof door => ({
      ...door,
      zones: [{ ...zone, observations: [{ check: 'lead_test', result }] }] as never,
    });
    expect(heldOf(tested('positive'))).toHaveLength(5);
    expect(heldOf(tested('negative'))).toEqual([]);
  });

  it('is a system no way keeps to any more', () => {
    const piece = makePiece('desk');
    const chosen = {
      zones: [
        {
          id: 'top',
          treatment: { prep: 'liquid_degloss' as const, primer: 'allpurpose_primer_wb' as const, coats: 1 },
        },
      ],
    };
    const broken = { ...piece, tests: [], chosen };
    expect(listBlocks(broken, tasksOf(broken)).map(({ gate }) => gate)).toEqual(['no_way']);
  });
});
