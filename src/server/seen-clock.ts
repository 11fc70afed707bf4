import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { isClockJump } from '@/core/keeping';
import { readJson } from '@/core/shared';
import { writeWhole } from './disk';

/** How far the clock of this computer is believed: bins are emptied and copies let go by it. */
export interface SeenClock {
  /** Since when it was last believed, where it has jumped since; null where it is believed now. */
  doubted: () => string | null;
  /** The owner says that it is right. */
  confirm: () => void;
}

/** @param folder where the last moment is written down, which belongs to this computer and not to the records */
export function makeSeenClock(folder: string, now: () => string): SeenClock {
  const file = path.join(folder, 'clock.json');
  const read = (): string | null => {
    if (!existsSync(file)) return null;
    const known = readJson(readFileSync(file));
    const seen = known.ok ? (known.value as { seen?: unknown }).seen : null;
    return typeof seen === 'string' ? seen : null;
  };
  const confirm = (): void => writeWhole(file, JSON.stringify({ seen: now() }));
  return {
    doubted: () => {
      const seen = read();
      if (isClockJump(seen, now())) return seen;
      confirm();
      return null;
    },
    confirm,
  };
}
