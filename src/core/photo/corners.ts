import { findDarkLines } from './line-map';
import { findPatches } from './patches';
import { applyHomography, isConvex, mapUnitSquare, UNIT_SQUARE, type Homography, type Quad } from './homography';
import { boxBlur, shrinkToBrightness, type Pixels, type Plane, type Point } from './pixels';

export interface FoundCorners {
  corners: Quad;
  /** Share of the expected cuts that are there, 0–1. */
  found: number;
  /**
   * How dark the lines are that lie where one cut more would be on each side, against the cuts themselves, 0–1: a
   * lattice ends, so lines that go on outside say that the square is not the whole of it.
   */
  beyond: number;
}

const WORKING_SIDE = 700;
const ANGLES = 180;
/** Lines of one direction seen from aside fan out by no more than this, degrees. */
const FAN = 14;
/** The best pairs of outermost lines kept in each direction and of each size, sizes a third apart. */
const PAIRS_KEPT = 5;
const SIZE_STEP = 1.35;
/** Pairs of directions looked at. */
const DIRECTIONS_KEPT = 5;
/** Squares moved into place on the blurred map and on the sharp one. */
const ROUGH_KEPT = 12;
const PATCHES_KEPT = 5;
const FINE_KEPT = 2;
/** What an outline that is seen counts for: lines alone leave open whether the square is a cell further. */
const PATCH_TRUST = 0.02;
/** Squares whose corners are all nearer than this are one, pixels of the shrunk picture. */
const SAME_PX = 12;

/** Cuts nearer than this are not told apart, pixels of the shrunk picture. */
const LEAST_GAP = 9;
/** Lines looked at beyond the number of cuts: grain, rims and hairs are among the strongest too. */
const MORE_PEAKS = 10;

interface Line {
  /** Direction of the normal, degrees 0–180 (may run over while a fan is followed), and distance from the middle, px. */
  angle: number;
  distance: number;
}

/**
 * The outer corners of a lattice of cuts, clockwise from the one nearest the top left; null when no lattice is seen.
 * `cuts` each way, 6 or 11. The picture is brought to about 700 px; places that look like thin dark lines vote for
 * straight lines (Hough 1962, Duda and Hart 1972); in two directions the pairs of outermost lines are kept between
 * which the right number of evenly spaced lines lies; of their crossings, and of the outlines of large patches, the square
 * is taken whose cuts are darkest against what lies between them, and its corners are moved until that is most.
 */
export function findCorners(pixels: Pixels, cuts: number): FoundCorners | null {
  const factor = Math.max(1, Math.round(Math.max(pixels.width, pixels.height) / WORKING_SIDE));
  const brightness = shrinkToBrightness(pixels, factor);
  const lines = findDarkLines(brightness);
  const votes = castVotes(lines);
  // First on a blurred map, where a square a few pixels off still gets its due, then on the sharp one.
  const soft = boxBlur(lines, 3);
  const known = new Map<number, Pair[]>();
  const pairsOf = (direction: number): Pair[] => {
    const pairs = known.get(direction) ?? listPairs(votes, direction, cuts);
    known.set(direction, pairs);
    return pairs;
  };
  const crossed = pickDirections(votes)
    .flatMap(([one, two]) => crossPairs(pairsOf(one), pairsOf(two), votes, soft, cuts))
    .sort((a, b) => b.score - a.score)
    .filter(keepsApart(SAME_PX, ROUGH_KEPT));
  const patches = findPatches(brightness)
    .filter((quad) => isPlausible(quad, cuts))
    .map((quad) => ({ quad, score: scoreQuad(soft, quad, cuts, FIRST_SAMPLES) }))
    .sort((a, b) => b.score - a.score)
    .filter(keepsApart(SAME_PX, PATCHES_KEPT));
  // The best few of each kind go on: a wrong square among many dark lines may well outdo a true patch at first.
  const best = [crossed, patches]
    .flatMap((list) =>
      list
        .map(({ quad }) => refine(soft, quad, cuts, [4, 2], ROUGH_SAMPLES))
        .sort((a, b) => b.score - a.score)
        .slice(0, FINE_KEPT)
        .map(({ quad }) => refine(lines, quad, cuts, [2, 1, 0.5, 0.25], FINE_SAMPLES))
        .map(({ quad, score }) => ({ quad, score: list === patches ? score + PATCH_TRUST : score })),
    )
    .sort((a, b) => b.score - a.score)[0];
  if (!best) return null;
  const whole = shiftBack(lines, widen(lines, best.quad, cuts), cuts);
  const scale = ({ x, y }: Point): Point => ({ x: (x + 0.5) * factor - 0.5, y: (y + 0.5) * factor - 0.5 });
  return {
    corners: fromTopLeft(whole.map(scale) as unknown as Quad),
    found: countFound(lines, whole, cuts),
    beyond: measureBeyond(lines, whole, cuts),
  };
}

