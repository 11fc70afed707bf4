import { makeRandom } from '../shared';
import { combineChances, SHARED_SHARE, type ZoneChance } from './shared-causes';

const alike = (count: number, p: number): ZoneChance[] => Array.from({ length: count }, () => ({ cause: 'board', p }));

describe('the chance that a piece goes wrong', () => {
  it('is that of its one zone, where there is one', () => {
    expect(combineChances([{ cause: 'board', p: 0.06 }])).toBeCloseTo(0.06, 12);
    expect(combineChances([])).toBe(0);
  });

  it('multiplies for zones with nothing in common (1 − 0.94 × 0.9 by hand)', () => {
    const apart = [
      { cause: 'board', p: 0.06 },
      { cause: 'oak', p: 0.1 },
    ];
    expect(combineChances(apart)).toBeCloseTo(1 - 0.94 * 0.9, 12);
  });

  it('grows little by a zone more of the same, and by all of its own by a different ground', () => {
    const five = combineChances(alike(5, 0.06));
    expect(five).toBeLessThan(0.12);
    expect(five).toBeGreaterThan(0.06);
    expect(combineChances(alike(6, 0.06)) - five).toBeLessThan(0.02);
    expect(combineChances([...alike(5, 0.06), { cause: 'oak', p: 0.06 }]) - five).toBeGreaterThan(0.05);
  });

  it('is never less than its worst zone, nor more than if all were independent (300 seeds)', () => {
    for (let seed = 1; seed <= 300; seed += 1) {
      const random = makeRandom(seed);
      const zones = Array.from({ length: 1 + Math.floor(random() * 8) }, () => ({
        cause: `c${Math.floor(random() * 3)}`,
        p: random() * 0.6,
      }));
      const all = combineChances(zones);
      expect(all).toBeGreaterThanOrEqual(Math.max(...zones.map(({ p }) => p)) - 1e-12);
      expect(all).toBeLessThanOrEqual(1 - zones.reduce((held, { p }) => held * (1 - p), 1) + 1e-12);
    }
  });

  it('agrees with zones drawn one by one from the split: a common shock the worst zone goes down with, and own ones', () => {
    const random = makeRandom(5);
    const zones = [...alike(3, 0.1), { cause: 'board', p: 0.25 }, { cause: 'oak', p: 0.15 }];
    let failed = 0;
    const draws = 60_000;
    for (let i = 0; i < draws; i += 1) {
      const shocks = new Map<string, number>();
      const fails = zones.some(({ cause, p }) => {
        const hazard = -Math.log(1 - p);
        const shock = shocks.get(cause) ?? random();
        shocks.set(cause, shock);
        return shock < 1 - Math.exp(-SHARED_SHARE * hazard) || random() < 1 - Math.exp(-(1 - SHARED_SHARE) * hazard);
      });
      if (fails) failed += 1;
    }
    expect(failed / draws).toBeCloseTo(combineChances(zones), 2);
  });
});
