import { FACETS, type FacetName } from './states';
import type { Belief } from './belief';
import { likelihoodTables } from './likelihood';

/**
 * Chance that a check is answered so, in one state of substrate and finish, what else is not known of it summed out; where it
 * looks at what bleeds, of a surface that does or does not. Sums to 1 over the answers of a check.
 */
export function foreseeAnswer(check: string, answer: string, belief: Belief, state: number, bleeds: boolean): number {
  const table = likelihoodTables(check, 1, belief.misreadings[check]).get(answer);
  if (!table) return 0;
  if (table.facet === null) return table.values[state]!;
  const name: FacetName = table.facet;
  const values = FACETS[name];
  let [sum, total] = [0, 0];
  values.forEach((value, v) => {
    if (name === 'seep' && value.bleed !== bleeds) return;
    const p = belief.facets[name][state * values.length + v]!;
    sum += p * table.values[state * values.length + v]!;
    total += p;
  });
  return total > 0 ? sum / total : 0;
}
