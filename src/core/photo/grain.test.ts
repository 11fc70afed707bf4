import { photographCheck } from '../camera';
import { findCheck } from '../knowledge';
import { makeRandom } from '../shared';
import { readGrain } from './grain';
import type { Pixels } from './pixels';

/** Dark grooves with a bright flank on a plain ground, `share` of the face, at an angle (degrees, clockwise as seen). */
function drawGrooves(side: number, degrees: number, every: number, width: number): Pixels {
  const random = makeRandom(7);
  const data = new Uint8ClampedArray(side * side * 4);
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  for (let y = 0; y < side; y += 1)
    for (let x = 0; x < side; x += 1) {
      const across = (((y * c - x * s) % every) + every) % every;
      const value = (across < width ? 70 : 180) + 6 * (random() - 0.5);
      data.set([value, value, value, 255], (y * side + x) * 4);
    }
  return { width: side, height: side, data };
}

describe('pores and grain by a picture', () => {
  it.each([0, 17, 45, 90, 133])('finds the way of the grain to a degree: %i°', (degrees) => {
    const { alongDeg, aligned } = readGrain(drawGrooves(256, degrees, 16, 2));
    const off = Math.abs(alongDeg - degrees);
    expect(Math.min(off, 180 - off)).toBeLessThan(1);
    expect(aligned).toBeGreaterThan(0.8);
  });

  it('finds the way in uneven light as well', () => {
    const { data, ...size } = drawGrooves(256, 30, 16, 2);
    const lit = data.map((value, i) => (i % 4 === 3 ? 255 : value * (0.55 + (0.45 * ((i >> 2) % 256)) / 256)));
    expect(readGrain({ ...size, data: lit }).alongDeg).toBeCloseTo(30, 0);
  });

  it('tells how much of the face is grooves: more where they lie closer', () => {
    const densities = [32, 16, 8].map((every) => readGrain(drawGrooves(256, 20, every, 2)).density);
    expect(densities[1]! / densities[0]!).toBeCloseTo(2, 0);
    expect(densities[2]! / densities[1]!).toBeCloseTo(2, 0);
  });

  it('proposes nothing of a face of one colour', () => {
    const data = new Uint8ClampedArray(256 * 256 * 4).fill(150);
    expect(readGrain({ width: 256, height: 256, data }).answer).toBeNull();
  });

  it.each(findCheck('pores')!.answers.map(({ code }) => code))('reads made-up faces: %s', (answer) => {
    const seeds = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9];
    const hits = seeds.filter((seed) => readGrain(photographCheck('pores', answer, 256, seed)!).answer === answer);
    expect(hits.length).toBeGreaterThanOrEqual(7);
  });
});
