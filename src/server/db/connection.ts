import Database from 'better-sqlite3';
import { mkdirSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

export type Db = Database.Database;

/** Opens the one file that holds a shop's records, brought up to the newest schema. `:memory:` for a throwaway. */
export function openDatabase(file: string, migrationsDir: string): Db {
  if (file !== ':memory:') mkdirSync(path.dirname(file), { recursive: true });
  const db = new Database(file);
  db.pragma('journal_mode = WAL');
  // FULL: a write is on the disk before it is acknowledged, also through a power cut.
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  migrate(db, migrationsDir);
  return db;
}

/** Runs the numbered files not yet run, each in a transaction of its own together with its version number. */
export function migrate(db: Db, migrationsDir: string): void {
  const current = db.pragma('user_version', { simple: true }) as number;
  const files = readdirSync(migrationsDir)
    .filter((name) => /^\d{4}_.+\.sql$/.test(name))
    .sort();
  for (const file of files) {
    const version = Number(file.slice(0, 4));
    if (version <= current) continue;
    const sql = readFileSync(path.join(migrationsDir, file), 'utf8');
    db.transaction(() => {
      db.exec(sql);
      db.pragma(`user_version = ${version}`);
    })();
  }
  const newest = files.length === 0 ? 0 : Number(files[files.length - 1]!.slice(0, 4));
  if (current > newest)
    throw new Error(`The database is of a newer version (${current}) than this program (${newest}).`);
}
