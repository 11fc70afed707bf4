import { currentShop } from './shop-id';

/** Of the device, not of a shop: how it is looked at. */
const OF_DEVICE: readonly string[] = ['settings'];

function keyOf(name: string): string {
  const shop = OF_DEVICE.includes(name) ? null : currentShop();
  return shop === null ? `bricolage.${name}` : `bricolage.${shop}.${name}`;
}

/** What must survive a reload is kept in the browser under one key each. A browser without storage just forgets. */
export function recall<T>(name: string, fallback: T): T {
  try {
    const text = globalThis.localStorage?.getItem(keyOf(name));
    return text ? (JSON.parse(text) as T) : fallback;
  } catch {
    return fallback;
  }
}

export function keep(name: string, value: unknown): void {
  try {
    globalThis.localStorage?.setItem(keyOf(name), JSON.stringify(value));
  } catch {
    // Storage full or forbidden: the change itself still goes to the server.
  }
}

export function forget(name: string): void {
  try {
    globalThis.localStorage?.removeItem(keyOf(name));
  } catch {
    // A browser without storage has nothing to forget.
  }
}
