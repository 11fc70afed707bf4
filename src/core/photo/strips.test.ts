import { drawStripsCase, photographStrips } from '../camera';
import { byteOfLinear, linearOfByte } from './pixels';
import { readStrips } from './strips';

describe('bleed measured on strips of known truth', () => {
  /** Small, because the test runner's sandbox is slow on pixels. */
  const small = (seed: number) => {
    const { scene, shot } = drawStripsCase(seed);
    return { scene, shot: { ...shot, width: 240, height: 320, blurPx: 0 } };
  };

  it('gives mean and worst spot', () => {
    const { scene, shot } = small(1);
    const taken = photographStrips(scene, shot);
    const readings = readStrips(taken.pixels, taken);
    readings.forEach((reading, i) => {
      expect(reading.faults).toEqual([]);
      expect(Math.abs(reading.deMean - taken.strips[i]!.deMean)).toBeLessThan(0.5);
      expect(Math.abs(reading.deWorst - taken.strips[i]!.deWorst)).toBeLessThan(1);
    });
  });

  it('does not take a slope of the light for a stain', () => {
    const { scene, shot } = small(2);
    const clean = { ...scene, strips: scene.strips.map(({ code }) => ({ code, bleed: 0 })) };
    const uneven = photographStrips(clean, { ...shot, unevenness: 0.12, noise: 2, gains: [0.8, 0.8, 0.8] });
    for (const { deMean } of readStrips(uneven.pixels, uneven)) expect(deMean).toBeLessThan(0.4);
  });

  it.each([
    ['white_burnt', { gains: [1.6, 1.6, 1.6] }],
    ['white_dark', { gains: [0.05, 0.05, 0.05] }],
    ['white_not_white', { gains: [0.9, 0.5, 0.2] }],
  ] as const)('says %s when it is so', (fault, change) => {
    const { scene, shot } = small(3);
    const taken = photographStrips(scene, { ...shot, ...change });
    expect(readStrips(taken.pixels, taken).every(({ faults }) => faults.includes(fault))).toBe(true);
  });

  it('refuses a box that reaches out of the picture, and one of a few pixels', () => {
    const { scene, shot } = small(3);
    const taken = photographStrips(scene, shot);
    const boxes = [
      { code: 'X', rect: { x: -4, y: 10, width: 100, height: 100 } },
      { code: 'Y', rect: { x: 10, y: 10, width: 8, height: 100 } },
    ];
    const read = readStrips(taken.pixels, { ...taken, strips: boxes });
    expect(read.map(({ faults }) => faults)).toEqual([['outside'], ['too_small']]);
  });
});

describe('sRGB bytes', () => {
  it('go to linear light and back unchanged (IEC 61966-2-1)', () => {
    for (let byte = 0; byte < 256; byte += 1) expect(byteOfLinear(linearOfByte(byte))).toBe(byte);
    expect(linearOfByte(128)).toBeCloseTo(0.2159, 4);
  });
});
