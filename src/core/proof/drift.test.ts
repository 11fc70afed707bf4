import type { Test } from '../dossier';
import { joinShots, SINGLE_SHOT, traceDrift } from './drift';

const watch = (at: string, de_mean: number, spread?: number): Test => ({
  zone: 'top',
  panel: 'p',
  strip: 'A',
  kind: 'bleed_watch',
  reading: { at, de_mean, de_worst: de_mean * 2, ...(spread === undefined ? {} : { spread }) },
});
const verdict = (...tests: Test[]) => traceDrift({ tests }, 'p')[0]?.verdict;

describe('bleed over time', () => {
  it('is put in the order of the moments', () => {
    const { points } = traceDrift({ tests: [watch('48h', 1), watch('1h', 0.2), watch('overnight', 0.4)] }, 'p')[0]!;
    expect(points.map(({ at }) => at)).toEqual(['1h', 'overnight', '48h']);
  });

  it('rises only beyond what repeated pictures differ by', () => {
    expect(verdict(watch('1h', 0.3, 0.1), watch('48h', 1.4, 0.1))).toBe('rising');
    expect(verdict(watch('1h', 0.3), watch('48h', 0.8))).toBe('cannot_tell');
    expect(verdict(watch('1h', 0.3, 0.1), watch('48h', 0.4, 0.1))).toBe('steady');
    expect(verdict(watch('1h', 0.3, 0.1))).toBe('cannot_tell');
  });

  it('of another panel, or read by eye, is left out', () => {
    expect(traceDrift({ tests: [{ ...watch('1h', 1), reading: { at: '1h', score: 2 } }] }, 'p')).toEqual([]);
    expect(traceDrift({ tests: [watch('1h', 1)] }, 'q')).toEqual([]);
  });
});

describe('several pictures of one moment', () => {
  it('are averaged, with their standard deviation (by hand: 1, 2, 3 → 2 ± 1)', () => {
    const shots = [1, 2, 3].map((de_mean) => ({ de_mean, de_worst: de_mean + 1 }));
    expect(joinShots(shots)).toEqual({ de_mean: 2, de_worst: 3, spread: 1, shots: 3 });
    expect(joinShots([{ de_mean: 1, de_worst: 2 }]).spread).toBe(SINGLE_SHOT);
  });
});
