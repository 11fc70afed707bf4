import { convertHexToLinearRgb, type LinearRgb } from '../colour';
import { makeRandom } from '../shared';
import { drawBetween, makeSmoothNoise } from './noise';

/** A cut lattice on a painted surface, in units of one square: the lattice spans 0 to `cuts − 1` each way. */
export interface LatticeScene {
  /** Cuts each way: 6 or 11. */
  cuts: number;
  coat: string;
  /** What shows where the coat has gone: the primer (left out: none) and the ground under it. */
  primer?: string;
  ground: string;
  /** Wood shows lines of grain, board and laminate do not. */
  grain: boolean;
  /** Area to be taken off, % of the lattice. */
  removedPct: number;
  /** Threads and hairs lying about. */
  threads: number;
  seed: number;
}

/** The truth of a scene: which fine squares of the lattice have lost their coat, and what share of each cell. */
export interface LatticeTruth {
  /** Fine squares a cell each way. */
  fine: number;
  /** 0 coated, 1 primer bare, 2 ground bare; rows from the top. */
  removed: Uint8Array;
  /** Share removed of each cell, 0–1, rows from the first corner. */
  cells: number[][];
  removedPct: number;
}

const FINE = 48;

/** Takes flakes off a lattice until the area is reached: at crossings first, along cuts, whole squares when it is much. */
export function drawTruth({ cuts, primer, removedPct, seed }: LatticeScene): LatticeTruth {
  const random = makeRandom(seed);
  const n = cuts - 1;
  const side = n * FINE;
  const removed = new Uint8Array(side * side);
  const wanted = Math.round((removedPct / 100) * side * side);
  let gone = 0;
  while (gone < wanted) {
    const depth = primer !== undefined && random() < 0.5 ? 1 : 2;
    gone += takeFlake(removed, side, n, depth, removedPct, random, wanted - gone);
  }
  const cells = Array.from({ length: n }, (_, row) =>
    Array.from({ length: n }, (_, column) => shareOfCell(removed, side, row, column)),
  );
  return { fine: FINE, removed, cells, removedPct: (100 * gone) / (side * side) };
}

function shareOfCell(removed: Uint8Array, side: number, row: number, column: number): number {
  let count = 0;
  for (let y = row * FINE; y < (row + 1) * FINE; y += 1) {
    for (let x = column * FINE; x < (column + 1) * FINE; x += 1) count += removed[y * side + x]! > 0 ? 1 : 0;
  }
  return count / (FINE * FINE);
}

/** One flake with a ragged outline, as long as something is left to take; returns how many fine squares went. */
function takeFlake(
  removed: Uint8Array,
  side: number,
  n: number,
  depth: number,
  removedPct: number,
  random: () => number,
  most: number,
): number {
  const heavy = removedPct > 20 && random() < 0.7;
  const whole = heavy && random() < 0.6;
  const alongCut = !heavy && random() < 0.5;
  const crossing = (): number => Math.floor(random() * (n + 1)) * FINE;
  const centre = whole
    ? [(Math.floor(random() * n) + 0.5) * FINE, (Math.floor(random() * n) + 0.5) * FINE]
    : alongCut
      ? [crossing(), random() * side]
      : [crossing(), crossing()];
  if (alongCut && random() < 0.5) centre.reverse();
  const radius = FINE * (whole ? drawBetween(random, 0.45, 0.75) : drawBetween(random, 0.12, heavy ? 0.6 : 0.3));
  const waves = Array.from({ length: 4 }, () => [drawBetween(random, 0, 0.18), random() * 2 * Math.PI] as const);
  let gone = 0;
  const reach = Math.ceil(radius * 1.9);
  const [cx, cy] = [centre[0]!, centre[1]!];
  for (let y = Math.max(0, Math.floor(cy - reach)); y < Math.min(side, cy + reach); y += 1) {
    for (let x = Math.max(0, Math.floor(cx - reach)); x < Math.min(side, cx + reach); x += 1) {
      const [dx, dy] = [x + 0.5 - cx, y + 0.5 - cy];
      const angle = Math.atan2(dy, dx);
      const edge = waves.reduce((sum, [size, turn], k) => sum + size * Math.cos((k + 2) * angle + turn), 1);
      // Whole squares are nearly square, flakes nearly round.
      const distance = whole ? Math.max(Math.abs(dx), Math.abs(dy)) * 1.1 : Math.hypot(dx, dy);
      if (distance > radius * edge || removed[y * side + x]! > 0 || gone >= most) continue;
      removed[y * side + x] = depth;
      gone += 1;
    }
  }
  return gone;
}

