import { convertHexToLinearRgb, convertLinearRgbToLab, type Lab } from '../colour';
import { CLASS_LIMITS } from '../scales';
import { findCorners } from './corners';
import { BURNT, evenOut, fitLight, flatten, isRim, luminanceAt, type Flat } from './flatten';
import { estimateTilt, isConvex, type Quad } from './homography';
import { linearOfByte, median, quantile, type Pixels } from './pixels';
import { closeGaps, openThreads, type Mask } from './mask';

export interface LatticeOptions {
  /** Cuts each way: 6 (25 squares) or 11 (100 squares). */
  cuts: 6 | 11;
  /** Corners of the outermost cuts, clockwise from the top left, in pixels; left out: found in the picture. */
  corners?: Quad;
  /** The coat's own colour, `#rrggbb`; left out: the colour of the rim around the lattice. */
  coat?: string;
}

/** Why a picture cannot be read, worst first. */
export type PictureFault =
  | 'no_lattice'
  | 'corners_wrong'
  | 'out_of_frame'
  | 'too_small'
  | 'tilted'
  | 'too_dark'
  | 'burnt_out'
  | 'glare'
  | 'blurred'
  | 'coat_not_seen'
  | 'too_alike';

export interface LatticeReading {
  removedPct: number;
  /** Share removed of each cell, 0–1; rows from the first corner. */
  cells: number[][];
  corners: Quad | null;
  /** Standard error of `removedPct`, points. */
  errorPct: number;
  faults: PictureFault[];
  /** Share of the cuts that were found, 0–1; 1 where the corners were given. */
  found: number;
}

/*
 * Limits, set on pictures of the simulated camera so that what it made unreadable is refused and what it made within
 * its stated range is not.
 */
const LEAST_PICTURE_PX = 64;
const LEAST_FOUND = 0.6;
const LEAST_FOUND_WHOLE = 0.85;
/** Lines outside, against the cuts: the rim of the paint, a cell away, comes to a third at most where the square lies right. */
const MOST_BEYOND = 0.33;
const LEAST_CELL_PX = 12;
const MOST_TILT_DEG = 33;
/** The brightest part of the whole picture, linear light: black paint is dark, but not all that lies around it. */
const LEAST_LIGHT = 0.02;
const MOST_GLARE = 0.02;
const MOST_BLUR_CELLS = 0.13;
const LEAST_CONTRAST = 9;
/** A margin along each cut that is not looked at, in cells: the groove, its burr and its blur, as wide as it is seen. */
const FIRST_MARGIN = 0.07;
const LEAST_MARGIN = 0.05;
const MOST_MARGIN = 0.12;
/** Lines thinner than this are hairs and threads, not flakes (cells). */
const THREAD = 0.075;

/** The area removed of a cut lattice out of a photograph, cell by cell, and whether the picture is good enough. */
export function readLattice(pixels: Pixels, options: LatticeOptions): LatticeReading {
  const n = options.cuts - 1;
  if (Math.min(pixels.width, pixels.height) < LEAST_PICTURE_PX) return refuse('too_small', options.corners ?? null, n);
  const found = options.corners
    ? { corners: options.corners, found: 1, beyond: 0, uneven: false }
    : findCorners(pixels, options.cuts);
  if (!found) return refuse('no_lattice', null, n);
  const { corners } = found;
  if (!isConvex(corners)) return refuse('corners_wrong', corners, n);
  const flat = flatten(pixels, corners, n);
  if (!flat) return refuse('corners_wrong', corners, n);

  const faults: PictureFault[] = [];
  if (found.found < LEAST_FOUND || found.beyond > MOST_BEYOND || found.uneven) faults.push('no_lattice');
  if (isOutOfFrame(flat)) faults.push('out_of_frame');
  if (shortestSide(corners) / n < LEAST_CELL_PX) faults.push('too_small');
  if (estimateTilt(corners, pixels.width, pixels.height) > MOST_TILT_DEG) faults.push('tilted');
  if (measureBrightest(pixels) < LEAST_LIGHT) faults.push('too_dark');
  const reading = readCells(flat, options, faults);
  // In a coat that is all but whole every cut is a dark line: one that is missing is missing because the square lies wrong.
  if (reading.removedPct <= CLASS_LIMITS[1] && found.found < LEAST_FOUND_WHOLE && !faults.includes('no_lattice'))
    faults.unshift('no_lattice');
  return { corners, found: found.found, ...reading, faults };
}

