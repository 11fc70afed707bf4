import type { Waiting } from './outbox';
import { forget, recall } from './keep';
import { currentShop } from './shop-id';

/*
 * What waits to be sent, in the browser's storage: a key a change, under its shop. Tabs add and take away their own
 * changes and never write over each other's, and each is told at once when another has (`storage` events).
 */
const prefix = (): string => `bricolage.${currentShop() ?? ''}.change.`;

/** Keys in their order: by the moment, then by the change, in one tab or several. */
let count = 0;
const newKey = (): string => {
  count += 1;
  return `${prefix()}${Date.now().toString(36).padStart(9, '0')}-${count.toString(36).padStart(6, '0')}-`;
};

const storage = (): Storage | undefined => {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
};

const findKey = (id: string): string | undefined =>
  listKeys().find((key) => key.slice(prefix().length).endsWith(`-${id}`));

function listKeys(): string[] {
  const own = storage();
  if (!own) return [];
  const start = prefix();
  return Array.from({ length: own.length }, (_, i) => own.key(i) ?? '')
    .filter((key) => key.startsWith(start))
    .sort();
}

/** An earlier version kept all changes under one key. */
export function takeOverOldOutbox(): void {
  const old = recall<Waiting[]>('outbox', []);
  if (old.every(keepChange)) forget('outbox');
}

/** Every change that waits or was refused, oldest first, from whatever tab. */
export function recallChanges(): Waiting[] {
  return listKeys().flatMap((key) => {
    try {
      const own = JSON.parse(storage()!.getItem(key)!) as Waiting;
      wasKept.add(own.id);
      return [own];
    } catch {
      return [];
    }
  });
}

/** Changes this tab has kept or read: one of them that is gone was settled by another tab. */
export const wasKept = new Set<string>();

/** Keeps a change, or what became of it; false where the browser has no room or keeps nothing. */
export function keepChange(waiting: Waiting): boolean {
  try {
    const own = storage();
    if (!own) return false;
    own.setItem(findKey(waiting.id) ?? `${newKey()}${waiting.id}`, JSON.stringify(waiting));
    wasKept.add(waiting.id);
    return true;
  } catch {
    return false;
  }
}

export function forgetChange(id: string): void {
  const key = findKey(id);
  if (key) storage()?.removeItem(key);
}

export const isKeptChange = (id: string): boolean => findKey(id) !== undefined;

/** Tells when another tab added a change or took one away, or cleared all that is kept. */
export function watchChanges(tell: () => void): void {
  globalThis.addEventListener?.('storage', ({ key }: StorageEvent) => {
    if (key === null || key.startsWith(prefix())) tell();
  });
}
