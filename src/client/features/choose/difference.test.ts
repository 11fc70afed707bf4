import type { CoatingSystem } from '@/core/systems';
import { sayDifference } from './difference';

const system = (handsOnMin: number, elapsedH: number, materialsCost: number, overall: number): CoatingSystem =>
  ({ handsOnMin, elapsedH, materialsCost, risk: { overall } }) as CoatingSystem;

describe('what another choice would change', () => {
  it('is said as less and more', () => {
    expect(sayDifference(system(120, 60, 50, 0.1), system(95, 48, 53, 0.125), String)).toBe(
      '25 min less, 12 h of waiting less, materials 3 more, 1 in 40 more go wrong',
    );
  });

  it('is nothing when it is too little to tell apart', () => {
    expect(sayDifference(system(120, 60, 50, 0.1), system(122, 61, 50.5, 0.103), String)).toBe('no difference here');
  });

  it('is a way out or none where there is no system on one side', () => {
    expect(sayDifference(system(1, 1, 1, 0.1), undefined, String)).toBe('leaves no system');
    expect(sayDifference(undefined, system(1, 1, 1, 0.1), String)).toBe('gives a system');
  });
});
