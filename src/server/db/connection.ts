import Database from 'better-sqlite3';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { fail, type Problem } from '@/core/shared';
import { draftOf, settleDraft } from '../disk';
import { DatabaseFault, toFault } from './database-fault';

export type Db = Database.Database;

/** How long another program may hold the file before it counts as in use, ms. */
const PATIENCE_MS = 2000;

/**
 * Opens the one file that holds a shop's records, brought up to the newest schema. `:memory:` for a throwaway. A file
 * that is damaged, newer than this program, in use or not to be written is named in plain words (`DatabaseFault`) and
 * left as it is; before a schema is brought up, a copy is laid beside it.
 */
export function openDatabase(file: string, migrationsDir: string): Db {
  let db: Db | null = null;
  try {
    if (file !== ':memory:') mkdirSync(path.dirname(file), { recursive: true });
    db = new Database(file, { timeout: PATIENCE_MS });
    refuseUnfit(db, file, migrationsDir);
    db.pragma('journal_mode = WAL');
    // FULL: a write is on the disk before it is acknowledged, also through a power cut.
    db.pragma('synchronous = FULL');
    db.pragma('foreign_keys = ON');
    copyBeforeMigration(db, file, migrationsDir);
    migrate(db, migrationsDir);
    return db;
  } catch (error) {
    db?.close();
    throw toFault(error, file);
  }
}

/** Reads only: nothing is written to a file before it was found whole and of a known version, which is given. */
export function refuseUnfit(db: Db, file: string, migrationsDir: string): number {
  const current = readVersion(db);
  const newest = newestVersion(migrationsDir);
  if (current > newest) throw new DatabaseFault('database_newer', { file, found: current, allowed: String(newest) });
  const found = db.pragma('quick_check(1)', { simple: true });
  if (found !== 'ok') throw new DatabaseFault('database_damaged', { file, detail: String(found) });
  const foreign = current === 0 && db.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table'").get() !== undefined;
  if (foreign) throw new DatabaseFault('database_foreign', { file });
  return current;
}

const readVersion = (db: Db): number => db.pragma('user_version', { simple: true }) as number;

const listMigrations = (dir: string): string[] =>
  readdirSync(dir)
    .filter((name) => /^\d{4}_.+\.sql$/.test(name))
    .sort();

const newestVersion = (dir: string): number => Number(listMigrations(dir).at(-1)?.slice(0, 4) ?? 0);

/** The file as it was, under its version, once it was found whole: what a step forward breaks can be taken from there. */
function copyBeforeMigration(db: Db, file: string, migrationsDir: string): void {
  const current = readVersion(db);
  if (file === ':memory:' || current === 0 || current === newestVersion(migrationsDir)) return;
  const copy = `${file}.version-${current}`;
  if (existsSync(copy)) return;
  const draft = draftOf(copy);
  try {
    db.prepare('VACUUM INTO ?').run(draft);
    const made = new Database(draft, { readonly: true });
    const found = made.pragma('quick_check(1)', { simple: true });
    made.close();
    if (found !== 'ok') throw new DatabaseFault('database_damaged', { file, detail: String(found) });
    settleDraft(draft, copy);
  } catch (error) {
    rmSync(draft, { force: true });
    throw error;
  }
}

/** Runs the numbered files not yet run, each in a transaction of its own together with its version number. */
export function migrate(db: Db, migrationsDir: string): void {
  const current = readVersion(db);
  for (const file of listMigrations(migrationsDir)) {
    const version = Number(file.slice(0, 4));
    if (version <= current) continue;
    const sql = readFileSync(path.join(migrationsDir, file), 'utf8');
    db.transaction(() => {
      db.exec(sql);
      db.pragma(`user_version = ${version}`);
    })();
  }
  const newest = newestVersion(migrationsDir);
  if (current > newest)
    throw new Error(`The database is of a newer version (${current}) than this program (${newest}).`);
}

/** Whether the database still answers; null where it does. */
export function checkHealth(db: Db): Problem | null {
  try {
    db.prepare('SELECT COUNT(*) FROM piece').get();
    return null;
  } catch (error) {
    return fail('database_unwell', '', { detail: error instanceof Error ? error.message : '' }).problem;
  }
}
