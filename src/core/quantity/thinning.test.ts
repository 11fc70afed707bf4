import { describeThinning } from '@/words';
import { convertPaintShareToMixShare } from './thinning';

describe('thinning', () => {
  it('of four parts with one is a quarter of the paint and a fifth of the mix', () => {
    expect(convertPaintShareToMixShare(1 / 4)).toBeCloseTo(1 / 5, 12);
    expect(describeThinning(0.25)).toBe('25 % of the paint, which is 20 % of the mix');
  });

  it('is nothing of nothing, and never the whole mix', () => {
    expect(convertPaintShareToMixShare(0)).toBe(0);
    expect(convertPaintShareToMixShare(50)).toBeLessThan(1);
  });
});
