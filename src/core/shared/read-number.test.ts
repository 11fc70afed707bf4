import { readNumber } from './read-number';

describe('a number as it is typed', () => {
  it.each([
    ['12', 12],
    [' 16,4 ', 16.4],
    ['0.5', 0.5],
    ['-3', -3],
    ['', undefined],
    ['about ten', undefined],
    ['1.2.3', undefined],
    ['5e3', undefined],
    ['.5', undefined],
  ])('%j is %p', (text, value) => expect(readNumber(text)).toBe(value));
});
