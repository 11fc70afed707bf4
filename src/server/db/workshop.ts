import {
  EMPTY_WORKSHOP,
  tryWorkshopChange,
  type Air,
  type Pin,
  type PracticeAnswer,
  type Setup,
  type Workshop,
  type WorkshopChange,
} from '@/core/workshop';
import { ratesOf } from '@/core/practice';
import { succeed, type Result } from '@/core/shared';
import type { Db } from './connection';

/** The shop's hours, places, air and pinned jobs. Every change answers with the workshop as it now is. */
export interface WorkshopStore {
  find: () => Workshop;
  apply: (change: WorkshopChange, now: string) => Result<Workshop>;
  /** How often the owner misreads each check, by all that was practised; none unless that is to count. The same object as long as it stays so. */
  misreadings: () => Readonly<Record<string, number>> | undefined;
  /** With every reading of the air, however old. */
  findWhole: () => Workshop;
  /** Puts back what `findWhole` gave into a shop that has none yet. */
  restore: (workshop: Workshop) => void;
}

/** Readings of the air that are sent out: four weeks at one a quarter of an hour. Older ones stay in the file. */
const MOST_READINGS = 2688;
/** Answered exercises that are sent out: most of a year at three a day. Older ones stay in the file. */
const MOST_ANSWERS = 1000;

export function makeWorkshopStore(db: Db): WorkshopStore {
  const setup = db.prepare('SELECT body FROM workshop WHERE id = 1');
  const putSetup = db.prepare(
    'INSERT INTO workshop (id, body) VALUES (1, ?) ON CONFLICT (id) DO UPDATE SET body = excluded.body',
  );
  const air = db.prepare(
    'SELECT body FROM air WHERE withdrawn_at IS NULL ORDER BY unixepoch(at) DESC, at DESC LIMIT ?',
  );
  const putAir = db.prepare(
    `INSERT INTO air (at, temperature_c, humidity_pct, body) VALUES (@at, @temperature, @humidity, @body)
     ON CONFLICT (at) DO UPDATE
     SET temperature_c = @temperature, humidity_pct = @humidity, body = @body, withdrawn_at = NULL`,
  );
  const withdrawAir = db.prepare('UPDATE air SET withdrawn_at = ? WHERE at = ? AND withdrawn_at IS NULL');
  const pins = db.prepare('SELECT body FROM pin ORDER BY task');
  const putPin = db.prepare(
    'INSERT INTO pin (task, body) VALUES (?, ?) ON CONFLICT (task) DO UPDATE SET body = excluded.body',
  );
  const removePin = db.prepare('DELETE FROM pin WHERE task = ?');
  const answers = db.prepare('SELECT body FROM practice ORDER BY unixepoch(at) DESC, at DESC, rowid DESC LIMIT ?');
  const putAnswer = db.prepare('INSERT INTO practice (id, at, body) VALUES (?, ?, ?) ON CONFLICT (id) DO NOTHING');
  const bodies = <T>(rows: unknown[]): T[] => (rows as { body: string }[]).map(({ body }) => JSON.parse(body) as T);

  const find = (most = MOST_READINGS, mostAnswers = MOST_ANSWERS): Workshop => ({
    setup: bodies<Setup>(setup.all())[0] ?? EMPTY_WORKSHOP.setup,
    air: bodies<Air>(air.all(most)).reverse(),
    pins: bodies<Pin>(pins.all()),
    practice: bodies<PracticeAnswer>(answers.all(mostAnswers)).reverse(),
  });
  /** Changes are the core's, as in the client; what differs is written, and what is withdrawn stays in the file, marked. */
  const write = (before: Workshop, after: Workshop, now: string): void => {
    if (after.setup !== before.setup) putSetup.run(JSON.stringify(after.setup));
    const air = compare(before.air, after.air, ({ at }) => at);
    for (const { at } of air.gone) withdrawAir.run(now, at);
    for (const own of air.fresh) {
      const { at, temperature_c: temperature, humidity_pct: humidity } = own;
      putAir.run({ at, temperature, humidity, body: JSON.stringify(own) });
    }
    const pins = compare(before.pins, after.pins, ({ task }) => task);
    for (const { task } of pins.gone) removePin.run(task);
    for (const pin of pins.fresh) putPin.run(pin.task, JSON.stringify(pin));
    const practice = compare(before.practice, after.practice, ({ id }) => id);
    for (const answer of practice.fresh) putAnswer.run(answer.id, answer.at, JSON.stringify(answer));
  };
  let measured: { rates: Readonly<Record<string, number>> | undefined } | null = null;
  return {
    find: () => find(),
    misreadings: () => {
      measured ??= { rates: find(0).setup.own_misreadings ? ratesOf(find(0, -1).practice) : undefined };
      return measured.rates;
    },
    // SQLite takes a negative limit for none.
    findWhole: () => find(-1, -1),
    restore: db.transaction((workshop: Workshop) => {
      write(EMPTY_WORKSHOP, workshop, '');
      measured = null;
    }),
    apply: db.transaction((change: WorkshopChange, now: string): Result<Workshop> => {
      const before = find();
      const made = tryWorkshopChange(before, change);
      if (!made.ok) return made;
      write(before, made.value, now);
      if (change.type === 'exercise_answered' || made.value.setup !== before.setup) measured = null;
      return succeed(find());
    }),
  };
}

/** What is new or another object than before, and what is no longer there. */
function compare<T>(before: readonly T[], after: readonly T[], keyOf: (own: T) => string): { fresh: T[]; gone: T[] } {
  const known = new Set(before);
  const left = new Set(after.map(keyOf));
  return { fresh: after.filter((own) => !known.has(own)), gone: before.filter((own) => !left.has(keyOf(own))) };
}
