import {
  clockSettled,
  clockSlice,
  compareClocks,
  correctionOf,
  followClock,
  isClockAsked,
  serverTimeHeard,
  setBackOf,
  timeNow,
  watchClock,
} from './clock';

const HOUR = 3_600_000;
const state = (...actions: Parameters<typeof clockSlice.reducer>[1][]) =>
  actions.reduce(clockSlice.reducer, { aheadMs: 0, settled: null, heard: false });
afterEach(() => followClock(state()));

describe('a clock that is wrong', () => {
  it('is asked about beyond ten minutes, once for each difference', () => {
    expect(isClockAsked(state(serverTimeHeard(9 * 60_000)))).toBe(false);
    expect(isClockAsked(state(serverTimeHeard(-3 * HOUR)))).toBe(true);
    const settled = state(serverTimeHeard(-3 * HOUR), clockSettled('device'));
    expect(isClockAsked(settled)).toBe(false);
    expect(isClockAsked(clockSlice.reducer(settled, serverTimeHeard(-3 * HOUR + 5 * 60_000)))).toBe(false);
    expect(isClockAsked(clockSlice.reducer(settled, serverTimeHeard(5 * HOUR)))).toBe(true);
  });

  it('is corrected where the owner goes by the computer, and only there', () => {
    const off = (): number => Date.parse(timeNow()) - Date.now();
    followClock(state(serverTimeHeard(2 * HOUR), clockSettled('shop')));
    expect(off()).toBeLessThan(-2 * HOUR + 1000);
    followClock(state(serverTimeHeard(2 * HOUR), clockSettled('device')));
    expect(Math.abs(off())).toBeLessThan(1000);
    // Put right since, it needs no correction.
    followClock(state(serverTimeHeard(2 * HOUR), clockSettled('shop'), serverTimeHeard(0)));
    expect(Math.abs(off())).toBeLessThan(1000);
  });

  it('tells whoever shows the time when it is told otherwise', () => {
    let told = 0;
    const end = watchClock(() => (told += 1));
    followClock(state(serverTimeHeard(2 * HOUR)));
    expect(told).toBe(0);
    followClock(state(serverTimeHeard(2 * HOUR), clockSettled('shop')));
    expect(told).toBe(1);
    end();
    followClock(state());
    expect(told).toBe(1);
  });

  it('is followed back where it is further ahead than the server takes, whatever the owner said', () => {
    const day = 24 * HOUR;
    const far = state(serverTimeHeard(3 * day), clockSettled('device'));
    expect(correctionOf(far)).toBe(3 * day);
    expect(correctionOf(state(serverTimeHeard(-3 * day)))).toBe(0);
    // What was made before anybody knew is put right where it is days apart, either way.
    expect([
      setBackOf(state(serverTimeHeard(-3 * day)), undefined),
      setBackOf(state(serverTimeHeard(-3 * day)), 0),
    ]).toEqual([-3 * day, 0]);
    expect(setBackOf(state(serverTimeHeard(2 * HOUR)), undefined)).toBe(0);
  });

  it('says nothing of an answer without a time', () => {
    expect(compareClocks(null)).toBeNull();
    expect(compareClocks('noon')).toBeNull();
    expect(Math.abs(compareClocks(new Date().toISOString())!)).toBeLessThan(1000);
  });
});
