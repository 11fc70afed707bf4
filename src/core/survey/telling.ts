import type { Check } from '../knowledge';
import type { Belief } from './belief';
import { likelihoodTables } from './likelihood';
import { FACETS, STATES, type FacetName, type FacetValue, type State } from './states';

/** What is to be found out: something of the state, or of a small fact. */
export type Target = { state: (state: State) => boolean } | { facet: FacetName; value: (value: FacetValue) => boolean };

/** Chance of a target in each state. */
const chanceIn = (belief: Belief, target: Target, s: number): number => {
  if ('state' in target) return target.state(STATES[s]!) ? 1 : 0;
  const values: readonly FacetValue[] = FACETS[target.facet];
  return values.reduce(
    (sum, value, x) => sum + (target.value(value) ? belief.facets[target.facet][s * values.length + x]! : 0),
    0,
  );
};

/**
 * How much of the doubt about a target a check takes away on average, as a share of it (0: none, 1: all): the expected fall
 * of the variance p(1 − p), exact over all answers and states.
 */
export function measureTelling(
  belief: Belief,
  target: Target,
  { code, answers }: Pick<Check, 'code' | 'answers'>,
): number {
  const tables = likelihoodTables(code);
  const p = belief.joint.reduce((sum, own, s) => sum + own * chanceIn(belief, target, s), 0);
  const doubt = p * (1 - p);
  if (doubt < 1e-9 || tables.size === 0) return 0;
  let left = 0;
  for (const { code: answer } of answers) {
    const { facet, width, values } = tables.get(answer)!;
    let [any, hit] = [0, 0];
    belief.joint.forEach((own, s) => {
      if (own < 1e-9) return;
      let [here, there] = [0, 0];
      for (let x = 0; x < width; x += 1) {
        const share = facet ? belief.facets[facet][s * width + x]! : 1;
        here += share * values[s * width + x]!;
        if (facet && 'facet' in target && target.facet === facet && target.value(FACETS[facet][x]!))
          there += share * values[s * width + x]!;
      }
      any += own * here;
      // What hangs on another small fact says of this one only what it says of the state.
      hit += own * (facet && 'facet' in target && target.facet === facet ? there : here * chanceIn(belief, target, s));
    });
    if (any > 0) left += any * (hit / any) * (1 - hit / any);
  }
  return Math.max(0, 1 - left / doubt);
}
