import { isConvex, type Quad } from './homography';
import { boxBlur, type Plane, type Point } from './pixels';

/** Patches smaller than this share of the picture are grain, hairs and shine. */
const LEAST_SHARE = 0.02;
const PATCHES_KEPT = 3;
/** Blur that joins squares over the cuts between them, pixels. */
const JOIN_PX = 3;
const HULL_POINTS = 10;

/**
 * Where most of a lattice is gone, its outermost cuts are steps from coat to ground and no lines; but what lies bare is
 * then one patch as large as the lattice. The quadrilaterals that the edges of each large patch make, pale or dark, that
 * does not run into the frame.
 */
export function findPatches(brightness: Plane): Quad[] {
  const soft = halve(boxBlur(brightness, JOIN_PX));
  const level = splitLevel(soft.values);
  return [true, false].flatMap((pale) =>
    listPatches(soft, (value) => value > level === pale).flatMap((points) =>
      listQuads(thinHull(findHull(points))).map(
        (quad) => quad.map(({ x, y }) => ({ x: 2 * x + 0.5, y: 2 * y + 0.5 })) as unknown as Quad,
      ),
    ),
  );
}

/** Every other pixel of every other row: outlines need no more. */
function halve({ width, height, values }: Plane): Plane {
  const [w, h] = [width >> 1, height >> 1];
  const out = new Float32Array(w * h);
  for (let y = 0; y < h; y += 1) for (let x = 0; x < w; x += 1) out[y * w + x] = values[2 * y * width + 2 * x]!;
  return { width: w, height: h, values: out };
}

const STEPS = 128;

/** The level that parts the values into two groups as unlike as can be (Otsu 1979). */
function splitLevel(values: Float32Array): number {
  let [low, high] = [Infinity, -Infinity];
  for (const value of values) [low, high] = [Math.min(low, value), Math.max(high, value)];
  const counts = new Float64Array(STEPS);
  const step = (high - low) / STEPS || 1;
  for (const value of values) counts[Math.min(STEPS - 1, Math.floor((value - low) / step))]! += 1;
  const sum = counts.reduce((total, count, i) => total + count * i, 0);
  let [best, at, below, belowSum] = [-1, STEPS / 2, 0, 0];
  for (let i = 0; i < STEPS; i += 1) {
    below += counts[i]!;
    belowSum += counts[i]! * i;
    const above = values.length - below;
    if (below === 0 || above === 0) continue;
    const apart = below * above * (belowSum / below - (sum - belowSum) / above) ** 2;
    if (apart > best) [best, at] = [apart, i + 1];
  }
  return low + at * step;
}

/** Outlines (ends of rows) of the largest connected patches that do not touch the frame. */
function listPatches({ width, height, values }: Plane, belongs: (value: number) => boolean): Point[][] {
  const seen = new Uint8Array(width * height);
  const patches: { size: number; points: Point[] }[] = [];
  const queue = new Int32Array(width * height);
  for (let start = 0; start < values.length; start += 1) {
    if (seen[start] === 1 || !belongs(values[start]!)) continue;
    let [head, tail, framed] = [0, 0, false];
    const rows = new Map<number, [number, number]>();
    queue[tail++] = start;
    seen[start] = 1;
    while (head < tail) {
      const at = queue[head++]!;
      const [x, y] = [at % width, Math.floor(at / width)];
      const row = rows.get(y);
      if (!row) rows.set(y, [x, x]);
      else if (x < row[0]) row[0] = x;
      else if (x > row[1]) row[1] = x;
      if (x === 0 || y === 0 || x === width - 1 || y === height - 1) {
        framed = true;
        continue;
      }
      for (const next of [at - 1, at + 1, at - width, at + width]) {
        if (seen[next] === 1 || !belongs(values[next]!)) continue;
        seen[next] = 1;
        queue[tail++] = next;
      }
    }
    if (framed || tail < LEAST_SHARE * values.length) continue;
    patches.push({
      size: tail,
      points: [...rows].flatMap(([y, [left, right]]) => [
        { x: left, y },
        { x: right, y },
      ]),
    });
  }
  return patches
    .sort((a, b) => b.size - a.size)
    .slice(0, PATCHES_KEPT)
    .map(({ points }) => points);
}

const turn = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);

/** Convex hull, clockwise on the screen (Andrew's monotone chain, 1979). */
function findHull(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const chain = (list: readonly Point[]): Point[] => {
    const out: Point[] = [];
    for (const point of list) {
      while (out.length >= 2 && turn(out[out.length - 2]!, out[out.length - 1]!, point) <= 0) out.pop();
      out.push(point);
    }
    return out.slice(0, -1);
  };
  return [...chain(sorted), ...chain([...sorted].reverse())];
}

/** So few edges that every four can be tried: points that stand out least go first. */
function thinHull(hull: readonly Point[]): Point[] {
  const points = [...hull];
  while (points.length > HULL_POINTS) {
    let [least, at] = [Infinity, 0];
    points.forEach((point, i) => {
      const area = turn(points[(i + points.length - 1) % points.length]!, point, points[(i + 1) % points.length]!);
      if (area < least) [least, at] = [area, i];
    });
    points.splice(at, 1);
  }
  return points;
}

/** How much larger than its outline a patch with missing corners may be taken to be. */
const MOST_GROWTH = 1.8;

/** Every four edges of an outline, drawn out until they meet: a corner square that still stands cuts off the outline there. */
function listQuads(hull: readonly Point[]): Quad[] {
  const n = hull.length;
  const area = measure(hull);
  const meet = (i: number, j: number): Point | null =>
    cross(hull[i]!, hull[(i + 1) % n]!, hull[j]!, hull[(j + 1) % n]!);
  const quads: Quad[] = [];
  for (let a = 0; a < n - 3; a += 1)
    for (let b = a + 1; b < n - 2; b += 1)
      for (let c = b + 1; c < n - 1; c += 1)
        for (let d = c + 1; d < n; d += 1) {
          const corners = [meet(d, a), meet(a, b), meet(b, c), meet(c, d)];
          if (corners.some((corner) => corner === null)) continue;
          const quad = corners as unknown as Quad;
          if (isConvex(quad) && measure(quad) < MOST_GROWTH * area) quads.push(quad);
        }
  return quads;
}

const measure = (points: readonly Point[]): number =>
  Math.abs(
    points.reduce((sum, { x, y }, i) => {
      const next = points[(i + 1) % points.length]!;
      return sum + x * next.y - next.x * y;
    }, 0),
  ) / 2;

function cross(a: Point, b: Point, c: Point, d: Point): Point | null {
  const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, d.x - c.x, d.y - c.y];
  const det = ux * vy - uy * vx;
  if (Math.abs(det) < 1e-6) return null;
  const t = ((c.x - a.x) * vy - (c.y - a.y) * vx) / det;
  return { x: a.x + t * ux, y: a.y + t * uy };
}
