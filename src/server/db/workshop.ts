import { EMPTY_WORKSHOP, type Air, type Pin, type Setup, type Workshop, type WorkshopChange } from '@/core/workshop';
import type { Db } from './connection';

/** The shop's hours, places, air and pinned jobs. Every change answers with the workshop as it now is. */
export interface WorkshopStore {
  find: () => Workshop;
  apply: (change: WorkshopChange, now: string) => Workshop;
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

  const find = (): Workshop => ({
    setup: bodies<Setup>(setup.all())[0] ?? EMPTY_WORKSHOP.setup,
    air: bodies<Air>(air.all(MOST_READINGS)).reverse(),
    pins: bodies<Pin>(pins.all()),
  });
  const write = (change: WorkshopChange, now: string): void => {
    switch (change.type) {
      case 'setup_set':
        return void putSetup.run(JSON.stringify(change.setup));
      case 'air_recorded': {
        const { at, temperature_c: temperature, humidity_pct: humidity } = change.air;
        return void putAir.run({ at, temperature, humidity, body: JSON.stringify(change.air) });
      }
      case 'air_withdrawn':
        return void withdrawAir.run(now, change.at);
      case 'task_pinned':
        return void putPin.run(change.pin.task, JSON.stringify(change.pin));
      case 'task_unpinned':
        return void removePin.run(change.task);
    }
  };
  return {
    find,
    apply: db.transaction((change: WorkshopChange, now: string): Workshop => {
      write(change, now);
      return find();
    }),
  };
}
