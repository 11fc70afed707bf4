import { makeRandom } from '../shared';
import type { Pixels } from './pixels';
import { readRepeat } from './repeat';

/** A picture from a brightness for each place (0–255), square, with noise. */
function draw(side: number, tell: (x: number, y: number) => number, noise = 4): Pixels {
  const random = makeRandom(5);
  const data = new Uint8ClampedArray(side * side * 4);
  for (let y = 0; y < side; y += 1)
    for (let x = 0; x < side; x += 1) {
      const value = tell(x, y) + noise * (random() - 0.5);
      data.set([value, value, value, 255], (y * side + x) * 4);
    }
  return { width: side, height: side, data };
}

/** Blots at random places of one stretch, laid down again every `period` pixels. */
function drawBlots(side: number, period: number, slant = 0): Pixels {
  const random = makeRandom(11);
  const blots = Array.from({ length: 9 }, () => ({ x: random() * period, y: random() * side, r: 4 + random() * 9 }));
  const around = (d: number): number => ((d % period) + period) % period;
  return draw(side, (x, y) => {
    const u = around(x - slant * y);
    const dark = blots.some(
      (b) => Math.min(Math.abs(u - b.x), period - Math.abs(u - b.x)) ** 2 + (y - b.y) ** 2 < b.r ** 2,
    );
    return dark ? 90 : 190;
  });
}

describe('a pattern that comes again', () => {
  it.each([60, 96, 131])('is found at its known length, to a fiftieth: every %i of 256 pixels', (period) => {
    const { answer, repeat } = readRepeat(drawBlots(256, period));
    expect(answer).toBe('repeats');
    expect(Math.abs(repeat!.length * 256 - period) / period).toBeLessThan(0.02);
    expect(Math.abs(repeat!.dy)).toBeLessThan(0.02);
  });

  it('is found under uneven light', () => {
    const even = drawBlots(256, 96);
    const data = even.data.map((value, i) => (i % 4 === 3 ? 255 : value * (0.6 + (0.4 * ((i >> 2) % 256)) / 256)));
    const { answer, repeat } = readRepeat({ ...even, data: Uint8ClampedArray.from(data) });
    expect(answer).toBe('repeats');
    expect(Math.abs(repeat!.length * 256 - 96) / 96).toBeLessThan(0.02);
  });

  it('is none where blots lie about, where stripes run on, or where there is nothing', () => {
    const random = makeRandom(3);
    const blots = Array.from({ length: 24 }, () => ({ x: random() * 256, y: random() * 256, r: 4 + random() * 9 }));
    const about = draw(256, (x, y) => (blots.some((b) => (x - b.x) ** 2 + (y - b.y) ** 2 < b.r ** 2) ? 90 : 190));
    expect(readRepeat(about).answer).toBe('no_repeat');
    const tones = Array.from({ length: 256 }, () => 100 + random() * 90);
    expect(readRepeat(draw(256, (_x, y) => tones[y]!)).answer).toBe('no_repeat');
    expect(readRepeat(draw(256, () => 150, 2)).answer).toBe('plain_colour');
  });
});
