import { readHex } from './hex';

describe('a colour as it is written down', () => {
  it.each([
    [' #f3efe6 ', '#F3EFE6'],
    ['#F3EFE6', '#F3EFE6'],
    ['F3EFE6', null],
    ['#F3EFE', null],
    ['#F3EFEG', null],
    ['', null],
  ])('“%s” is %s', (text, colour) => expect(readHex(text)).toBe(colour));
});
