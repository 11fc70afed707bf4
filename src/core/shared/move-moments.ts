const INSTANT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(?::\d{2}(?:\.\d+)?)?(?:Z|[+-]\d{2}:\d{2})$/;

/**
 * A record whose moments are moved, where they lie in a stretch: what a wrong clock wrote, and not what was picked for another
 * day. Dates without a time stay.
 * @param value plain data
 * @param ms by how much, later where positive
 * @param stretch from and to, ms since the epoch
 * @returns the same object where nothing moved; `{ at: '2026-12-04T10:00:00Z' }` by −3 days is `{ at: '2026-12-01T10:00:00.000Z' }`
 */
export function moveMoments<T>(value: T, ms: number, stretch: readonly [number, number]): T {
  if (typeof value === 'string') {
    const at = INSTANT.test(value) ? Date.parse(value) : NaN;
    return at >= stretch[0] && at <= stretch[1] ? (new Date(at + ms).toISOString() as T) : value;
  }
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).map(
    ([key, inner]) => [key, moveMoments(inner as unknown, ms, stretch)] as const,
  );
  if (entries.every(([key, inner]) => inner === (value as Record<string, unknown>)[key])) return value;
  return (Array.isArray(value) ? entries.map(([, inner]) => inner) : Object.fromEntries(entries)) as T;
}
