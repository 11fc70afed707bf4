import { describeChance, formatChance } from './frequency';

describe('chances in words', () => {
  it.each([
    [0.04, 'about 1 in 25'],
    [0.9, 'about 9 in 10'],
    [0.5, 'about 1 in 2'],
    [0.333, 'about 1 in 3'],
    [0.00012, 'never seen'],
    [0.999, 'nearly always'],
  ])('says %p as "%s"', (p, words) => expect(describeChance(p)).toBe(words));

  it('keeps two figures at most', () => expect(formatChance(1 / 347)).toBe('1 in 350'));

  it('never claims more than nine in ten short of near certainty', () => expect(formatChance(0.98)).toBe('9 in 10'));
});
