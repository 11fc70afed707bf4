import fc from 'fast-check';
import type { Dossier } from '@/core/dossier';
import { findCheck } from '@/core/knowledge';
import { judgeDoor } from '@/core/price';
import { makeRandom } from '@/core/shared';
import { computeBelief } from '@/core/survey';
import { likelihoodTables } from '@/core/survey/likelihood';
import { anyWishes, SEED } from './random-dossiers';
import { share } from './share';

const money = fc.record({
  sale: fc
    .tuple(fc.integer({ min: 60, max: 320 }), fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 100 }))
    .map(([low, a, b]) => ({ low, likely: low + a, high: low + a + b })),
  hour_rate: fc.integer({ min: 0, max: 30 }),
  fees_pct: fc.integer({ min: 0, max: 20 }),
  target: fc.record({ profit: fc.integer({ min: 0, max: 80 }) }),
});
const DRAWS = { draws: 200 };

describe('the most to pay at the door, over three hundred pieces', () => {
  it('falls with rate, fees and target, rises with the sale, and no look is worth less than nothing', () => {
    let priced = 0;
    fc.assert(
      fc.property(anyWishes, money, (piece, own) => {
        const door = (more: object) => judgeDoor({ ...piece, money: { ...own, ...more } }, DRAWS);
        const base = door({});
        if (base.walkAway > 0) priced += 1;
        expect(door({ hour_rate: own.hour_rate + 5 }).exact).toBeLessThanOrEqual(base.exact + 1e-9);
        expect(door({ fees_pct: own.fees_pct + 5 }).exact).toBeLessThanOrEqual(base.exact + 1e-9);
        expect(door({ target: { profit: own.target.profit + 10 } }).exact).toBeCloseTo(base.exact - 10, 6);
        const { low, likely, high } = own.sale;
        expect(door({ sale: { low: low + 10, likely: likely + 10, high: high + 10 } }).exact).toBeGreaterThanOrEqual(
          base.exact - 1e-9,
        );
        // Where no look is worth anything the one that moves the price most is named alone.
        const looks = door({ asking: Math.max(1, base.exact) }).movesMost;
        if (looks.length > 1) for (const { worth } of looks) expect(worth).toBeGreaterThan(0);
        expect(base.profit.low).toBeLessThanOrEqual(base.profit.median);
        expect(base.profit.median).toBeLessThanOrEqual(base.profit.high);
      }),
      { seed: SEED, numRuns: share(300), endOnFailure: true },
    );
    expect(priced).toBeGreaterThan(share(20));
  });
});

describe('a piece that was not read', () => {
  it('is never worth more than the mean of what a look would find', () => {
    let compared = 0;
    for (let seed = 1; seed <= share(60); seed += 1) {
      const random = makeRandom(seed);
      const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
      const piece: Dossier = {
        format: 'bricolage.dossier/1',
        piece: { kind: 'sideboard', history: { era: pick(['before_1940', '1978_1999', 'since_2000'] as const) } },
        zones: [{ id: 'doors', role: pick(['door', 'top', 'front'] as const), area_m2: 0.4 + random() }],
        money: {
          hour_rate: 5 + Math.floor(random() * 10),
          sale: { low: 150, likely: 220 + Math.floor(random() * 200), high: 600 },
        },
      };
      const [zone] = piece.zones!;
      const base = judgeDoor(piece, DRAWS);
      if (base.exact <= 0) continue;
      const belief = computeBelief(piece, zone!);
      for (const code of ['edge_line', 'corner_lift'] as const) {
        const check = findCheck(code)!;
        const tables = likelihoodTables(code);
        const mean = check.answers.reduce((sum, answer) => {
          const { values, width, facet } = tables.get(answer.code)!;
          const p = belief.joint.reduce((total, own, s) => {
            let here = 0;
            for (let x = 0; x < width; x += 1)
              here += (facet ? belief.facets[facet][s * width + x]! : 1) * values[s * width + x]!;
            return total + own * here;
          }, 0);
          const read = { ...zone!, observations: [{ check: code, result: answer.code }] };
          return sum + p * judgeDoor({ ...piece, zones: [read] }, DRAWS).exact;
        }, 0);
        // Surfaces are drawn anew for each answer: to a few units of money.
        expect({ seed, code, over: Math.max(0, base.exact - mean - 0.05 * Math.abs(base.exact) - 4) }).toEqual({
          seed,
          code,
          over: 0,
        });
        compared += 1;
      }
    }
    expect(compared).toBeGreaterThan(share(20));
  }, 120_000);
});
