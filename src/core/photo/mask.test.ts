import { closeGaps, openThreads, type Mask } from './mask';

const draw = (...rows: string[]): Mask => ({
  side: rows.length,
  bits: Uint8Array.from(rows.join(''), (sign) => (sign === '#' ? 1 : 0)),
});
const show = ({ side, bits }: Mask): string[] =>
  Array.from({ length: side }, (_, y) => [...bits.slice(y * side, (y + 1) * side)].map((bit) => '.#'[bit]).join(''));

describe('a mask', () => {
  it('loses threads and keeps flakes', () => {
    expect(show(openThreads(draw('#####', '.....', '.###.', '.###.', '.###.'), 1))).toEqual([
      '.....',
      '.....',
      '.###.',
      '.###.',
      '.###.',
    ]);
  });

  it('fills a hair that lies over a flake', () => {
    expect(show(closeGaps(draw('.....', '##.##', '##.##', '##.##', '.....'), 1))[2]).toBe('#####');
  });
});