const refuse = (fault: PictureFault, corners: Quad | null, n: number): LatticeReading => ({
  removedPct: 0,
  cells: Array.from({ length: n }, () => Array.from({ length: n }, () => 0)),
  corners,
  errorPct: 100,
  faults: [fault],
  found: 0,
});

const shortestSide = (quad: Quad): number =>
  Math.min(...quad.map(({ x, y }, i) => Math.hypot(quad[(i + 1) % 4]!.x - x, quad[(i + 1) % 4]!.y - y)));

function isOutOfFrame(flat: Flat): boolean {
  for (let y = flat.rim; y < flat.side - flat.rim; y += 4) {
    for (let x = flat.rim; x < flat.side - flat.rim; x += 4) if (flat.planes[0][y * flat.side + x]! < 0) return true;
  }
  return false;
}

function readCells(flat: Flat, { coat: known }: LatticeOptions, faults: PictureFault[]) {
  const n = flat.cells;
  const nothing = { removedPct: 0, errorPct: 100, cells: refuse('no_lattice', null, n).cells };
  let field = fitLight(flat, (x, y) => isRim(flat, x, y));
  if (!field) {
    faults.push('out_of_frame');
    return nothing;
  }
  let colours = evenOut(flat, field);
  let coat = findCoat(flat, colours, known);
  let split = separate(flat, colours, coat, FIRST_MARGIN);
  // The coat inside the lattice tells more of the light than the rim alone.
  const inside = split.mask;
  field =
    fitLight(
      flat,
      (x, y) => isRim(flat, x, y) || (isInterior(flat, x, y, FIRST_MARGIN) && inside.bits[y * flat.side + x] === 0),
    ) ?? field;
  colours = evenOut(flat, field);
  coat = findCoat(flat, colours, known);
  const blur = measureBlur(flat, colours, split.mask);
  split = separate(flat, colours, coat, Math.max(LEAST_MARGIN, Math.min(MOST_MARGIN, 0.02 + 1.2 * blur)));

  if (coat.burnt > 0.3) faults.push('burnt_out');
  const shine = measureGlare(flat);
  if (shine > MOST_GLARE && coat.burnt <= 0.3) faults.push('glare');
  if (known !== undefined && coat.strange) faults.push('coat_not_seen');
  if (blur > MOST_BLUR_CELLS) faults.push('blurred');

  const cells = Array.from({ length: n }, (_, row) =>
    Array.from({ length: n }, (_, column) => shareOf(flat, split.mask, row, column)),
  );
  const removedPct = (100 * cells.flat().reduce((sum, share) => sum + share, 0)) / (n * n);
  const quiet = removedPct < NOISE_FLOOR_PCT;
  // Specks that hardly differ from a coat that is whole are its own shade, and no ground that looks like it.
  if (split.contrast < LEAST_CONTRAST && !quiet) faults.push('too_alike');
  return {
    removedPct: quiet ? 0 : removedPct,
    cells: quiet ? nothing.cells : cells,
    errorPct: estimateError(removedPct, split.contrast / coat.spread),
  };
}

/** Less than this of the lattice is specks of dust and noise, % (set on clean lattices of the simulated camera). */
const NOISE_FLOOR_PCT = 0.5;

/** Grows with what is removed, least where nothing or all is, and with noise against contrast (fitted to renders). */
const estimateError = (removedPct: number, clearness: number): number =>
  0.25 + 0.035 * Math.sqrt(removedPct * (100 - removedPct)) + 4 / Math.max(2, clearness);

interface Coat extends Lab {
  /** Spread of the coat's own places around it, ΔE. */
  spread: number;
  /** Share of the rim that is burnt out, 0–1. */
  burnt: number;
  /** The rim is far from the colour the coat is known to have. */
  strange: boolean;
}

