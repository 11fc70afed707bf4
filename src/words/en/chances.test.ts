import { describeChance, describeShare, formatChance, formatChanceRange } from './chances';

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

  it.each([
    [0.65, 'about 2 in 3'],
    [0.49, 'about 1 in 2'],
    [0.93, 'about 19 in 20'],
    [0.997, 'nearly always'],
    [0, 'almost never'],
  ])('says a share of %p as "%s"', (p, words) => expect(describeShare(p)).toBe(words));

  it('says a range where few patches stand behind a chance, one figure where many do', () => {
    expect(formatChanceRange(0.06, 0)).toBe('1 in 10 to 1 in 29');
    expect(formatChanceRange(0.06, 12)).toBe('1 in 17');
    const wide = formatChanceRange(0.1, 0).split(' to ');
    const narrow = formatChanceRange(0.1, 5).split(' to ');
    const span = ([most, least]: string[]): number => Number(least!.slice(5)) - Number(most!.slice(5));
    expect(span(narrow)).toBeLessThan(span(wide));
  });

  it('never claims more than nine in ten short of near certainty', () => expect(formatChance(0.98)).toBe('9 in 10'));
});
