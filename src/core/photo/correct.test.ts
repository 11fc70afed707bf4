import { confirmRow, correctLattice, isRowConfirmed, turnSquare } from './correct';

const cells = Array.from({ length: 5 }, () => [0, 0, 0.4, 0, 0]);
const faulty = { cells, confidence: 0, usable: false };
const good = { cells, confidence: 0.9, usable: true };
const confirmAll = () =>
  cells.reduce((confirmed, _row, r) => confirmRow(confirmed, cells, r), new Map<number, number>());

describe('a lattice put right by eye', () => {
  it('keeps its faults after one square is tapped', () => {
    const touched = turnSquare(new Map(), cells, 0);
    expect(correctLattice(faulty, touched)).toMatchObject({ usable: false, confidence: 0, unconfirmed: 24 });
  });

  it('is the owner’s own reading once every square was confirmed', () => {
    expect(correctLattice(faulty, confirmAll())).toMatchObject({ usable: true, confidence: 1, unconfirmed: 0 });
  });

  it('has the area of the squares as they now are (by hand: 5 × 0.4 of 25 = 8 %, one more whole 12 %)', () => {
    expect(correctLattice(good, new Map())).toMatchObject({ removedPct: 8, isoClass: 2, astm: '3B', usable: true });
    expect(correctLattice(good, turnSquare(new Map(), cells, 0))).toMatchObject({ removedPct: 12, confidence: 0.9 });
  });

  it('is not to be used while the class is a guess', () => {
    expect(correctLattice({ ...good, confidence: 0.4 }, new Map()).usable).toBe(false);
  });

  it('turns a square and turns it back', () => {
    const bare = turnSquare(new Map(), cells, 3);
    expect(bare.get(3)).toBe(1);
    expect(turnSquare(bare, cells, 3).get(3)).toBe(0);
  });

  it('confirms a row without changing squares that were put right', () => {
    const row = confirmRow(turnSquare(new Map(), cells, 2), cells, 0);
    expect([...row]).toEqual([
      [2, 1],
      [0, 0],
      [1, 0],
      [3, 0],
      [4, 0],
    ]);
    expect([isRowConfirmed(row, cells, 0), isRowConfirmed(row, cells, 1)]).toEqual([true, false]);
  });
});
