import ICAL from 'ical.js';
import { writeEvents } from '../calendar';
import { applyChange, type Dossier } from '../dossier';
import { minuteOf, makeSchedule } from '../schedule';
import { freezeSystem, planPiece } from '../systems';
import { makeFacts, makePiece, NOW, plainSteps } from '../../../tests/properties/shop-data';
import { listBreaches } from '../../../tests/properties/check-schedule';
import {
  agreeOn,
  askByDate,
  isInWork,
  isReadingTask,
  listMoves,
  logTask,
  planShop,
  poseProblem,
  readPieceWork,
  readToday,
} from './index';
import { nameTask, nameTasks, PHRASES, sayCalendar, sayMove, sayRemedy, writeJobSheet } from '@/words';

/** With the recommended system taken, nothing done. */
const takeRecommended = (dossier: Dossier): Dossier => ({
  ...dossier,
  chosen: freezeSystem(planPiece(dossier).systems[0]!, '2026-11-20T10:00:00Z', PHRASES),
});
const facts = makeFacts();
const read = (...pieces: Parameters<typeof readPieceWork>[0][]) => pieces.map((piece) => readPieceWork(piece, facts));

describe('the plan of the shop', () => {
  it('can be worked, and keeps coats in the hours the owner has', () => {
    const pieces = read(makePiece('a', ['top', 'legs']), makePiece('b'), makePiece('c', ['top'], plainSteps(true)));
    const problem = poseProblem(pieces, facts);
    expect(listBreaches(problem, makeSchedule(problem, { seed: 1 }))).toEqual([]);
    const plan = planShop(pieces, facts);
    expect(plan.unplaced).toEqual([]);
    expect(plan.ready.map(({ piece }) => piece).sort()).toEqual(['a', 'b', 'c']);
    for (const { startAt, items } of plan.sittings)
      for (const item of items) expect(item.startAt >= startAt).toBe(true);
  });

  it('bares metal once its patch is read, and coats it the same evening', () => {
    const fresh = takeRecommended({
      format: 'bricolage.dossier/1',
      piece: { id: 'bed', name: 'Bed', kind: 'other', history: { era: 'since_2000' } },
      zones: [{ id: 'frame', role: 'frame', area_m2: 0.6, stated: { substrate: 'metal_ferrous', finish: 'bare' } }],
      goal: { colour: '#1E2A30' },
    });
    const [work] = read(fresh);
    const chain = work!.tasks.map(({ op, key }) => (isReadingTask({ key }) ? 'reading' : op));
    expect(chain.indexOf('reading')).toBeLessThan(chain.indexOf('scuff'));
    const problem = poseProblem([work!], facts);
    const schedule = makeSchedule(problem, { seed: 1 });
    expect(listBreaches(problem, schedule)).toEqual([]);
    const windowOf = (op: string): number =>
      schedule.placements.get(work!.tasks.find((task) => task.op === op)!.id)!.parts[0]!.window;
    expect(windowOf('scuff')).toBe(windowOf('prime'));
  });

  it('spends no more than an hour on a fresh dresser before its patch is painted', () => {
    const kinds = [
      { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' },
      { substrate: 'melamine_board', finish: 'factory_film' },
      { substrate: 'wood_veneer', finish: 'wax' },
    ] as const;
    for (const stated of kinds) {
      const roles = ['top', 'side', 'drawer_front', 'frame'] as const;
      const fresh = takeRecommended({
        format: 'bricolage.dossier/1',
        piece: { id: 'd', name: 'Dresser', kind: 'dresser', history: { era: 'since_2000' } },
        zones: roles.map((role) => ({ id: role, role, area_m2: 0.8, stated })),
        goal: { colour: '#F3EFE6' },
      });
      const [work] = read(fresh);
      const { placements } = makeSchedule(poseProblem([work!], facts), { seed: 1 });
      const patches = work!.tasks.filter(({ op, key }) => op === 'proof' && !isReadingTask({ key }));
      expect(patches.length).toBeGreaterThan(0);
      const painted = Math.max(...patches.map(({ id }) => placements.get(id)!.parts.at(-1)!.end));
      const before = [...placements.values()]
        .flatMap(({ parts }) => parts)
        .filter(({ start }) => start < painted)
        .reduce((sum, { start, end }) => sum + end - start, 0);
      expect(before).toBeLessThanOrEqual(60);
    }
  });

  it('pulls the same tin on two pieces together', () => {
    const plan = planShop(read(makePiece('a'), makePiece('b')), facts);
    // Primer and two coats of paint, each cleaned up once for both pieces.
    expect(plan.cleanUps).toBe(3);
  });

  it('gives no date to a piece something holds back, and says what', () => {
    const piece = makePiece('a');
    const failed = {
      ...piece,
      tests: piece.tests!.map((test) => ({ ...test, reading: test.kind === 'nail' ? { score: 5 } : test.reading })),
    };
    const pieces = read(failed, makePiece('b'));
    const plan = planShop(pieces, facts);
    expect(plan.ready.map((one) => one.piece)).toEqual(['b']);
    expect(readToday(pieces, plan, facts).blocked).toMatchObject([
      { piece: 'a', gate: 'proof_failed', goTo: 'choose' },
    ]);
  });

  it('closes evenings that the last ones say are cold', () => {
    const cold = [1, 2, 3].map((day) => ({ at: `2026-11-${24 + day}T19:30:00Z`, temperature_c: 7, humidity_pct: 70 }));
    const noon = [1, 2, 3].map((day) => ({ at: `2026-11-${24 + day}T11:00:00Z`, temperature_c: 17, humidity_pct: 55 }));
    const winter = makeFacts({}, { air: [...cold, ...noon].sort((a, b) => a.at.localeCompare(b.at)) });
    const pieces = [readPieceWork(makePiece('a'), winter)];
    const plan = planShop(pieces, winter);
    const paints = plan.sittings
      .flatMap(({ items }) => items)
      .filter(({ task }) => task.includes('paint') || task.includes('prime'));
    expect(paints.length).toBe(3);
    // Evenings are closed to waterborne coats; the Saturday mornings are left.
    for (const { startAt } of paints) expect(new Date(startAt).getUTCDay()).toBe(6);
    expect(plan.closed.some(({ waterborne }) => waterborne)).toBe(true);
  });

  it('goes by the time the owner says they have', () => {
    const now = makeFacts({ freeFor: 20 });
    const pieces = [readPieceWork(makePiece('a'), now)];
    const plan = planShop(pieces, now);
    const today = readToday(pieces, plan, now);
    expect(today.until).toBe('2026-11-28T09:20:00.000Z');
    expect(today.doNow.map(({ task }) => task)).toEqual(['a/0-degrease-degreaser-1']);
  });

  it('says well that there is nothing to do', () => {
    const sunday = makeFacts({ now: '2026-11-29T10:00:00.000Z' });
    const pieces = [readPieceWork(makePiece('a'), sunday)];
    const today = readToday(pieces, planShop(pieces, sunday), sunday);
    expect([today.doNow, today.nextAt]).toEqual([[], '2026-11-30T19:00:00.000Z']);
  });

  it('leaves out pieces that have gone', () => {
    const piece = makePiece('a');
    expect(isInWork(piece)).toBe(true);
    expect(isInWork({ ...piece, log: [{ zone: 'top', op: 'handover', at: NOW }] })).toBe(false);
    expect(isInWork({ ...piece, outcomes: [{ id: 'o', outcome: 'fine' }] })).toBe(false);
    expect(isInWork({ ...piece, chosen: undefined })).toBe(false);
  });
});

describe('what really happened', () => {
  it('moves the plan, and says what moved and why', () => {
    const [before] = read(makePiece('a'));
    const agreed = agreeOn(planShop([before!], facts));
    // Nothing was done on Saturday: it is Monday now.
    const monday = makeFacts({ now: '2026-11-30T18:00:00.000Z' });
    const pieces = [readPieceWork(makePiece('a'), monday)];
    const moves = listMoves(agreed, planShop(pieces, monday));
    expect(moves.length).toBeGreaterThan(2);
    expect(moves[0]).toMatchObject({ task: 'a/0-degrease-degreaser-1' });
    expect(sayMove(moves[0]!, nameTasks(pieces))).toBe('It waits for your next free time.');
    expect(moves.some(({ because }) => because.kind === 'chained')).toBe(true);
    expect(listMoves(agreed, planShop([before!], facts))).toEqual([]);
  });

  it('names first what has lost its time altogether: coats in a week of cold', () => {
    const pieces = read(makePiece('a'));
    const agreed = agreeOn(planShop(pieces, facts));
    const air = [{ at: '2026-11-28T08:30:00.000Z', temperature_c: 5, humidity_pct: 70 }];
    const cold = planShop(pieces, makeFacts({}, { air }));
    const [first] = listMoves(agreed, cold);
    expect(first).toMatchObject({ to: null, because: { kind: 'unplaced', why: 'air' } });
    expect(sayMove(first!, nameTasks(pieces))).toMatch(/too cold/);
  });

  it('counts waits from when a coat was really put on', () => {
    const piece = makePiece('a');
    const [work] = read(piece);
    const prime = work!.tasks.find(({ op }) => op === 'prime')!;
    const late = applyChange(piece, {
      type: 'work_logged',
      work: 'w',
      entries: logTask(prime, { at: '2026-11-28T08:30:00Z' }),
    })!;
    const pieces = read(late);
    const plan = planShop(pieces, facts);
    const paint = plan.sittings.flatMap(({ items }) => items).find(({ task }) => task.includes('paint'))!;
    expect(minuteOf(paint.startAt)).toBeGreaterThanOrEqual(minuteOf('2026-11-28T20:30:00Z'));
  });
});

describe('"can all be collected by then?"', () => {
  it('is yes with time enough, and names the piece and what would save it where not', () => {
    const pieces = read(makePiece('a', ['top'], plainSteps(true)), makePiece('b'));
    expect(askByDate(pieces, facts, '2026-12-31')).toMatchObject({ possible: true, late: [], open: [] });
    const tight = askByDate(pieces, facts, '2026-12-03');
    expect(tight.possible).toBe(false);
    expect(tight.late.map(({ piece }) => piece)).toContain('a');
    const remedies = tight.late.find(({ piece }) => piece === 'a')!.remedies;
    expect(remedies.map(({ kind }) => kind)).toContain('drop_clear');
    for (const { readyAt } of remedies)
      expect(readyAt < tight.late.find(({ piece }) => piece === 'a')!.readyAt!).toBe(true);
  });
});

describe('what could save a date', () => {
  const date = '2026-12-03';
  const late = (piece: Parameters<typeof readPieceWork>[0], by = date) => askByDate(read(piece), facts, by).late[0]!;

  it('is a faster primer, as long as nothing is primed, and says that it wants proof', () => {
    const slow = makePiece(
      'a',
      ['top'],
      plainSteps().map((step) =>
        step.op === 'prime' ? { ...step, class: 'bonding_primer_oil', coats: 2, recoat_h: 16, wait_h: 32 } : step,
      ),
    );
    const remedy = late(slow, '2026-12-01').remedies.find(({ kind }) => kind === 'faster_primer');
    expect(sayRemedy(remedy!)).toMatch(/^A faster system: .*\(to be proved on a patch\)$/);
    const prime = read(slow)[0]!.tasks.find(({ op }) => op === 'prime')!;
    const primed = applyChange(slow, {
      type: 'work_logged',
      work: 'w',
      entries: logTask(prime, { at: '2026-11-28T08:00:00Z' }),
    })!;
    expect(late(primed, '2026-11-30').remedies.map(({ kind }) => kind)).not.toContain('faster_primer');
  });

  it('is one more evening, on a day that has none', () => {
    const { remedies } = late(makePiece('a', ['top'], plainSteps(true)));
    expect(sayRemedy(remedies.find(({ kind }) => kind === 'more_time')!)).toBe(
      'One more evening a week: Sunday from 19:00 to 21:00',
    );
  });

  it('is said to save only what then is in time for all', () => {
    const answer = askByDate(read(makePiece('a', ['top'], plainSteps(true)), makePiece('b')), facts, date);
    for (const { remedies } of answer.late)
      for (const { saves, readyAt } of remedies) if (saves) expect(readyAt < '2026-12-04T00:00:00.000Z').toBe(true);
  });
});

describe('the plan on paper', () => {
  const pieces = read(makePiece('a', ['top', 'legs']));
  const plan = planShop(pieces, facts);

  it('is a calendar that a parser reads back: every sitting once, and when it can be collected', () => {
    const events = new ICAL.Component(ICAL.parse(writeEvents(sayCalendar(plan, pieces), NOW)))
      .getAllSubcomponents('vevent')
      .map((own) => new ICAL.Event(own));
    expect(events).toHaveLength(plan.sittings.length + 1);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
    const first = events.find(
      ({ startDate }) => startDate.toJSDate().toISOString() === plan.sittings[0]!.items[0]!.startAt,
    );
    expect(first?.summary).toBe('Workshop: a');
    expect(events.at(-1)!.summary).toBe('a can be collected');
  });

  it('is a job sheet with every task, where, how much and what to beware of', () => {
    const sheet = writeJobSheet(
      pieces[0]!,
      plan,
      (at) => at.slice(0, 16),
      (ml) => `${ml} ml`,
    );
    for (const task of pieces[0]!.tasks) expect(sheet).toContain(`**${nameTask(task)}**`);
    expect(sheet).toContain('- [ ] **Scuff 150** (top, legs');
    expect(sheet).toContain('pour 340 ml');
  });
});
