import Database from 'better-sqlite3';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { DOSSIER_FORMAT } from '@/core/dossier';
import { makePieceStore, migrate, openDatabase } from '@/server/db';
import { MIGRATIONS } from './harness';

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
