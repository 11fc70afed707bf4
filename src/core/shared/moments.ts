/** The latest of some moments (ISO instants, in whatever zone each is written); undefined where there is none. */
export const latestOf = (moments: readonly string[]): string | undefined =>
  [...moments].sort((a, b) => Date.parse(a) - Date.parse(b)).at(-1);