/** Lets through so many squares, none with all corners near those of one before it. */
function keepsApart(near: number, most: number): (own: { quad: Quad }) => boolean {
  const kept: Quad[] = [];
  return ({ quad }) => {
    if (kept.length >= most) return false;
    const known = kept.some((other) => other.every(({ x, y }, i) => Math.hypot(quad[i]!.x - x, quad[i]!.y - y) < near));
    if (!known) kept.push(quad);
    return !known;
  };
}

/** Clockwise, beginning with the corner nearest the top left of the picture. */
function fromTopLeft(quad: Quad): Quad {
  const first = quad.reduce((least, { x, y }, i) => (x + y < quad[least]!.x + quad[least]!.y ? i : least), 0);
  return quad.map((_, i) => quad[(first + i) % 4]!) as unknown as Quad;
}

/**
 * Middle of the darkness. Distances are taken from there: for lines that cross near it, a small error of the angle does
 * not change the distance.
 */
function findMiddle({ width, height, values }: Plane): Point {
  let [sum, x, y] = [0, 0, 0];
  for (let i = 0; i < values.length; i += 1) {
    if (values[i]! < 0.3) continue;
    sum += values[i]!;
    x += (i % width) * values[i]!;
    y += Math.floor(i / width) * values[i]!;
  }
  return sum === 0 ? { x: width / 2, y: height / 2 } : { x: x / sum, y: y / sum };
}

interface Votes {
  counts: Float32Array;
  /** The most votes within a few degrees and pixels. */
  near: Float32Array;
  /** Distances run from −reach to +reach. */
  reach: number;
  span: number;
  middle: Point;
}

function castVotes({ width, height, values }: Plane): Votes {
  const reach = Math.ceil(Math.hypot(width, height)) + 2;
  const span = 2 * reach + 1;
  const counts = new Float32Array(ANGLES * span);
  const middle = findMiddle({ width, height, values });
  const cosines = Float64Array.from({ length: ANGLES }, (_, a) => Math.cos((a * Math.PI) / 180));
  const sines = Float64Array.from({ length: ANGLES }, (_, a) => Math.sin((a * Math.PI) / 180));
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const weight = values[y * width + x]!;
      if (weight < 0.35) continue;
      const [dx, dy] = [x - middle.x, y - middle.y];
      for (let a = 0, row = reach; a < ANGLES; a += 1, row += span) {
        // Cutting off the fraction of a positive number rounds it, and quicker.
        counts[row + ((dx * cosines[a]! + dy * sines[a]! + 4096.5) | 0) - 4096]! += weight;
      }
    }
  }
  return { counts, near: takeMost(counts, span), reach, span, middle };
}

/** Cuts are scored by hand and seen from aside: none lies just where even spacing would put it. */
const NEAR_DEGREES = 2;
const NEAR_PX = 4;

function takeMost(counts: Float32Array, span: number): Float32Array {
  const along = new Float32Array(counts.length);
  const out = new Float32Array(counts.length);
  for (let i = 0; i < counts.length; i += 1) {
    let most = 0;
    for (let k = Math.max(0, i - NEAR_PX); k <= Math.min(counts.length - 1, i + NEAR_PX); k += 1) {
      if (counts[k]! > most) most = counts[k]!;
    }
    along[i] = most;
  }
  for (let i = 0; i < counts.length; i += 1) {
    for (let a = -NEAR_DEGREES; a <= NEAR_DEGREES; a += 1) out[i] = Math.max(out[i]!, along[i + a * span] ?? 0);
  }
  return out;
}

/** Votes for a line, with those of its neighbours a pixel away. */
function votesFor(votes: Votes, line: Line): number {
  const at = placeOf(votes, line);
  const { counts } = votes;
  return at === null ? 0 : counts[at - 1]! * 0.5 + counts[at]! + counts[at + 1]! * 0.5;
}

function votesNear(votes: Votes, line: Line): number {
  const at = placeOf(votes, line);
  return at === null ? 0 : votes.near[at]!;
}

function placeOf({ reach, span }: Votes, { angle, distance }: Line): number | null {
  let a = Math.round(angle);
  let d = Math.round(distance);
  if (a < 0 || a >= ANGLES) {
    a = ((a % ANGLES) + ANGLES) % ANGLES;
    d = -d;
  }
  return Math.abs(d) >= reach - 1 ? null : a * span + d + reach;
}

