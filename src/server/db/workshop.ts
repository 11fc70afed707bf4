import {
  EMPTY_WORKSHOP,
  tryWorkshopChange,
  type Air,
  type Pin,
  type Setup,
  type Workshop,
  type WorkshopChange,
} from '@/core/workshop';
import { succeed, type Result } from '@/core/shared';
import type { Db } from './connection';

/** The shop's hours, places, air and pinned jobs. Every change answers with the workshop as it now is. */
export interface WorkshopStore {
  find: () => Workshop;
  apply: (change: WorkshopChange, now: string) => Result<Workshop>;
  /** With every reading of the air, however old. */
  findWhole: () => Workshop;
  /** Puts back what `findWhole` gave into a shop that has none yet. */
  restore: (workshop: Workshop) => void;
}

/** Readings of the air that are sent out: four weeks at one a quarter of an hour. Older ones stay in the file. */
const MOST_READINGS = 2688;

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
  const bodies = <T>(rows: unknown[]): T[] => (rows as { body: string }[]).map(({ body }) => JSON.parse(body) as T);

  const find = (most = MOST_READINGS): Workshop => ({
    setup: bodies<Setup>(setup.all())[0] ?? EMPTY_WORKSHOP.setup,
    air: bodies<Air>(air.all(most)).reverse(),
    pins: bodies<Pin>(pins.all()),
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
  };
  return {
    find: () => find(),
    // SQLite takes a negative limit for none.
    findWhole: () => find(-1),
    restore: db.transaction((workshop: Workshop) => write(EMPTY_WORKSHOP, workshop, '')),
    apply: db.transaction((change: WorkshopChange, now: string): Result<Workshop> => {
      const before = find();
      const made = tryWorkshopChange(before, change);
      if (!made.ok) return made;
      write(before, made.value, now);
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
