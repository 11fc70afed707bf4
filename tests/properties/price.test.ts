import fc from 'fast-check';
import { judgeDoor } from '@/core/price';
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
