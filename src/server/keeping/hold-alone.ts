import Database from 'better-sqlite3';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { toFault } from '../db';

/**
 * Takes a shop for this server alone. The lock is the system's own, on a file beside the records, and ends with the
 * process, however that ends: nothing stale is left behind. A second server is told so (`DatabaseFault`).
 * @returns what gives it up again
 */
export function holdAlone(shopFolder: string, file: string): () => void {
  mkdirSync(shopFolder, { recursive: true });
  const lock = new Database(path.join(shopFolder, 'in-use'), { timeout: 0 });
  try {
    lock.pragma('locking_mode = EXCLUSIVE');
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    throw toFault(error, file);
  }
  return () => lock.close();
}
