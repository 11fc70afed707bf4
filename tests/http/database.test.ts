import Database from 'better-sqlite3';
import { chmodSync, copyFileSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { DOSSIER_FORMAT } from '@/core/dossier';
import { checkHealth, DatabaseFault, makePieceStore, migrate, openDatabase, type Db } from '@/server/db';
import { toFault } from '@/server/db/database-fault';
import { cleanUp, MIGRATIONS, startServer } from './harness';

const folder = (): string => mkdtempSync(path.join(tmpdir(), 'bricolage-db-'));

describe('the database', () => {
  it('keeps a journal ahead, checks references, and writes through', () => {
    const db = openDatabase(path.join(folder(), 'a.sqlite'), MIGRATIONS);
    expect(db.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(db.pragma('foreign_keys', { simple: true })).toBe(1);
    expect(db.pragma('synchronous', { simple: true })).toBe(2);
    db.close();
  });

  it('rolls a broken migration back whole and keeps its version', () => {
    const dir = folder();
    writeFileSync(path.join(dir, '0001_good.sql'), 'CREATE TABLE a (x);');
    writeFileSync(path.join(dir, '0002_bad.sql'), 'CREATE TABLE b (x); CREATE TABLE a (x);');
    const db = new Database(':memory:');
    expect(() => migrate(db, dir)).toThrow(/already exists/);
    expect(db.pragma('user_version', { simple: true })).toBe(1);
    expect(db.prepare("SELECT COUNT(*) AS n FROM sqlite_master WHERE name = 'b'").get()).toEqual({ n: 0 });
  });

  it('refuses a file of a newer version', () => {
    const db = new Database(':memory:');
    db.pragma('user_version = 999');
    expect(() => migrate(db, MIGRATIONS)).toThrow(/newer version/);
  });

  it('stores all of a piece or none of it', () => {
    const db = openDatabase(':memory:', MIGRATIONS);
    const store = makePieceStore(db);
    const tests = [{ id: 't', zone: 'nowhere', kind: 'nail' as const, reading: { score: 1 } }];
    const dossier = {
      format: DOSSIER_FORMAT,
      piece: { kind: 'desk' as const },
      zones: [{ id: 'top', role: 'top' as const }],
      tests,
    } as const;
    expect(() =>
      store.apply(
        'p',
        { type: 'piece_met', dossier: { ...dossier, zones: [...dossier.zones], tests: [...tests] } },
        '2026-01-01T00:00:00Z',
      ),
    ).toThrow(/FOREIGN KEY/);
    expect(store.list()).toEqual([]);
  });

  it('keeps what was withdrawn', () => {
    const db = openDatabase(':memory:', MIGRATIONS);
    const store = makePieceStore(db);
    const now = '2026-01-01T00:00:00Z';
    const observation = { id: 'o', check: 'edge_line', result: 'dark_line' };
    store.apply(
      'p',
      {
        type: 'piece_met',
        dossier: { format: DOSSIER_FORMAT, piece: { kind: 'desk' }, zones: [{ id: 'top', role: 'top' }] },
      },
      now,
    );
    store.apply('p', { type: 'observation_recorded', zoneId: 'top', observation }, now);
    store.apply('p', { type: 'observation_withdrawn', zoneId: 'top', observationId: 'o' }, now);
    expect(store.find('p')?.zones?.[0]?.observations).toBeUndefined();
    expect(db.prepare('SELECT check_code, withdrawn_at FROM observation').all()).toEqual([
      { check_code: 'edge_line', withdrawn_at: now },
    ]);
  });
});

/** Who runs as the system's owner may write everywhere; for the length of the work the process is nobody in particular. */
function asNobody<T>(work: () => T): T {
  if (process.getuid?.() !== 0) return work();
  process.seteuid!(65534);
  try {
    return work();
  } finally {
    process.seteuid!(0);
  }
}

describe('a disk that is full', () => {
  it('refuses the write with the cure, keeps what was stored, and takes the write once there is room', async () => {
    let db!: Db;
    const server = await startServer(undefined, (opened) => (db = opened));
    const path = '/api/pieces/p-1';
    const piece = { format: DOSSIER_FORMAT, piece: { kind: 'desk' }, zones: [{ id: 'top', role: 'top' }] };
    expect((await server.call('PUT', path, piece)).status).toBe(200);
    const before = (await server.call('GET', path)).body;
    db.pragma(`max_page_count = ${db.pragma('page_count', { simple: true })}`);
    const note = { ...piece, piece: { kind: 'desk', id: 'p-2', name: 'Second' }, extra: 'y'.repeat(200_000) };
    const refused = await server.call('PUT', '/api/pieces/p-2', note);
    expect(refused.status).toBe(507);
    expect(refused.body.error).toMatchObject({ code: 'disk_full', message: expect.stringMatching(/Make room/) });
    expect((await server.call('GET', path)).body).toEqual(before);
    expect((await server.call('GET', '/api/pieces/p-2')).status).toBe(404);
    db.pragma('max_page_count = 1000000');
    expect((await server.call('PUT', '/api/pieces/p-2', note)).status).toBe(200);
    await server.stop();
    cleanUp(server.file);
  });
});

describe('a database that cannot be used', () => {
  const fault = (file: string): string => {
    try {
      openDatabase(file, MIGRATIONS).close();
      return 'opened';
    } catch (error) {
      return error instanceof DatabaseFault ? error.problem.code : `other: ${String(error)}`;
    }
  };
  const made = (): string => {
    const file = path.join(folder(), 'shop.sqlite');
    openDatabase(file, MIGRATIONS).close();
    return file;
  };

  it('because it is damaged is named and left as it is', () => {
    const file = made();
    const bytes = readFileSync(file);
    bytes.fill(0x5a, 4096, 4096 * 6);
    writeFileSync(file, bytes);
    expect(fault(file)).toBe('database_damaged');
    expect(readFileSync(file).equals(bytes)).toBe(true);
    const text = path.join(folder(), 'letter.sqlite');
    writeFileSync(text, 'Dear workshop, this is no database at all. '.repeat(50));
    expect(fault(text)).toBe('database_damaged');
  });

  it('because it is newer is named and left as it is', () => {
    const file = made();
    const db = new Database(file);
    db.pragma('user_version = 999');
    db.close();
    const before = readFileSync(file);
    expect(fault(file)).toBe('database_newer');
    expect(readFileSync(file).equals(before)).toBe(true);
  });

  it('because another program holds it, or it is another program’s, is named', () => {
    const file = made();
    const other = new Database(file);
    other.pragma('locking_mode = EXCLUSIVE');
    other.exec('BEGIN EXCLUSIVE');
    expect(fault(file)).toBe('database_in_use');
    other.close();
    const foreign = path.join(folder(), 'foreign.sqlite');
    const db = new Database(foreign);
    db.exec('CREATE TABLE recipes (x)');
    db.close();
    expect(fault(foreign)).toBe('database_foreign');
  }, 20_000);

  it('because of where it lies is named, and every fault says the cure', () => {
    expect(fault(path.join(made(), 'shop.sqlite'))).toBe('database_not_opened');
    for (const [code, wanted] of [
      ['SQLITE_FULL', 'disk_full'],
      ['SQLITE_CORRUPT_INDEX', 'database_damaged'],
    ] as const) {
      const told = toFault(Object.assign(new Error('x'), { code }), 'shop.sqlite') as DatabaseFault;
      expect(told.problem.code).toBe(wanted);
      expect(told.message).toMatch(/shop\.sqlite/);
    }
    expect(toFault(new Error('other'), 'x')).not.toBeInstanceOf(DatabaseFault);
  });

  it('because it may only be read is named, and not a byte of it changes', () => {
    const file = made();
    // The last schema is a step behind, so that opening would have to write.
    const db = new Database(file);
    db.pragma('journal_mode = DELETE');
    db.pragma('user_version = 1');
    db.close();
    const before = readFileSync(file);
    chmodSync(file, 0o444);
    chmodSync(path.dirname(file), 0o555);
    expect(asNobody(() => fault(file))).toBe('database_read_only');
    expect(readFileSync(file).equals(before)).toBe(true);
    expect(asNobody(() => fault(path.join(path.dirname(file), 'other.sqlite')))).toBe('database_not_opened');
    expect(readdirSync(path.dirname(file))).toEqual(['shop.sqlite']);
  });

  it('is said by the health of a running server', () => {
    const db = openDatabase(':memory:', MIGRATIONS);
    expect(checkHealth(db)).toBeNull();
    db.close();
    expect(checkHealth(db)).toMatchObject({ code: 'database_unwell' });
  });
});

describe('a step forward', () => {
  /** A file as the fourth version left it. */
  const olderFile = (): { file: string; db: Database.Database } => {
    const file = path.join(folder(), 'old.sqlite');
    const dir = folder();
    for (const name of readdirSync(MIGRATIONS).filter((own) => own < '0005'))
      copyFileSync(path.join(MIGRATIONS, name), path.join(dir, name));
    const db = new Database(file);
    migrate(db, dir);
    return { file, db };
  };

  it('lays a copy of the file beside it first, keeps the log, and what lay on removed zones can come back', () => {
    const { file, db } = olderFile();
    const rest = {
      log: [
        { zone: 'top', op: 'prime' },
        { zone: 'top', op: 'paint', work: 'w', id: 'w.1' },
      ],
      climate: { temperature_c: 18, humidity_pct: 60 },
    };
    db.prepare(
      `INSERT INTO piece (id, kind, body, rest, created_at, changed_at) VALUES ('p', 'desk', '{"kind":"desk","id":"p"}', ?, '', '')`,
    ).run(JSON.stringify(rest));
    for (const [position, id, removed] of [
      [0, 'top', null],
      [1, 'lid', '2026-01-01T00:00:00Z'],
    ] as const) {
      db.prepare(
        `INSERT INTO zone (piece_id, id, position, role, body, removed_at) VALUES ('p', ?, ?, 'top', ?, ?)`,
      ).run(id, position, JSON.stringify({ id, role: 'top' }), removed);
      db.prepare(
        `INSERT INTO observation (piece_id, zone_id, id, position, check_code, result, body) VALUES ('p', ?, ?, 0, 'edge_line', 'dark_line', ?)`,
      ).run(id, `o-${id}`, JSON.stringify({ id: `o-${id}`, check: 'edge_line', result: 'dark_line' }));
      db.prepare(`INSERT INTO test (piece_id, zone_id, id, position, kind, body) VALUES ('p', ?, ?, 0, 'nail', ?)`).run(
        id,
        `t-${id}`,
        JSON.stringify({ id: `t-${id}`, zone: id, kind: 'nail', reading: { score: 1 } }),
      );
    }
    db.close();
    const store = makePieceStore(openDatabase(file, MIGRATIONS));
    const laid = new Database(`${file}.version-4`, { readonly: true });
    expect([laid.pragma('user_version', { simple: true }), laid.pragma('quick_check', { simple: true })]).toEqual([
      4,
      'ok',
    ]);
    laid.close();
    expect(readdirSync(path.dirname(file)).filter((name) => name.endsWith('.draft'))).toEqual([]);
    const piece = store.find('p')!;
    expect(piece.log).toEqual(rest.log);
    expect(piece.climate).toEqual(rest.climate);
    expect(piece.zones!.map(({ id }) => id)).toEqual(['top']);
    expect(piece.tests!.map(({ id }) => id)).toEqual(['t-top']);
    const back = store.apply('p', { type: 'zone_set', zoneId: 'lid', facts: { role: 'top' } }, '2026-02-01T00:00:00Z');
    expect(back).toMatchObject({ ok: true });
    expect(store.find('p')!.zones![1]).toMatchObject({ id: 'lid', observations: [{ id: 'o-lid' }] });
    expect(
      store
        .find('p')!
        .tests!.map(({ id }) => id)
        .sort(),
    ).toEqual(['t-lid', 't-top']);
  });
});
