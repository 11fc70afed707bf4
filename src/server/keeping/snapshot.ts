import { randomUUID } from 'node:crypto';
import { mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { openDatabase, type Db } from '../db';

/**
 * Works on a copy of the records as they are now, brought up to the newest schema, which nobody else sees and which is
 * gone afterwards.
 */
export async function withSnapshot<T>(
  db: Db,
  folder: string,
  migrations: string,
  work: (copy: Db) => Promise<T>,
): Promise<T> {
  mkdirSync(folder, { recursive: true });
  const file = path.join(folder, `.snapshot-${randomUUID()}.sqlite`);
  let copy: Db | null = null;
  try {
    await db.backup(file);
    copy = openDatabase(file, migrations);
    return await work(copy);
  } finally {
    copy?.close();
    for (const ending of ['', '-wal', '-shm']) rmSync(file + ending, { force: true });
  }
}
