import psychrolib from 'psychrolib';
import { EQUILIBRIUM_AT_21_1_C } from '../../../oracles/equilibrium-moisture';
import {
  computeDewPointC,
  computeDryingFactor,
  computeEquilibriumMoisturePct,
  computeSaturationHpa,
  findStop,
  judgeMoisture,
} from './index';

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
    expect(judgeMoisture(16, { temperature_c: 10, humidity_pct: 85 })).toMatchObject({ state: 'damp', limitPct: 12 });
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

describe('drying in another climate than the label’s', () => {
  const air = (temperature_c: number, humidity_pct: number) => ({ temperature_c, humidity_pct });

  it('takes a curing film twice as long ten degrees colder (Q10 = 2, common practice)', () => {
    expect(computeDryingFactor('cures', air(11, 50))).toBeCloseTo(2, 9);
    expect(computeDryingFactor('cures', air(1, 50))).toBeCloseTo(4, 9);
  });

  it('takes a waterborne film as much longer as the air takes up less', () => {
    expect(computeDryingFactor('evaporates_water', air(21, 75))).toBeCloseTo(2, 9);
    expect(computeDryingFactor('evaporates_water', air(10, 95))).toBe(4);
  });

  it('never cuts a wait below the label’s', () => {
    for (const drying of ['cures', 'evaporates_water', 'flashes_off'] as const)
      for (const [t, h] of [
        [35, 20],
        [28, 40],
        [21, 50],
      ] as const)
        expect(computeDryingFactor(drying, air(t, h))).toBe(1);
  });

  it('rests on the vapour pressure a psychrometric library gives, within half a percent', () => {
    psychrolib.SetUnitSystem(psychrolib.SI);
    for (let t = 1; t <= 35; t += 2)
      expect(Math.abs(computeSaturationHpa(t) / (psychrolib.GetSatVapPres(t) / 100) - 1)).toBeLessThan(0.005);
  });

  it.each([
    [true, 20, 60, null],
    [true, 9, 60, 'cold'],
    [false, 9, 60, null],
    [false, 4, 60, 'cold'],
    [true, 20, 86, 'damp'],
    // 20 °C and 84 %: dew point 17.2 °C, 2.8 °C below the surface.
    [true, 20, 84, 'dew'],
    [true, 33, 40, 'hot'],
  ] as const)('stops waterborne %s work at %d °C and %d %%: %s', (waterborne, t, h, reason) => {
    expect(findStop(waterborne, air(t, h))).toBe(reason);
  });
});
