import { balance } from './balance';

const part = (name: string, lines: number) => ({ name, lines });
const names = (columns: readonly (readonly { name: string }[])[]) =>
  columns.map((column) => column.map(({ name }) => name).join(''));

describe('two columns', () => {
  it('stay as they are where the first is the taller', () => {
    expect(names(balance([part('a', 9)], [part('b', 4), part('c', 3)]))).toEqual(['a', 'bc']);
  });

  it('give the last parts of the second to a first one that is short, in their order', () => {
    expect(names(balance([part('a', 2)], [part('b', 8), part('c', 3), part('d', 2), part('e', 1)]))).toEqual([
      'acde',
      'b',
    ]);
  });

  it('never leave the second one empty', () => {
    expect(names(balance([], [part('b', 4)]))).toEqual(['', 'b']);
  });
});