/** White balance moves a known colour about: only farther than this is another colour (ΔE, estimate). */
const STRANGE = 30;

function findCoat(flat: Flat, colours: Float32Array, known: string | undefined): Coat {
  const rim: number[] = [];
  let burnt = 0;
  for (let y = 0; y < flat.side; y += 2) {
    for (let x = 0; x < flat.side; x += 2) {
      const i = y * flat.side + x;
      if (!isRim(flat, x, y) || flat.planes[0][i]! < 0) continue;
      rim.push(i);
      if (luminanceAt(flat, i) > BURNT) burnt += 1;
    }
  }
  const middle = (channel: number): number => median(rim.map((i) => colours[i * 3 + channel]!));
  const colour = { l: middle(0), a: middle(1), b: middle(2) };
  const spread = 1.48 * median(rim.map((i) => distanceTo(colours, i, colour)));
  const wanted = known ? convertLinearRgbToLab(convertHexToLinearRgb(known)) : null;
  const off = wanted ? Math.hypot(wanted.l - colour.l, wanted.a - colour.a, wanted.b - colour.b) : 0;
  return { ...colour, spread: Math.max(0.8, spread), burnt: burnt / Math.max(1, rim.length), strange: off > STRANGE };
}

const distanceTo = (colours: Float32Array, i: number, { l, a, b }: Lab): number =>
  Math.hypot(colours[i * 3]! - l, colours[i * 3 + 1]! - a, colours[i * 3 + 2]! - b);

/** In a cell, away from its cuts. */
function isInterior({ side, rim, cell }: Flat, x: number, y: number, margin: number): boolean {
  if (x < rim || y < rim || x >= side - rim || y >= side - rim) return false;
  const [u, v] = [((x - rim + 0.5) / cell) % 1, ((y - rim + 0.5) / cell) % 1];
  return u > margin && u < 1 - margin && v > margin && v < 1 - margin;
}

interface Split {
  mask: Mask;
  /** Between the coat and the nearest thing that showed where it had gone, ΔE; large where nothing had. */
  contrast: number;
}

/** How far from the coat a place must be before it is asked whether it is bare: the coat's own spread and a step of shade. */
const leastDistance = (spread: number): number => Math.max(6, 4.5 * spread);
const SAMPLE = 1200;
/** Fewer places than this share that differ are specks; they are no colour of their own. */
const LEAST_SHARE = 0.002;

/** Coated or bare, place by place: the colours that are not the coat's are gathered, and each place goes to the nearest. */
function separate(flat: Flat, colours: Float32Array, coat: Coat, margin: number): Split {
  const { side } = flat;
  const bits = new Uint8Array(side * side);
  const limit = leastDistance(coat.spread);
  const strangers: number[] = [];
  let looked = 0;
  for (let y = flat.rim; y < side - flat.rim; y += 1) {
    for (let x = flat.rim; x < side - flat.rim; x += 1) {
      if (!isInterior(flat, x, y, margin)) continue;
      looked += 1;
      const i = y * side + x;
      if (distanceTo(colours, i, coat) > limit) strangers.push(i);
    }
  }
  if (strangers.length < LEAST_SHARE * looked) return { mask: { side, bits }, contrast: Infinity };
  const bare = gatherColours(strangers, colours, coat);
  const coated = toLinear(coat.l, coat.a, coat.b);
  const uncoated = bare.map(({ l, a, b }) => toLinear(l, a, b));
  for (let y = flat.rim; y < side - flat.rim; y += 1) {
    for (let x = flat.rim; x < side - flat.rim; x += 1) {
      // The margin along a cut takes the state of the nearest place beyond it in the same cell.
      const i = toInterior(flat, y, margin) * side + toInterior(flat, x, margin);
      const here = toLinear(colours[i * 3]!, colours[i * 3 + 1]!, colours[i * 3 + 2]!);
      const fromCoat = squareApart(here, coated);
      if (uncoated.some((colour) => squareApart(here, colour) < fromCoat)) bits[y * side + x] = 1;
    }
  }
  const radius = Math.max(1, Math.round((flat.cell * THREAD) / 2));
  const mask = closeGaps(openThreads({ side, bits }, radius), radius);
  const contrast = Math.min(...bare.map(({ l, a, b }) => Math.hypot(l - coat.l, a - coat.a, b - coat.b)));
  return { mask, contrast };
}