/** The pairs of directions, well apart, in which the votes gather into few lines; best first. */
function pickDirections(votes: Votes): (readonly [number, number])[] {
  const sharpness = Array.from({ length: ANGLES }, (_, a) => {
    let sum = 0;
    for (let i = 0; i < votes.span; i += 1) sum += votes.counts[a * votes.span + i]! ** 2;
    return sum;
  });
  const total = sharpness.reduce((sum, value) => sum + value, 0) / ANGLES;
  const smooth = sharpness.map((_, a) => {
    let sum = 0;
    for (let k = -4; k <= 4; k += 1) sum += sharpness[(a + k + ANGLES) % ANGLES]! * (5 - Math.abs(k));
    return sum / 25 - total;
  });
  const pairs: { pair: readonly [number, number]; score: number }[] = [];
  for (let a = 0; a < ANGLES; a += 2) {
    for (let b = a + 50; b <= a + 130 && b < ANGLES; b += 2) {
      pairs.push({ pair: [a, b], score: Math.min(smooth[a]!, smooth[b]!) });
    }
  }
  pairs.sort((x, y) => y.score - x.score);
  const kept: (readonly [number, number])[] = [];
  for (const { pair } of pairs) {
    if (kept.every((other) => Math.abs(other[0] - pair[0]) > 10 || Math.abs(other[1] - pair[1]) > 10)) kept.push(pair);
    if (kept.length === DIRECTIONS_KEPT) break;
  }
  return kept;
}

interface Pair {
  first: Line;
  last: Line;
  score: number;
}

/** The strongest lines of one direction, no two the same. */
function listPeaks(votes: Votes, direction: number, most: number): Line[] {
  const lines: (Line & { weight: number })[] = [];
  for (let angle = direction - FAN; angle <= direction + FAN; angle += 1) {
    for (let distance = -votes.reach + 2; distance < votes.reach - 2; distance += 1) {
      const weight = votesFor(votes, { angle, distance });
      if (weight > 0) lines.push({ angle, distance, weight });
    }
  }
  lines.sort((a, b) => b.weight - a.weight);
  const kept: Line[] = [];
  for (const line of lines) {
    const apart = (other: Line): boolean => Math.abs(other.distance - line.distance) > LEAST_GAP;
    if (kept.every(apart)) kept.push(line);
    if (kept.length >= most) break;
  }
  return kept.sort((a, b) => a.distance - b.distance);
}

/** Spacing seen from aside grows or shrinks from line to line: how far the middle one is off the middle. */
const SKEWS = [-0.12, -0.06, 0, 0.06, 0.12] as const;

/**
 * Outermost cuts that are not seen as lines: where all is gone inside and the coat outside is as dark as the groove, a
 * cut is a step and no line. How many before the first line seen and after the last.
 */
// prettier-ignore
const HIDDEN: readonly (readonly [number, number])[] = [[0, 0], [1, 0], [0, 1], [1, 1]];

function scorePair(votes: Votes, { first, last }: Omit<Pair, 'score'>, cuts: number, cap: number): number {
  const scores = SKEWS.map((skew) => {
    let sum = 0;
    for (let k = 0; k < cuts; k += 1) {
      const even = k / (cuts - 1);
      const share = even + 4 * skew * even * (1 - even);
      const angle = first.angle + (last.angle - first.angle) * share;
      const distance = first.distance + (last.distance - first.distance) * share;
      sum += Math.min(cap, votesNear(votes, { angle, distance }));
    }
    return sum;
  });
  return Math.max(...scores);
}

function listPairs(votes: Votes, direction: number, cuts: number): Pair[] {
  const peaks = listPeaks(votes, direction, cuts + MORE_PEAKS);
  const cap = 0.6 * Math.max(0, ...peaks.map((line) => votesNear(votes, line)));
  const pairs: Pair[] = [];
  peaks.forEach((one, i) => {
    for (const other of peaks.slice(i + 1)) {
      if (Math.abs(other.angle - one.angle) > FAN) continue;
      for (const [before, after] of HIDDEN) {
        const seen = cuts - 1 - before - after;
        if ((other.distance - one.distance) / seen < LEAST_GAP) continue;
        const between = (share: number): Line => ({
          angle: one.angle + (other.angle - one.angle) * share,
          distance: one.distance + (other.distance - one.distance) * share,
        });
        const pair = { first: between(-before / seen), last: between(1 + after / seen) };
        pairs.push({ ...pair, score: scorePair(votes, pair, cuts, cap) });
      }
    }
  });
  // The best of each size: lines close together always find something dark near them and would crowd out the rest.
  const kept = new Map<number, number>();
  return pairs
    .sort((a, b) => b.score - a.score)
    .filter(({ first, last }) => {
      const size = Math.round(Math.log(Math.abs(last.distance - first.distance)) / Math.log(SIZE_STEP));
      kept.set(size, (kept.get(size) ?? 0) + 1);
      return kept.get(size)! <= PAIRS_KEPT;
    });
}

