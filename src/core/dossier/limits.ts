import { fail, type Problem } from '../shared';
import type { Dossier } from './schema';

/** How many of each a piece may hold, at every door: what one route takes, export writes and import takes again. */
export const LIMITS = {
  zones: 60,
  /** A zone. */
  observations: 200,
  skipped_checks: 50,
  defects: 100,
  tests: 1000,
  panels: 100,
  outcomes: 100,
  log: 5000,
  parts: 200,
  hardware: 60,
  mixes: 200,
  overrides: 200,
  troubles: 100,
  /** Of the week in which there is time. */
  hours: 42,
  /** Of colour taped on a face. */
  bands: 24,
  /** Of the account of a piece: extras and refunds, each. */
  extras: 200,
  photos: 500,
  earlier_choices: 100,
  removed_zones: 60,
  /** Drawings off one tin since it was measured. */
  drawn: 2000,
  /** The shop's. */
  shelf: 500,
  experience: 5000,
} as const;

const OF_PIECE = [
  'zones',
  'tests',
  'panels',
  'outcomes',
  'log',
  'parts',
  'hardware',
  'mixes',
  'overrides',
  'troubles',
  'photos',
  'removed_zones',
] as const satisfies readonly (keyof typeof LIMITS)[];

/** The first list that a change made longer than it may be; null where all fit. */
export function findOverfull(before: Dossier, after: Dossier): Problem | null {
  for (const list of OF_PIECE) if (grew(before[list], after[list], LIMITS[list])) return tooMany(list, LIMITS[list]);
  for (const [i, zone] of (after.zones ?? []).entries()) {
    const own = before.zones?.find(({ id }) => id === zone.id);
    if (own !== zone && grew(own?.observations, zone.observations, LIMITS.observations))
      return tooMany(`zones[${i}].observations`, LIMITS.observations);
  }
  return null;
}

const grew = (before: readonly unknown[] | undefined, after: readonly unknown[] | undefined, most: number): boolean =>
  (after?.length ?? 0) > most && (after?.length ?? 0) > (before?.length ?? 0);

export const tooMany = (path: string, max: number): Problem => fail('too_many', path, { max }).problem;
