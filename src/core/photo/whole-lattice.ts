import { applyHomography, mapUnitSquare, shiftByCells, type Homography, type Quad } from './homography';
import type { Plane } from './pixels';
import { FINE_SAMPLES, isPlausible, measureCuts, measureLine, refine, SEEN } from './quad-score';

/** A square that fits some of a lattice, drawn out and moved until it lies over the whole of it. */
export const coverWhole = (lines: Plane, quad: Quad, cuts: number): Quad =>
  shiftBack(lines, widen(lines, quad, cuts), cuts);

/**
 * Where half of a lattice is bare, a square over the other half fits it in the eye of the score: every second of its
 * lines in one direction falls between two cuts and is not there. Such a square is drawn out to twice its width, over
 * each place where it may then lie, and the best of those is taken.
 */
function widen(lines: Plane, quad: Quad, cuts: number): Quad {
  let whole = quad;
  for (const across of [true, false]) {
    const measured = measureCuts(lines, whole, cuts);
    const own = across ? measured.slice(0, cuts) : measured.slice(cuts);
    if (!isEverySecond(own)) continue;
    const h = mapUnitSquare(whole);
    if (!h) continue;
    const half = (cuts - 1) / 2;
    const rivals = Array.from({ length: Math.floor(half) + 1 }, (_, before): Quad => {
      const [from, to] = [-before / half, 2 - before / half];
      const corners = across
        ? [
            [from, 0],
            [to, 0],
            [to, 1],
            [from, 1],
          ]
        : [
            [0, from],
            [1, from],
            [1, to],
            [0, to],
          ];
      return corners.map(([u, v]) => applyHomography(h, u!, v!)) as unknown as Quad;
    })
      .filter((rival) => isPlausible(rival, cuts))
      .map((rival) => refine(lines, rival, cuts, [2, 1, 0.5], FINE_SAMPLES))
      .sort((a, b) => b.score - a.score);
    whole = rivals[0]?.quad ?? whole;
  }
  return whole;
}

/** Lines beyond a square darker than this may belong to the lattice: another place is looked for. */
const STRAY_LINE = 0.15;

/** A square that lies one cell aside has a line of the lattice outside and takes the rim of the paint for a cut. */
function shiftBack(lines: Plane, quad: Quad, cuts: number): Quad {
  const ends = (own: Quad): boolean => measureBeyond(lines, own, cuts) <= STRAY_LINE;
  return ends(quad) ? quad : (findNeighbour(lines, quad, cuts, ends) ?? quad);
}

/** Of the squares a cell aside that may be the right one, that whose cuts are darkest; null where none may. */
function findNeighbour(lines: Plane, quad: Quad, cuts: number, isRight: (own: Quad) => boolean): Quad | null {
  const rivals = shiftByCells(quad, cuts - 1)
    .filter((rival) => isPlausible(rival, cuts))
    .map((rival) => refine(lines, rival, cuts, [1, 0.5], FINE_SAMPLES))
    .filter(({ quad: own }) => isRight(own))
    .sort((a, b) => b.score - a.score);
  return rivals[0]?.quad ?? null;
}

/** Lines at even places are there, most of those between them are not. */
function isEverySecond(measured: readonly number[]): boolean {
  const seen = (odd: number): number => measured.filter((value, k) => k % 2 === odd && value > SEEN).length;
  const [even, between] = [seen(0), seen(1)];
  return even >= Math.ceil(measured.length / 2) - 1 && between <= 1;
}

/**
 * How dark the lines are that lie where one cut more would be on each side, against the cuts themselves, 0–1: a lattice
 * ends, so lines that go on outside say that the square is not the whole of it.
 */
export function measureBeyond(lines: Plane, quad: Quad, cuts: number): number {
  const h = mapUnitSquare(quad);
  if (!h) return 1;
  const outside = measureAround(lines, h, 1 / (cuts - 1));
  const inside = measureCuts(lines, quad, cuts);
  const usual = inside.reduce((sum, value) => sum + value, 0) / inside.length;
  return Math.min(1, Math.max(...outside) / Math.max(1e-6, usual));
}

/** Means of a map along the four lines that run outside the square at a distance, in shares of its side. */
const measureAround = (map: Plane, h: Homography, distance: number): number[] =>
  [-distance, 1 + distance].flatMap((mark) => [
    measureLine(map, h, [mark, 0, mark, 1], FINE_SAMPLES),
    measureLine(map, h, [0, mark, 1, mark], FINE_SAMPLES),
  ]);

/** A third of a cell outside the outermost cuts there is coat, clear of grooves and of what flaked along them. */
const RIM_CELLS = 0.3;
/**
 * Logarithm of how many times as light one side of the rim may be as another by uneven light alone; on renders whose square
 * lies right it comes to 1.3 times at the most.
 */
const MOST_RIM_STEP = Math.log(1.7);

/** How much lighter the lightest side of the rim is than the darkest, in the logarithm of light; 0 where all are alike. */
function measureRimStep(brightness: Plane, quad: Quad, cuts: number): number {
  const h = mapUnitSquare(quad);
  if (!h) return Infinity;
  const sides = measureAround(brightness, h, RIM_CELLS / (cuts - 1));
  return Math.max(...sides) - Math.min(...sides);
}

/**
 * Around a lattice there is nothing but its coat. Where one side of the rim is of another shade than the rest, the square
 * lies a cell aside, over a coat whose cuts are gone with it: of its neighbours with an even rim the one whose cuts are
 * darkest is taken. Null where none has one.
 */
export function settleByRim(brightness: Plane, lines: Plane, quad: Quad, cuts: number): Quad | null {
  const isEven = (own: Quad): boolean => measureRimStep(brightness, own, cuts) <= MOST_RIM_STEP;
  return isEven(quad) ? quad : findNeighbour(lines, quad, cuts, isEven);
}