function crossPairs(first: readonly Pair[], second: readonly Pair[], votes: Votes, lines: Plane, cuts: number) {
  return first.flatMap((a) =>
    second.flatMap((b) => {
      const corners = [cross(a.first, b.first), cross(a.last, b.first), cross(a.last, b.last), cross(a.first, b.last)];
      if (corners.some((corner) => corner === null)) return [];
      const placed = corners.map((corner) => ({ x: corner!.x + votes.middle.x, y: corner!.y + votes.middle.y }));
      const quad = (isConvex(placed as unknown as Quad) ? placed : placed.reverse()) as unknown as Quad;
      return isPlausible(quad, cuts) ? [{ quad, score: scoreQuad(lines, quad, cuts, FIRST_SAMPLES) }] : [];
    }),
  );
}

/** Not folded, not a sliver, and its cuts apart: all of them on one dark line would score best of all. */
function isPlausible(quad: Quad, cuts: number): boolean {
  const sides = quad.map(({ x, y }, i) => Math.hypot(quad[(i + 1) % 4]!.x - x, quad[(i + 1) % 4]!.y - y));
  const shortest = Math.min(...sides);
  return isConvex(quad) && shortest > LEAST_GAP * (cuts - 1) && shortest > LEAST_RATIO * Math.max(...sides);
}

/** Shortest side to longest of a square seen from 35° aside and turned any way, with something to spare. */
const LEAST_RATIO = 0.45;

function cross(a: Line, b: Line): Point | null {
  const [ca, sa] = [Math.cos((a.angle * Math.PI) / 180), Math.sin((a.angle * Math.PI) / 180)];
  const [cb, sb] = [Math.cos((b.angle * Math.PI) / 180), Math.sin((b.angle * Math.PI) / 180)];
  const det = ca * sb - cb * sa;
  if (Math.abs(det) < 0.3) return null;
  return { x: (a.distance * sb - b.distance * sa) / det, y: (b.distance * ca - a.distance * cb) / det };
}

/** Samples along one cut: few while many squares are weighed, enough to see a gap when it matters. */
const FIRST_SAMPLES = 10;
const ROUGH_SAMPLES = 15;
const FINE_SAMPLES = 26;

/** How dark each cut of a square is on the map of lines, 0–1; first those down, then those across. */
function measureCuts(lines: Plane, quad: Quad, cuts: number): number[] {
  const h = mapUnitSquare(quad);
  if (!h) return [];
  return Array.from({ length: 2 * cuts }, (_, k) => {
    const mark = (k % cuts) / (cuts - 1);
    return measureLine(lines, h, k < cuts ? [mark, 0, mark, 1] : [0, mark, 1, mark], FINE_SAMPLES);
  });
}

/** Mean of the map along a line of the unit square, place by place between pixels; outside the picture counts as 0. */
function measureLine(
  { width, height, values }: Plane,
  h: Homography,
  [u0, v0, u1, v1]: readonly [number, number, number, number],
  samples: number,
): number {
  let sum = 0;
  for (let k = 0; k < samples; k += 1) {
    const t = (k + 0.5) / samples;
    const u = u0 + (u1 - u0) * t;
    const v = v0 + (v1 - v0) * t;
    const w = h[6]! * u + h[7]! * v + 1;
    const x = (h[0]! * u + h[1]! * v + h[2]!) / w;
    const y = (h[3]! * u + h[4]! * v + h[5]!) / w;
    if (!(x >= 0 && y >= 0 && x < width - 1 && y < height - 1)) continue;
    // Cutting off the fraction of a number that is not negative rounds it down, and quicker.
    const left = x | 0;
    const top = y | 0;
    const fx = x - left;
    const i = top * width + left;
    const above = values[i]! * (1 - fx) + values[i + 1]! * fx;
    sum += above + (values[i + width]! * (1 - fx) + values[i + width + 1]! * fx - above) * (y - top);
  }
  return sum / samples;
}

/**
 * How much darker the cuts of a square are than the lines midway between them. Darkness alone is no sign: a small square
 * set down where many lines are finds some on each of its cuts, and as many between them.
 */
