import Database from 'better-sqlite3';
import { existsSync, rmSync, statSync } from 'node:fs';
import { refuseUnfit } from './connection';
import { DatabaseFault, toFault } from './database-fault';

/** What a file of records holds, as far as it is asked before anything is done with it. */
export interface ShopRecords {
  /** Of its shop; none for files that are older than shops have ids. */
  id: string | null;
  pieces: number;
  /** Hashes of the pictures its pieces show. */
  pictures: string[];
}

/** The version that gave shops their ids. */
const WITH_ID = 7;
const WITH_PICTURES = 2;

/**
 * Looks at a file of records without writing to it: whether it is whole, of a version this program knows, and a shop at
 * all. What is wrong is thrown as a `DatabaseFault`.
 */
export function inspectShop(file: string, migrationsDir: string): ShopRecords {
  const journals = [`${file}-wal`, `${file}-shm`].filter((name) => !existsSync(name));
  let db: Database.Database | null = null;
  try {
    if (statSync(file).size === 0) throw new DatabaseFault('database_empty', { file });
    db = new Database(file, { readonly: true, fileMustExist: true });
    const version = refuseUnfit(db, file, migrationsDir);
    if (version === 0) throw new DatabaseFault('database_empty', { file });
    const pluck = (sql: string): unknown[] => db!.prepare(sql).pluck().all();
    return {
      id: version < WITH_ID ? null : ((pluck('SELECT id FROM shop')[0] as string | undefined) ?? null),
      pieces: Number(pluck('SELECT count(*) FROM piece')[0]),
      pictures:
        version < WITH_PICTURES
          ? []
          : (pluck('SELECT DISTINCT sha256 FROM photo WHERE withdrawn_at IS NULL') as string[]),
    };
  } catch (error) {
    throw toFault(error, file);
  } finally {
    db?.close();
    // One who only reads leaves behind what was made for reading.
    for (const journal of journals) rmSync(journal, { force: true });
  }
}