/** Colour of every place of the plane, in linear light. The patch of paint ends a little beyond the lattice. */
export function makeLatticeSurface(scene: LatticeScene, truth: LatticeTruth): (u: number, v: number) => LinearRgb {
  const random = makeRandom(scene.seed + 1);
  const n = scene.cuts - 1;
  const coat = convertHexToLinearRgb(scene.coat);
  const primer = convertHexToLinearRgb(scene.primer ?? scene.ground);
  const paintGround = makeGround(scene, random);
  const texture = makeSmoothNoise(scene.seed + 2);
  const cutHalf = drawBetween(random, 0.02, 0.035);
  const overruns = Array.from({ length: 2 * scene.cuts }, () => drawBetween(random, 0, 0.3));
  const rim = Array.from({ length: 4 }, () => drawBetween(random, 1.1, 2.5));
  const threads = Array.from({ length: scene.threads }, () => drawThread(n, random));
  const side = n * truth.fine;

  return (u, v) => {
    const onPatch = u > -rim[0]! && u < n + rim[1]! && v > -rim[2]! && v < n + rim[3]!;
    if (u > -2 && v > -2 && u < n + 2 && v < n + 2) {
      for (const thread of threads) if (thread.covers(u, v)) return thread.colour;
    }
    if (!onPatch) return paintGround(u, v);
    const inside = u >= 0 && u < n && v >= 0 && v < n;
    const state = inside ? truth.removed[Math.floor(v * truth.fine) * side + Math.floor(u * truth.fine)]! : 0;
    const stipple = 1 + 0.012 * texture(u * 23, v * 23);
    const bare = state === 0 ? coat : state === 1 ? primer : paintGround(u, v);
    const cut = isCut(u, overruns, v, n, cutHalf, 0) || isCut(v, overruns, u, n, cutHalf, scene.cuts);
    // A cut is a groove: dark, and less so where the coat beside it has gone.
    const shade = (cut ? (state === 0 ? 0.35 : 0.6) : 1) * stipple;
    return [bare[0] * shade, bare[1] * shade, bare[2] * shade];
  };
}

function isCut(across: number, overruns: readonly number[], along: number, n: number, half: number, from: number) {
  const nearest = Math.round(across);
  if (nearest < 0 || nearest > n || Math.abs(across - nearest) > half) return false;
  const over = overruns[from + nearest]!;
  return along > -over && along < n + over;
}

function makeGround({ ground, grain, seed }: LatticeScene, random: () => number): (u: number, v: number) => LinearRgb {
  const base = convertHexToLinearRgb(ground);
  if (!grain) return () => base;
  const noise = makeSmoothNoise(seed + 3);
  const turn = random() * Math.PI;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return (u, v) => {
    const shade = 1 + 0.16 * noise((u * c + v * s) * 0.7, (v * c - u * s) * 9);
    return [base[0] * shade, base[1] * shade, base[2] * shade];
  };
}

/** A hair or a thread of paint: a thin bent line across the lattice. */
function drawThread(n: number, random: () => number) {
  const [x, y] = [drawBetween(random, 0, n), drawBetween(random, 0, n)];
  const turn = random() * Math.PI;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const length = drawBetween(random, 0.5, 1.6);
  const bend = drawBetween(random, -0.25, 0.25);
  const half = drawBetween(random, 0.01, 0.022);
  const shade = random() < 0.5 ? 0.05 : 0.75;
  const colour: LinearRgb = [shade, shade, shade];
  return {
    colour,
    covers: (u: number, v: number): boolean => {
      const along = (u - x) * c + (v - y) * s;
      if (Math.abs(along) > length) return false;
      const across = (v - y) * c - (u - x) * s;
      return Math.abs(across - bend * along * along) < half;
    },
  };
}
