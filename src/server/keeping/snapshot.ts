import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { openDatabase, type Db } from '../db';

const SNAPSHOT = /^\.snapshot-[0-9a-f-]{36}\.sqlite/;

/** Removes what a run that was cut off has left. */
export function removeSnapshots(folder: string): void {
  for (const name of existsSync(folder) ? readdirSync(folder) : [])
    if (SNAPSHOT.test(name)) rmSync(path.join(folder, name), { force: true });
}

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
    for (const name of existsSync(folder) ? readdirSync(folder) : [])
      if (name.startsWith(path.basename(file))) rmSync(path.join(folder, name), { force: true });
  }
}
