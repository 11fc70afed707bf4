import { createHash } from 'node:crypto';
import { createReadStream, statSync } from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { succeed, type Result } from '@/core/shared';
import { DatabaseFault, inspectShop, type ShopRecords } from '../db';
import { pathOfPhoto } from '../photo-files';
import type { CopyState, KeeperQuestion } from './keeper';

type Question<Is> = Extract<KeeperQuestion, { is: Is }>;

export const inspectCopy = async ({ file, migrations }: Question<'inspect'>): Promise<Result<ShopRecords>> => {
  try {
    return succeed(inspectShop(file, migrations));
  } catch (error) {
    if (error instanceof DatabaseFault) return { ok: false, problem: error.problem };
    throw error;
  }
};

/** Whether the records of each copy can be read and are this shop's, and which of their pictures are whole. */
export async function checkCopies({ folders, shop, migrations, now }: Question<'check'>): Promise<Result<CopyState[]>> {
  // Copies share their pictures: each is read once.
  const seen = new Map<string, boolean>();
  const states: CopyState[] = [];
  for (const folder of folders) {
    const records = await inspectCopy({ is: 'inspect', file: path.join(folder, 'shop.sqlite'), migrations });
    const good = records.ok && (records.value.id === null || records.value.id === shop);
    let missing = 0;
    for (const sha256 of records.ok ? records.value.pictures : [])
      if (!(await isWhole(pathOfPhoto(path.join(folder, 'photos'), sha256), sha256, seen))) missing += 1;
    states.push({ checked_at: now, good, pictures_missing: missing });
  }
  return succeed(states);
}

async function isWhole(file: string, sha256: string, seen: Map<string, boolean>): Promise<boolean> {
  try {
    const { dev, ino } = statSync(file);
    const key = `${dev} ${ino} ${sha256}`;
    const known = seen.get(key);
    if (known !== undefined) return known;
    const hash = createHash('sha256');
    await pipeline(createReadStream(file), hash);
    const whole = hash.digest('hex') === sha256;
    seen.set(key, whole);
    return whole;
  } catch {
    return false;
  }
}
