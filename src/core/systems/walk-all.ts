import type { Ground } from './ground';
import { HARD_RULES } from './hard-rules';
import type { Product } from './product';
import { assessCoat, FAILURE_MODES } from './risk';
import { listSoft, STAGES, type Label } from './search';
import { UNTOUCHED } from './surface-state';

/**
 * Every way through the stages, one by one, with nothing thrown away: the slow reference that the search must agree with
 * and is measured against.
 */
export function walkAll(ground: Ground, products: readonly Product[]): Label[] {
  let ways: Label[] = [
    { state: UNTOUCHED, minutes: 0, waitH: 0, splashes: 0, losses: [], loss: 0, uses: [], parent: null, choice: null },
  ];
  for (const stage of STAGES) {
    ways = ways.flatMap((way) =>
      stage.choices(way.state, ground, products).flatMap((choice): Label[] => {
        if (HARD_RULES.some((rule) => rule.cuts(choice, way.state, ground))) return [];
        const coat = assessCoat(choice, way.state, ground);
        const soft = listSoft(choice, way.state, ground);
        const loss = FAILURE_MODES.flatMap((mode) => [
          coat[mode] ?? 0,
          choice.chances?.[mode] ?? 0,
          ...soft.filter(({ rule }) => rule.mode === mode).map(({ p }) => p),
        ]).reduce((sum, p) => sum - Math.log(1 - p), 0);
        const used = new Map(way.uses.map((use) => [use.product, use]));
        const add = (product: Product, ml: number, sittings: number): void => {
          const before = used.get(product) ?? { ml: 0, sittings: 0 };
          used.set(product, { product, ml: before.ml + ml, sittings: before.sittings + sittings });
        };
        if (choice.product && choice.ml) add(choice.product, choice.ml, choice.coats ?? 1);
        if (choice.also) add(choice.also.product, choice.also.ml, choice.also.coats);
        const uses = [...used.values()];
        return [
          {
            ...way,
            state: { ...way.state, ...choice.sets },
            minutes: way.minutes + choice.minutes,
            waitH: way.waitH + choice.waitH,
            splashes: way.splashes + choice.splashes,
            loss: way.loss + loss,
            uses: uses.sort((a, b) => a.product.index - b.product.index),
          },
        ];
      }),
    );
  }
  return ways;
}
