import { readWith } from '../dossier';
import { applyWorkshopChange, EMPTY_WORKSHOP, forecastAir, judgeAir, readAirNow, setupSchema, type Air } from './index';

const reading = (at: string, temperature_c: number, humidity_pct: number): Air => ({ at, temperature_c, humidity_pct });
const hourOf = (at: string): number => new Date(at).getUTCHours();

describe('the air', () => {
  it('is judged at the surface: a cold one is nearer to the dew point than the air', () => {
    // 20 °C and 50 %: dew point 9.26 °C (Magnus form, WMO constants).
    const mild = { temperature_c: 20, humidity_pct: 50 };
    expect(judgeAir(mild)).toMatchObject({ dewPointC: 9.3, marginC: 10.7, stops: { waterborne: null, solvent: null } });
    expect(judgeAir({ ...mild, surface_c: 12 }).stops).toEqual({ waterborne: 'dew', solvent: 'dew' });
    expect(judgeAir({ ...mild, surface_c: 9 }).stops.waterborne).toBe('cold');
  });

  it.each([
    [9.9, 50, 'cold', null],
    [10, 50, null, null],
    [4.9, 50, 'cold', 'cold'],
    [20, 86, 'damp', 'damp'],
    [32.1, 40, 'hot', 'hot'],
    // 15 °C and 85 %: dew point 12.50 °C, 2.5 °C below the surface (ISO 8502-4 wants 3).
    [15, 85, 'dew', 'dew'],
  ])('of %d °C and %d %% stops %s and %s', (temperature_c, humidity_pct, waterborne, solvent) =>
    expect(judgeAir({ temperature_c, humidity_pct }).stops).toEqual({ waterborne, solvent }),
  );

  it('counts as known for six hours', () => {
    const air = [reading('2026-11-28T06:00:00Z', 12, 70), reading('2026-11-28T09:00:00Z', 16, 58)];
    expect(readAirNow(air, '2026-11-28T14:59:00Z')?.temperature_c).toBe(16);
    expect(readAirNow(air, '2026-11-28T15:01:00Z')).toBeNull();
    expect(readAirNow(air, '2026-11-28T08:00:00Z')?.temperature_c).toBe(12);
  });

  it('is never what a simulated instrument says', () => {
    const air: Air[] = [
      reading('2026-11-28T08:00:00Z', 18, 55),
      { ...reading('2026-11-28T09:00:00Z', 3, 95), source: 'simulated' },
    ];
    expect(readAirNow(air, '2026-11-28T10:00:00Z')?.temperature_c).toBe(18);
    expect(readAirNow(air.slice(1), '2026-11-28T10:00:00Z')).toBeNull();
    const expected = forecastAir(air, '2026-11-28T10:00:00Z', '2026-11-29T09:00:00Z', hourOf);
    expect(expected).toMatchObject({ temperature_c: 18, readings: 1 });
  });

  it('is expected as it was at that time of day, the last days most', () => {
    const air = [
      reading('2026-11-26T19:00:00Z', 8, 80),
      reading('2026-11-27T12:00:00Z', 20, 40),
      reading('2026-11-27T19:00:00Z', 14, 60),
    ];
    const now = '2026-11-28T09:00:00Z';
    const evening = forecastAir(air, now, '2026-11-28T20:00:00Z', hourOf);
    expect(evening).toMatchObject({ readings: 2, temperature_c: 12 });
    expect(forecastAir(air, now, '2026-11-28T12:30:00Z', hourOf)).toMatchObject({ readings: 1, temperature_c: 20 });
    expect(forecastAir([], now, now, hourOf)).toEqual({ temperature_c: 21, humidity_pct: 50, readings: 0 });
    // Old readings and those still to come say nothing.
    expect(
      forecastAir([reading('2026-11-01T19:00:00Z', 2, 90), reading('2026-12-01T19:00:00Z', 2, 90)], now, now, hourOf)
        .readings,
    ).toBe(0);
  });
});

describe('the workshop’s setting', () => {
  it.each([
    [{ hours: [{ day: 6, from: '13:00', to: '09:00' }] }, 'hours[0].to', 'not_after'],
    [{ hours: [{ day: 8, from: '09:00', to: '10:00' }] }, 'hours[0].day', 'out_of_range'],
    [{ hours: [{ day: 1, from: '9', to: '10:00' }] }, 'hours[0].from', 'bad_pattern'],
    [{ time_zone: 'Europe/Atlantis' }, 'time_zone', 'unknown_time_zone'],
    [{ exceptions: [{ date: '24 December', hours: [] }] }, 'exceptions[0].date', 'bad_pattern'],
    [{ places: { large: -1, small: 2 } }, 'places.large', 'out_of_range'],
  ])('%j is refused at %s', (setup, path, code) => {
    expect(readWith(setupSchema, setup)).toMatchObject({ ok: false, problem: { path, code } });
  });

  it('changes the same when a change is made twice', () => {
    const air = reading('2026-11-28T09:00:00Z', 16, 58);
    const changes = [
      { type: 'air_recorded' as const, air },
      { type: 'air_recorded' as const, air: reading('2026-11-27T09:00:00Z', 15, 60) },
      { type: 'task_pinned' as const, pin: { task: 'p/1', at: '2026-11-29T09:00:00Z' } },
    ];
    const once = changes.reduce(applyWorkshopChange, EMPTY_WORKSHOP);
    expect(changes.reduce(applyWorkshopChange, once)).toEqual({ ...once, pins: once.pins });
    expect(once.air.map(({ at }) => at)).toEqual(['2026-11-27T09:00:00Z', '2026-11-28T09:00:00Z']);
    expect(
      applyWorkshopChange(applyWorkshopChange(once, { type: 'air_withdrawn', at: air.at }), {
        type: 'task_unpinned',
        task: 'p/1',
      }),
    ).toMatchObject({
      air: [{ temperature_c: 15 }],
      pins: [],
    });
  });
});