/**
 * Linear light (X, Y, Z against white) of a CIELAB colour. A lens mixes light: half coat and half ground lie midway here,
 * and not in CIELAB, where a dark coat would seem to lose its edges and a pale one to keep them.
 */
function toLinear(l: number, a: number, b: number): [number, number, number] {
  const y = (l + 16) / 116;
  const [x, z] = [y + a / 500, y - b / 200];
  return [x * x * x, y * y * y, z * z * z];
}

function toInterior({ rim, cell }: Flat, at: number, share: number): number {
  const place = at - rim;
  const start = Math.floor(place / cell) * cell;
  const margin = Math.ceil(share * cell);
  return rim + Math.max(start + margin, Math.min(start + cell - 1 - margin, place));
}

/** One or two colours of what lies bare: primer and ground. Clusters of a sample, seeded with a near and a far one. */
function gatherColours(places: readonly number[], colours: Float32Array, coat: Coat): Lab[] {
  const every = Math.max(1, Math.floor(places.length / SAMPLE));
  const sample = places
    .filter((_, k) => k % every === 0)
    .map((i) => [colours[i * 3]!, colours[i * 3 + 1]!, colours[i * 3 + 2]!])
    .sort((p, q) => fromCoat(p, coat) - fromCoat(q, coat));
  const seeds = [0.3, 0.8].map((share) => [...sample[Math.floor(share * (sample.length - 1))]!]);
  const { centres, sizes } = splitInTwo(sample, seeds[0]!, seeds[1]!);
  const [p, q] = centres;
  // Two names for one colour, or a handful of blurred edges: one colour.
  if (Math.hypot(p[0]! - q[0]!, p[1]! - q[1]!, p[2]! - q[2]!) < 12 || Math.min(...sizes) < 0.12) {
    return [toLab(sizes[0]! > sizes[1]! ? p : q)];
  }
  // Blurred edges of flakes lie between the coat and what is bare: no colour of their own.
  const near = fromCoat(p, coat) < fromCoat(q, coat) ? 0 : 1;
  if (fromCoat(near === 0 ? p : q, coat) < LEAST_CONTRAST && sizes[near]! < 0.5) return [toLab(near === 0 ? q : p)];
  return [toLab(p), toLab(q)];
}

const ROUNDS = 15;

/**
 * Two groups around two centres (Lloyd 1982). The packages for this compare every point with every other first, which
 * takes longer than all the rest of the reading.
 */
function splitInTwo(points: readonly (readonly number[])[], first: number[], second: number[]) {
  let centres: [number[], number[]] = [first, second];
  let sizes: [number, number] = [0, 0];
  for (let round = 0; round < ROUNDS; round += 1) {
    const sums = [0, 1].map(() => [0, 0, 0, 0]);
    for (const point of points) {
      const sum = sums[squareApart(point, centres[0]) <= squareApart(point, centres[1]) ? 0 : 1]!;
      for (let c = 0; c < 3; c += 1) sum[c]! += point[c]!;
      sum[3]! += 1;
    }
    sizes = sums.map((sum) => sum[3]! / points.length) as [number, number];
    centres = sums.map((sum, k) => (sum[3] === 0 ? centres[k]! : sum.slice(0, 3).map((v) => v / sum[3]!))) as [
      number[],
      number[],
    ];
  }
  return { centres, sizes };
}

const squareApart = (p: readonly number[], q: readonly number[]): number =>
  (p[0]! - q[0]!) ** 2 + (p[1]! - q[1]!) ** 2 + (p[2]! - q[2]!) ** 2;