function scoreQuad(lines: Plane, quad: Quad, cuts: number, samples: number): number {
  const h = mapUnitSquare(quad);
  if (!h) return 0;
  // The square root keeps one missing cut from being made up for by another very dark one.
  const mean = (count: number, first: number): number => {
    let sum = 0;
    for (let k = 0; k < count; k += 1) {
      const mark = first + k / (cuts - 1);
      for (const ends of [
        [mark, 0, mark, 1],
        [0, mark, 1, mark],
      ] as const)
        sum += Math.sqrt(measureLine(lines, h, ends, samples));
    }
    return sum / (2 * count);
  };
  return mean(cuts, 0) - BETWEEN_WEIGHT * mean(cuts - 1, 0.5 / (cuts - 1));
}

const BETWEEN_WEIGHT = 0.7;

function countFound(lines: Plane, quad: Quad, cuts: number): number {
  const measured = measureCuts(lines, quad, cuts);
  return measured.filter((value) => value > SEEN).length / (2 * cuts);
}

/** A cut this dark on the map of lines is there. */
const SEEN = 0.15;

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
const MOST_BEYOND = 0.15;

/** A square that lies one cell aside has a line of the lattice outside and takes the rim of the paint for a cut. */
function shiftBack(lines: Plane, quad: Quad, cuts: number): Quad {
  if (measureBeyond(lines, quad, cuts) <= MOST_BEYOND) return quad;
  const h = mapUnitSquare(quad);
  if (!h) return quad;
  const cell = 1 / (cuts - 1);
  const rivals = [-cell, 0, cell]
    .flatMap((du) => [-cell, 0, cell].map((dv): readonly [number, number] => [du, dv]))
    .filter(([du, dv]) => du !== 0 || dv !== 0)
    .map(([du, dv]) => UNIT_SQUARE.map(({ x, y }) => applyHomography(h, x + du, y + dv)) as unknown as Quad)
    .filter((rival) => isPlausible(rival, cuts))
    .map((rival) => refine(lines, rival, cuts, [1, 0.5], FINE_SAMPLES))
    .filter(({ quad: own }) => measureBeyond(lines, own, cuts) <= MOST_BEYOND)
    .sort((a, b) => b.score - a.score);
  return rivals[0]?.quad ?? quad;
}

/** Lines at even places are there, most of those between them are not. */
function isEverySecond(measured: readonly number[]): boolean {
  const seen = (odd: number): number => measured.filter((value, k) => k % 2 === odd && value > SEEN).length;
  const [even, between] = [seen(0), seen(1)];
  return even >= Math.ceil(measured.length / 2) - 1 && between <= 1;
}

function measureBeyond(lines: Plane, quad: Quad, cuts: number): number {
  const h = mapUnitSquare(quad);
  if (!h) return 1;
  const step = 1 / (cuts - 1);
  const outside = [-step, 1 + step].flatMap((mark) => [
    measureLine(lines, h, [mark, 0, mark, 1], FINE_SAMPLES),
    measureLine(lines, h, [0, mark, 1, mark], FINE_SAMPLES),
  ]);
  const inside = measureCuts(lines, quad, cuts);
  const usual = inside.reduce((sum, value) => sum + value, 0) / inside.length;
  return Math.min(1, Math.max(...outside) / Math.max(1e-6, usual));
}

const MOST_ROUNDS = 6;

/** Moves the corners one at a time, by less and less, as long as more darkness comes under the cuts. */
function refine(
  lines: Plane,
  start: Quad,
  cuts: number,
  steps: readonly number[],
  samples: number,
): { quad: Quad; score: number } {
  let quad = start.map((corner) => ({ ...corner })) as unknown as Quad;
  let score = scoreQuad(lines, quad, cuts, samples);
  for (const step of steps) {
    for (let round = 0, moved = true; moved && round < MOST_ROUNDS; round += 1) {
      moved = false;
      for (let corner = 0; corner < 4; corner += 1) {
        for (const [dx, dy] of MOVES) {
          const next = quad.map((point, i) =>
            i === corner ? { x: point.x + dx * step, y: point.y + dy * step } : point,
          ) as unknown as Quad;
          const better = scoreQuad(lines, next, cuts, samples);
          if (better <= score + 1e-9 || !isPlausible(next, cuts)) continue;
          [quad, score, moved] = [next, better, true];
        }
      }
    }
  }
  return { quad, score };
}

// prettier-ignore
const MOVES: readonly (readonly [number, number])[] = [[1, 0], [-1, 0], [0, 1], [0, -1], [1, 1], [-1, -1], [1, -1], [-1, 1]];
