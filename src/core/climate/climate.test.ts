import psychrolib from 'psychrolib';
import { EQUILIBRIUM_AT_21_1_C } from '../../../oracles/equilibrium-moisture';
import { computeDewPointC, computeEquilibriumMoisturePct, judgeMoisture } from './index';

describe('the equilibrium moisture of wood', () => {
  it.each(EQUILIBRIUM_AT_21_1_C)('at 21.1 °C and %d %% is %d %% (Wood Handbook table)', (humidity, moisture) => {
    expect(Math.abs(computeEquilibriumMoisturePct(21.1, humidity) - moisture)).toBeLessThan(0.1);
  });

  it('rises with humidity and falls with warmth', () => {
    for (let h = 10; h < 95; h += 5)
      expect(computeEquilibriumMoisturePct(18, h + 5)).toBeGreaterThan(computeEquilibriumMoisturePct(18, h));
    expect(computeEquilibriumMoisturePct(30, 60)).toBeLessThan(computeEquilibriumMoisturePct(5, 60));
  });

  it('decides whether wood is dry enough for this room', () => {
    const room = { temperature_c: 21, humidity_pct: 50 };
    expect(judgeMoisture(10.5, room)).toMatchObject({ state: 'dry' });
    expect(judgeMoisture(12.5, room)).toMatchObject({ state: 'damp' });
    // In a damp shed the ceiling counts, not the equilibrium.
    expect(judgeMoisture(16, { temperature_c: 10, humidity_pct: 85 })).toMatchObject({ state: 'damp', limitPct: 15 });
  });
});

describe('the dew point', () => {
  it.each([
    [20, 50, 9.26],
    [25, 60, 16.69],
    [15, 85, 12.5],
    [30, 80, 26.17],
  ])('at %d °C and %d %% is %d °C (Magnus form, WMO constants, worked by hand)', (t, h, dew) => {
    expect(computeDewPointC(t, h)).toBeCloseTo(dew, 2);
  });

  it('agrees with a psychrometric library (ASHRAE equations) within 0.04 °C', () => {
    psychrolib.SetUnitSystem(psychrolib.SI);
    let tried = 0;
    for (let t = 5; t <= 35; t += 5) {
      for (let h = 20; h <= 100; h += 10) {
        // Below freezing the two mean different things: over water here, over ice there.
        if (computeDewPointC(t, h) <= 0) continue;
        tried += 1;
        expect(Math.abs(computeDewPointC(t, h) - psychrolib.GetTDewPointFromRelHum(t, h / 100))).toBeLessThan(0.04);
      }
    }
    expect(tried).toBeGreaterThan(50);
  });
});
