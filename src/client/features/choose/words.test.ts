import type { CoatingSystem } from '@/core/systems';
import { sayDue, mainFailure, sayHours, systemName, systemTitle } from './words';

const system = (part: Partial<CoatingSystem>): CoatingSystem => ({ labels: [], zones: [], ...part }) as CoatingSystem;

describe('a system in words', () => {
  it('is named after what it is best at', () => {
    expect(systemTitle(system({ labels: ['recommended', 'least_fumes'] }))).toBe('Best on balance and least fumes');
    expect(systemTitle(system({ labels: ['surest', 'soonest', 'cheapest'] }))).toBe('Surest, soonest and cheapest');
    expect(systemName(system({ labels: ['cheapest'] }))).toBe('Cheapest');
    expect(systemTitle(system({}))).toBe('Another way, with no primer');
  });

  it('names the failure that is most of the risk', () => {
    const risk = { adhesion: 0.01, bleed: 0.05, grain_show: 0, haze_or_yellow: 0, blocking: 0.02, overall: 0.08 };
    expect(mainFailure(system({ risk }))).toBe('bleeding through');
  });

  it.each([
    [12, '12 min'],
    [60, '1 h 00'],
    [104, '1 h 45'],
    [179, '3 h 00'],
  ])('says %p minutes as %s', (minutes, words) => expect(sayHours(minutes)).toBe(words));

  it.each([
    ['2026-12-12', '2026-12-09', false, 'In time for Sat 12 Dec, with 3 days to spare'],
    ['2026-12-12', '2026-12-11', false, 'In time for Sat 12 Dec, with 1 day to spare'],
    ['2026-12-12', '2026-12-12', false, 'In time for Sat 12 Dec, on the day itself'],
    ['2026-12-12', '2027-01-02', true, 'Too late for Sat 12 Dec by 21 days'],
  ])('wanted by %s and ready on %s', (due, ready, late, words) =>
    expect(sayDue(late, due, ready, () => 'Sat 12 Dec')).toBe(words),
  );
});
