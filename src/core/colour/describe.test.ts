import { lab65, parse } from 'culori';
import { makeRandom } from '../shared';
import { convertLabToLinearRgb, convertLinearRgbToHex } from './convert';
import { compareColours, describeColour, labOfHex, shiftColour, type ColourWay } from './describe';
import { contrastOfPair, suggestPalettes } from './palettes';

const random = makeRandom(9);
const someHex = (): string =>
  `#${Math.floor(random() * 0x1000000)
    .toString(16)
    .padStart(6, '0')
    .toUpperCase()}`;

it('a colour comes back from CIELAB as it went in', () => {
  for (let i = 0; i < 300; i += 1) {
    const hex = someHex();
    expect(convertLinearRgbToHex(convertLabToLinearRgb(labOfHex(hex)))).toBe(hex);
    const theirs = lab65(parse(hex));
    expect(labOfHex(hex).l).toBeCloseTo(theirs.l, 1);
  }
});

describe('a colour in words', () => {
  it.each([
    ['#FFFFFF', 'white', null, 'greyish'],
    ['#101010', 'black', null, 'greyish'],
    ['#8A8D8F', 'middle', null, 'greyish'],
    ['#9DB0A5', 'light', 'green', 'greyish'],
    ['#2B3A42', 'dark', 'blue', 'greyish'],
    ['#7B2E26', 'deep', 'red', 'plain'],
    ['#F0C419', 'light', 'yellow', 'strong'],
    ['#6B4A33', 'deep', 'brown', 'plain'],
    ['#EFE3C8', 'pale', 'cream', 'plain'],
    ['#27508A', 'deep', 'blue', 'plain'],
    ['#E7A3B5', 'light', 'pink', 'plain'],
  ])('%s is %s %s, %s', (hex, depth, hue, strength) => {
    expect(describeColour(hex)).toEqual({ depth, hue, strength });
  });
});

describe('the way from one colour to another', () => {
  it('is nothing to itself, and a step along a way is told as that way', () => {
    const ways: ColourWay[] = ['lighter', 'darker', 'greyer', 'stronger', 'warmer', 'cooler'];
    for (const hex of ['#9DB0A5', '#A0522D', '#5E7487', '#B79A6A']) {
      expect(compareColours(hex, hex)).toEqual([]);
      for (const way of ways) expect(compareColours(shiftColour(hex, way), hex)).toContain(way);
      expect(compareColours(shiftColour(hex, 'darker'), hex)[0]).toBe('darker');
    }
  });

  it('stays a colour of the screen at the ends', () => {
    expect(shiftColour('#FFFFFF', 'lighter')).toBe('#FFFFFF');
    expect(shiftColour('#000000', 'darker')).toBe('#000000');
  });
});

describe('palettes out of the shop’s own tins', () => {
  const tins = ['#F3EFE6', '#2B3A42', '#9DB0A5', '#7B2E26', '#DDE3DA'];

  it('are two to four, each pair once, the paler for the body', () => {
    const found = suggestPalettes(tins);
    expect(found.length).toBeGreaterThanOrEqual(2);
    expect(found.length).toBeLessThanOrEqual(4);
    expect(new Set(found.map(({ body, fronts }) => body + fronts)).size).toBe(found.length);
    for (const { body, fronts } of found) expect(labOfHex(body).l).toBeGreaterThan(labOfHex(fronts).l);
    expect(found.find(({ kind }) => kind === 'strong')).toEqual({ kind: 'strong', body: '#F3EFE6', fronts: '#2B3A42' });
  });

  it('are none of one colour, nor of two that are the same', () => {
    expect(suggestPalettes(['#F3EFE6'])).toEqual([]);
    expect(suggestPalettes(['#F3EFE6', '#F3EFE6'])).toEqual([]);
  });

  it('say how far two are apart in lightness', () => {
    expect(contrastOfPair('#FFFFFF', '#000000')).toBeCloseTo(100, 6);
    expect(contrastOfPair('#2B3A42', '#2B3A42')).toBe(0);
  });
});
