import { makeRandom } from '../shared';
import { addUpTimes, learnPace, learnPiecePace } from './index';

const entry = (minutes: number, foreseen_min: number, more: object = {}) => ({
  zone: 'top',
  op: 'scuff' as const,
  minutes,
  foreseen_min,
  ...more,
});

describe('the owner’s pace', () => {
  it('is the class table until something is logged', () => {
    expect(learnPace([])('scuff')).toMatchObject({ factor: 1, times: 0 });
    expect(learnPace([{ log: [entry(10, 10, { skipped: true }), { zone: 'top', op: 'scuff' }] }])('scuff').times).toBe(
      0,
    );
  });

  it('is the mean of the log ratios shrunk to the table as by four more: four doubles give 2^(1/2)', () => {
    const pace = learnPace([{ log: [1, 2, 3, 4].map(() => entry(20, 10)) }])('scuff');
    expect(pace.factor).toBeCloseTo(Math.SQRT2, 9);
    expect(pace.times).toBe(4);
    expect(learnPace([{ log: [entry(20, 10)] }])('paint').factor).toBe(1);
  });

  it('takes the zones of one tap together, and leaves out a clock that was forgotten', () => {
    const tap = [entry(4, 10, { work: 'w' }), entry(16, 10, { work: 'w', zone: 'legs' })];
    expect(learnPace([{ log: tap }])('scuff')).toMatchObject({ factor: 1, times: 1 });
    expect(learnPace([{ log: [entry(300, 10)] }])('scuff').times).toBe(0);
  });

  it('spreads so that about eight in ten next times lie within, for owners drawn from its own assumptions', () => {
    const random = makeRandom(11);
    const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    let [within, all] = [0, 0];
    for (let owner = 0; owner < 800; owner += 1) {
      const own = 0.3 * normal();
      const log = Array.from({ length: owner % 9 }, () => entry(10 * Math.exp(own + 0.3 * normal()), 10));
      const { low, high } = learnPace([{ log }])('scuff');
      const next = Math.exp(own + 0.3 * normal());
      within += next >= low && next <= high ? 1 : 0;
      all += 1;
    }
    expect(within / all).toBeGreaterThan(0.72);
    expect(within / all).toBeLessThan(0.88);
  });

  it('adds up: the spread of many jobs is narrower than that of one', () => {
    const pace = learnPace([])('scuff');
    const one = addUpTimes([{ minutes: 100, pace }]);
    const ten = addUpTimes(Array.from({ length: 10 }, () => ({ minutes: 10, pace })));
    expect(ten.minutes).toBe(100);
    expect(ten.high - ten.low).toBeLessThan((one.high - one.low) / 3);
  });
});

describe('the owner’s pace over whole pieces', () => {
  const piece = (took: number, foreseen: number) => ({
    log: [
      { zone: 'top', op: 'scuff' as const, minutes: took / 2, foreseen_min: foreseen / 2 },
      { zone: 'top', op: 'paint' as const, minutes: took / 2, foreseen_min: foreseen / 2 },
    ],
  });

  it('is the table’s where nothing was timed', () => {
    const { factor, spread, pieces } = learnPiecePace([{ log: [] }, {}]);
    expect([factor, pieces]).toEqual([1, 0]);
    expect(spread).toBeCloseTo(Math.log(1.25), 12);
  });

  it('is drawn to the table: three pieces at twice its times weigh as much as it does', () => {
    const { factor, pieces } = learnPiecePace([piece(120, 60), piece(200, 100), piece(60, 30)]);
    expect(pieces).toBe(3);
    expect(factor).toBeCloseTo(Math.SQRT2, 12);
  });

  it('knows how far pieces are off each other, and forgets a clock that was left running', () => {
    const even = learnPiecePace(Array.from({ length: 12 }, () => piece(60, 60)));
    const uneven = learnPiecePace(Array.from({ length: 12 }, (_, i) => piece(i % 2 ? 120 : 30, 60)));
    expect(even.spread).toBeLessThan(uneven.spread);
    expect(learnPiecePace([piece(6000, 60)]).pieces).toBe(0);
  });
});
