/** What must survive a reload is kept in the browser under one key each. A browser without storage just forgets. */
export function recall<T>(key: string, fallback: T): T {
  try {
    const text = globalThis.localStorage?.getItem(`bricolage.${key}`);
    return text ? (JSON.parse(text) as T) : fallback;
  } catch {
    return fallback;
  }
}

export function keep(key: string, value: unknown): void {
  try {
    globalThis.localStorage?.setItem(`bricolage.${key}`, JSON.stringify(value));
  } catch {
    // Storage full or forbidden: the change itself still goes to the server.
  }
}
