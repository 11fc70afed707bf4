/*
 * What a browser keeps belongs to one shop and goes to no other, though a demo and one's own records may answer at the
 * same address. The shop is told with every answer (`x-bricolage-shop`).
 */
const KEY = 'bricolage.shop';

/** Kept under no shop, before one was met or shops had ids: it is the first one's that is met. */
const listHomeless = (): string[] =>
  Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '').filter((key) =>
    /^bricolage\.(drafts|bench|outbox|\.change\..*)$/.test(key),
  );

/** The shop this page was opened for, also where the browser's storage was cleared under it. */
let here: string | null = null;

const readShop = (): string | null => {
  try {
    return globalThis.localStorage?.getItem(KEY) ?? null;
  } catch {
    return null;
  }
};

/** The shop this browser last met; none on its first visit. */
export function currentShop(): string | null {
  const known = readShop();
  here = known ?? here;
  return here;
}

/** Whether what this browser kept was cleared while this page was open. A browser that keeps nothing has nothing to clear. */
export const wasCleared = (): boolean => here !== null && readShop() === null;

/** Writes down again which shop this page is of. */
export function keepShopAgain(): void {
  try {
    if (here !== null) localStorage.setItem(KEY, here);
  } catch {
    // It keeps nothing; the page goes on with what it has.
  }
}

/**
 * A shop has answered. Where it is another than the one this page was opened for, the page begins anew, with what is
 * kept under that one; what waits for the other waits on.
 */
export function meetShop(id: string): void {
  const known = currentShop();
  if (known === id) return;
  try {
    if (known === null)
      for (const key of listHomeless()) {
        const text = localStorage.getItem(key)!;
        localStorage.setItem(`bricolage.${id}.${key.replace(/^bricolage\.+/, '')}`, text);
        localStorage.removeItem(key);
      }
    localStorage.setItem(KEY, id);
  } catch {
    // A browser that keeps nothing mixes nothing up.
    return;
  }
  if (known !== null) location.reload();
}
