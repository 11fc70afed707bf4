import { makeRandom } from '../shared';
import { canTell, estimateScatter, shrinkGroup } from './shrink';

describe('how groups scatter', () => {
  // By hand: groups 4 6 | 8 10 | 12 14, means 5 9 13, grand 9; within 6 / 3 = 2; between groups 2 · 32 / 2 = 32, so
  // (32 − 2) / 2 = 15 about the whole.
  it('is told by the analysis of variance', () => {
    const scatter = estimateScatter([
      [4, 6],
      [8, 10],
      [12, 14],
    ])!;
    expect(scatter.within).toBeCloseTo(2, 12);
    expect(scatter.between).toBeCloseTo(15, 12);
    expect(scatter.grand).toBeCloseTo(9, 12);
    const first = shrinkGroup([4, 6], scatter);
    // Drawn toward the whole by 1 / (15 + 1): 15/16 · 5 + 1/16 · 9.
    expect(first.shrunk).toBeCloseTo(5.25, 12);
    expect(first.low).toBeLessThan(first.shrunk);
  });

  it('is unknown with one group, or where none has two', () => {
    expect(estimateScatter([[1, 2, 3]])).toBeNull();
    expect(estimateScatter([[1], [2]])).toBeNull();
    expect(estimateScatter([])).toBeNull();
  });

  it('leaves groups that are alike at the whole, near enough', () => {
    const scatter = estimateScatter([
      [1, 9],
      [2, 8],
      [3, 7],
    ])!;
    expect(scatter.between).toBe(0);
    expect(Math.abs(shrinkGroup([1, 9], scatter).shrunk - 5)).toBeLessThan(1e-9);
  });
});

describe('intervals', () => {
  const normal = (random: () => number): number =>
    Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

  it('hold the truth about nine times in ten, and pooling is nearer to it than the plain mean', () => {
    const random = makeRandom(11);
    let [held, all, offShrunk, offPlain] = [0, 0, 0, 0];
    for (let shop = 0; shop < 400; shop += 1) {
      const between = 2 + 4 * random();
      const truths = Array.from({ length: 4 + Math.floor(4 * random()) }, () => 14 + between * normal(random));
      const groups = truths.map((truth) =>
        Array.from({ length: 3 + Math.floor(5 * random()) }, () => truth + 6 * normal(random)),
      );
      const scatter = estimateScatter(groups)!;
      groups.forEach((values, i) => {
        const { mean, shrunk, low, high } = shrinkGroup(values, scatter);
        all += 1;
        held += low <= truths[i]! && truths[i]! <= high ? 1 : 0;
        offShrunk += (shrunk - truths[i]!) ** 2;
        offPlain += (mean - truths[i]!) ** 2;
      });
    }
    expect(held / all).toBeGreaterThan(0.84);
    expect(held / all).toBeLessThan(0.95);
    expect(offShrunk).toBeLessThan(0.9 * offPlain);
  });

  it('tell groups apart only where they lie well apart', () => {
    const group = (shrunk: number, half: number) => ({
      count: 5,
      mean: shrunk,
      shrunk,
      low: shrunk - half,
      high: shrunk + half,
    });
    expect(canTell(group(20, 3), group(10, 3))).toBe(true);
    expect(canTell(group(20, 6), group(14, 6))).toBe(false);
    expect(canTell(group(20, 3), group(20, 3))).toBe(false);
  });
});
