import { computeEquilibriumMoisturePct } from '@/core/climate';
import { makeSimulatedInstruments } from './index';

const at = (hour: number): string => `2026-03-01T${String(hour).padStart(2, '0')}:00:00Z`;

describe('the simulated instruments', () => {
  const instruments = makeSimulatedInstruments();

  it('show a day: coldest and dampest before dawn, the same whenever asked', () => {
    const day = Array.from({ length: 24 }, (_, hour) => instruments.readAir(at(hour)));
    const coldest = day.reduce((low, own, hour) => (own.temperature_c < day[low]!.temperature_c ? hour : low), 0);
    const dampest = day.reduce((high, own, hour) => (own.humidity_pct > day[high]!.humidity_pct ? hour : high), 0);
    expect(Math.abs(coldest - 5)).toBeLessThan(3);
    expect(Math.abs(dampest - 5)).toBeLessThan(3);
    expect(instruments.readAir(at(7))).toEqual(instruments.readAir(at(7)));
    expect(instruments.simulated).toBe(true);
  });

  it('measure wood near what the day’s air settles at', () => {
    const { temperature_c, humidity_pct } = instruments.readAir(at(11));
    expect(
      Math.abs(instruments.readMoisture(at(11)) - computeEquilibriumMoisturePct(temperature_c, humidity_pct)),
    ).toBeLessThan(2.5);
  });
});