const toLab = ([l, a, b]: readonly number[]): Lab => ({ l: l!, a: a!, b: b! });
const fromCoat = ([l, a, b]: readonly number[], coat: Coat): number =>
  Math.hypot(l! - coat.l, a! - coat.a, b! - coat.b);

function shareOf(flat: Flat, { side, bits }: Mask, row: number, column: number): number {
  let sum = 0;
  const [left, top] = [flat.rim + column * flat.cell, flat.rim + row * flat.cell];
  for (let y = top; y < top + flat.cell; y += 1) {
    for (let x = left; x < left + flat.cell; x += 1) sum += bits[y * side + x]!;
  }
  return sum / (flat.cell * flat.cell);
}

function measureBrightest({ width, height, data }: Pixels): number {
  const every = Math.max(1, Math.floor((width * height) / 5000));
  const light: number[] = [];
  for (let i = 0; i < width * height; i += every) light.push(linearOfByte(data[i * 4 + 1]!));
  return quantile(light, 0.95);
}

/** Share of the lattice that a lamp's reflection has burnt out. */
function measureGlare(flat: Flat): number {
  let bright = 0;
  let all = 0;
  for (let y = flat.rim; y < flat.side - flat.rim; y += 2) {
    for (let x = flat.rim; x < flat.side - flat.rim; x += 2) {
      all += 1;
      if (luminanceAt(flat, y * flat.side + x) > BURNT) bright += 1;
    }
  }
  return bright / all;
}

/**
 * How wide a cut looks, in cells: half of the width at half depth of the mean profile across the cuts, where both sides
 * are coated or both bare. A lens out of focus makes it wide. 0 where too few such places are left to tell.
 */
function measureBlur(flat: Flat, colours: Float32Array, mask: Mask): number {
  const [coated, bare] = [measureProfile(flat, colours, mask, 0), measureProfile(flat, colours, mask, 1)];
  const { profile, count } = coated.count >= bare.count ? coated : bare;
  if (count < LEAST_PROFILES) return 0;
  return measureDip(
    profile.map((sum) => sum / count),
    flat.cell,
  );
}

/** Half width at half depth of the dip in the middle of a profile, in cells, between its own two shoulders. */
function measureDip(mean: readonly number[], cell: number): number {
  const middle = (mean.length - 1) / 2;
  const near = Math.round(cell * 0.12);
  let bottom = middle;
  for (let d = -near; d <= near; d += 1) if (mean[middle + d]! < mean[bottom]!) bottom = middle + d;
  const depth = Math.min(Math.max(...mean.slice(0, bottom + 1)), Math.max(...mean.slice(bottom))) - mean[bottom]!;
  if (depth < LEAST_DIP) return 1;
  const limit = mean[bottom]! + depth / 2;
  let [left, right] = [bottom, bottom];
  while (left > 0 && mean[left]! < limit) left -= 1;
  while (right < mean.length - 1 && mean[right]! < limit) right += 1;
  return (right - left) / 2 / cell;
}

/** A cut that is not this much darker than the coat beside it (L*) has been blurred away. */
const LEAST_DIP = 1;
const LEAST_PROFILES = 120;

function measureProfile(flat: Flat, colours: Float32Array, { side, bits }: Mask, state: 0 | 1) {
  const reach = Math.round(flat.cell * 0.3);
  const profile = Array.from({ length: 2 * reach + 1 }, () => 0);
  let count = 0;
  const lean = Math.round(flat.cell * 0.28);
  for (let k = 1; k < flat.cells; k += 1) {
    const at = flat.rim + k * flat.cell;
    for (let along = flat.rim; along < side - flat.rim; along += 2) {
      const part = ((along - flat.rim) / flat.cell) % 1;
      if (part < 0.2 || part > 0.8) continue;
      for (const step of [1, side]) {
        const start = step === 1 ? along * side + at : at * side + along;
        if (bits[start - lean * step] !== state || bits[start + lean * step] !== state) continue;
        count += 1;
        for (let d = -reach; d <= reach; d += 1) profile[d + reach]! += colours[(start + d * step) * 3]!;
      }
    }
  }
  return { profile, count };
}
