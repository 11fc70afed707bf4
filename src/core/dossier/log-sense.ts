import { fail, type Problem } from '../shared';
import type { Dossier, LogEntry } from './schema';

const DAY_MS = 86_400_000;

/** Fields that only something that was done can have. */
const OF_WORK_DONE = ['minutes', 'ml', 'coats', 'thinned_pct'] as const;

/**
 * Why entries cannot be what happened, with the path of the field; null where they can: begun after it ended, left out and
 * yet done, in the place of two jobs at once, or more than a day before the piece was bought.
 */
export function findNonsense({ money }: Pick<Dossier, 'money'>, entries: readonly LogEntry[]): Problem | null {
  const bought = money?.bought?.at;
  for (const [i, entry] of entries.entries()) {
    const { at, started_at, skipped, task, instead_of } = entry;
    const problem = (field: string): Problem => fail('contradicts_itself', `entries[${i}].${field}`, { field }).problem;
    if (at !== undefined && started_at !== undefined && Date.parse(started_at) > Date.parse(at))
      return problem('started_at');
    const done = OF_WORK_DONE.find((field) => (entry[field] ?? 0) > 0);
    if (skipped && done) return problem(done);
    if (task !== undefined && instead_of !== undefined) return problem('instead_of');
    if (bought !== undefined && at !== undefined && Date.parse(at) < Date.parse(bought) - DAY_MS)
      return fail('before_bought', `entries[${i}].at`, { found: at, bought }).problem;
  }
  return null;
}
