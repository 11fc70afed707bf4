import { findDarkLines } from './line-map';
import { findPatches } from './patches';
import { isConvex, type Quad } from './homography';
import { boxBlur, shrinkToBrightness, type Pixels, type Plane, type Point } from './pixels';
import {
  countFound,
  FINE_SAMPLES,
  FIRST_SAMPLES,
  isPlausible,
  LEAST_GAP,
  refine,
  ROUGH_SAMPLES,
  scoreQuad,
} from './quad-score';
import { coverWhole, measureBeyond, settleByRim } from './whole-lattice';

export interface FoundCorners {
  corners: Quad;
  /** Share of the expected cuts that are there, 0–1. */
  found: number;
  /** How dark lines go on outside (`measureBeyond`), 0–1. */
  beyond: number;
  /** What lies around the square is not one coat on all sides. */
  uneven: boolean;
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
  const covered = coverWhole(lines, best.quad, cuts);
  const settled = settleByRim(brightness, lines, covered, cuts);
  const whole = settled ?? covered;
  const scale = ({ x, y }: Point): Point => ({ x: (x + 0.5) * factor - 0.5, y: (y + 0.5) * factor - 0.5 });
  return {
    corners: fromTopLeft(whole.map(scale) as unknown as Quad),
    found: countFound(lines, whole, cuts),
    beyond: measureBeyond(lines, whole, cuts),
    uneven: settled === null,
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

function cross(a: Line, b: Line): Point | null {
  const [ca, sa] = [Math.cos((a.angle * Math.PI) / 180), Math.sin((a.angle * Math.PI) / 180)];
  const [cb, sb] = [Math.cos((b.angle * Math.PI) / 180), Math.sin((b.angle * Math.PI) / 180)];
  const det = ca * sb - cb * sa;
  if (Math.abs(det) < 0.3) return null;
  return { x: (a.distance * sb - b.distance * sa) / det, y: (b.distance * ca - a.distance * cb) / det };
}
