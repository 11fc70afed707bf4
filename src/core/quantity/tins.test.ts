import { makeRandom } from '../shared';
import { listUsualTins, tabulateTins, type TinSize } from './index';

/** Every set of up to thirteen tins of each size, the slow way. */
function cheapest(needed: number, sizes: readonly TinSize[]): number {
  let best = Infinity;
  const visit = (i: number, volume: number, price: number): void => {
    if (volume >= needed) best = Math.min(best, price);
    if (i === sizes.length || price >= best) return;
    for (let n = 0; n <= 13; n += 1) visit(i + 1, volume + n * sizes[i]!.volumeMl, price + n * sizes[i]!.price);
  };
  visit(0, 0, 0);
  return best;
}

describe('tins to buy', () => {
  it('are the cheapest set that holds enough, as trying every set finds', () => {
    const random = makeRandom(9);
    for (let i = 0; i < 60; i += 1) {
      const sizes = [250, 500, 1000].map((volumeMl) => ({ volumeMl, price: Math.round(5 + random() * 40) }));
      const needed = Math.round(random() * 3000);
      const bought = tabulateTins(sizes).choose(needed);
      expect(bought.price).toBe(cheapest(needed, sizes));
      const volume = bought.tins.reduce((sum, { volumeMl, count }) => sum + volumeMl * count, 0);
      expect(volume - needed).toBe(bought.leftMl);
      expect(bought.leftMl).toBeGreaterThanOrEqual(0);
    }
  });

  it('are one small and one middle tin for 900 ml', () => {
    expect(
      tabulateTins([
        { volumeMl: 250, price: 9 },
        { volumeMl: 750, price: 20 },
      ]).choose(900),
    ).toEqual({
      tins: [
        { volumeMl: 750, count: 1 },
        { volumeMl: 250, count: 1 },
      ],
      price: 29,
      leftMl: 100,
    });
  });

  it('are none when nothing is needed, and never cost less for more', () => {
    const sizes = listUsualTins(34);
    expect(tabulateTins(sizes).choose(0)).toEqual({ tins: [], price: 0, leftMl: 0 });
    const table = tabulateTins(sizes);
    let last = 0;
    for (let needed = 50; needed < 6000; needed += 50) {
      const { price } = table.choose(needed);
      expect(price).toBeGreaterThanOrEqual(last);
      expect(table.price(needed)).toBe(price);
      last = price;
    }
  });
});
