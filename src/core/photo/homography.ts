import { Matrix, solve } from 'ml-matrix';
import type { Point } from './pixels';

/** Four corners, clockwise from the top left. */
export type Quad = readonly [Point, Point, Point, Point];

/** A plane seen from elsewhere: nine numbers by rows, the last one 1. */
export type Homography = readonly number[];

/** The unit square, clockwise from the top left. */
export const UNIT_SQUARE: Quad = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
];

/**
 * The projective map that takes four points to four points; null when three of them lie on a line. The direct linear
 * transformation with its last number set to 1 (Hartley and Zisserman, Multiple View Geometry, 4.1).
 * Example: the unit square onto itself gives the identity.
 */
export function computeHomography(from: Quad, to: Quad): Homography | null {
  const rows: number[][] = [];
  const right: number[] = [];
  from.forEach(({ x, y }, i) => {
    const { x: u, y: v } = to[i]!;
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1, -v * x, -v * y]);
    right.push(u, v);
  });
  if (isFlat(from) || isFlat(to)) return null;
  const solution = solve(new Matrix(rows), Matrix.columnVector(right)).to1DArray();
  return solution.every(Number.isFinite) ? [...solution, 1] : null;
}

/**
 * The unit square taken to four points, in closed form (Heckbert 1989, Fundamentals of Texture Mapping, 2.2.3); null when
 * three of them lie on a line. The same map as `computeHomography(UNIT_SQUARE, to)`, for where thousands are tried.
 */
export function mapUnitSquare(to: Quad): Homography | null {
  const [p, q, r, s] = to;
  const [dx1, dx2, sumX] = [q.x - r.x, s.x - r.x, p.x - q.x + r.x - s.x];
  const [dy1, dy2, sumY] = [q.y - r.y, s.y - r.y, p.y - q.y + r.y - s.y];
  const det = dx1 * dy2 - dx2 * dy1;
  if (Math.abs(det) < 1e-9) return null;
  const g = (sumX * dy2 - dx2 * sumY) / det;
  const h = (dx1 * sumY - sumX * dy1) / det;
  return [q.x - p.x + g * q.x, s.x - p.x + h * s.x, p.x, q.y - p.y + g * q.y, s.y - p.y + h * s.y, p.y, g, h, 1];
}

/** Where a point of the first plane lies in the second. */
export function applyHomography(h: Homography, x: number, y: number): Point {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return { x: (h[0]! * x + h[1]! * y + h[2]!) / w, y: (h[3]! * x + h[4]! * y + h[5]!) / w };
}

const cross = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);

/** Three corners on a line, or nearly, against the size of the whole. */
function isFlat(quad: Quad): boolean {
  const size = Math.max(...quad.map((corner) => Math.hypot(corner.x - quad[0].x, corner.y - quad[0].y)), 1e-12);
  return quad.some((corner, i) => Math.abs(cross(corner, quad[(i + 1) % 4]!, quad[(i + 2) % 4]!)) < 1e-6 * size * size);
}

/** Turns the same way at every corner: a square seen from its front always does. */
export function isConvex(quad: Quad): boolean {
  return quad.every((corner, i) => cross(corner, quad[(i + 1) % 4]!, quad[(i + 2) % 4]!) > 0);
}

/** Focal length of a telephone's main camera as a share of the longer side: 24 to 28 mm on a 36 mm frame (estimate). */
const TYPICAL_FOCAL = 0.75;

/**
 * How far the camera leaned away from straight above a square, in degrees, from where its corners lie in a picture of
 * the given size: the plane's normal out of the homography (Zhang 2000), for a typical focal length. Straight above → 0.
 */
export function estimateTilt(quad: Quad, width: number, height: number): number {
  const focal = TYPICAL_FOCAL * Math.max(width, height);
  const centred = quad.map(({ x, y }) => ({ x: (x - width / 2) / focal, y: (y - height / 2) / focal }));
  const h = computeHomography(UNIT_SQUARE, centred as unknown as Quad);
  if (!h) return 90;
  const [a, b] = [0, 1].map((column) => [h[column]!, h[column + 3]!, h[column + 6]!]) as [number[], number[]];
  const normal = [a[1]! * b[2]! - a[2]! * b[1]!, a[2]! * b[0]! - a[0]! * b[2]!, a[0]! * b[1]! - a[1]! * b[0]!];
  const length = Math.hypot(...normal);
  return length === 0 ? 90 : (Math.acos(Math.min(1, Math.abs(normal[2]!) / length)) * 180) / Math.PI;
}

/** The eight squares that lie a cell aside of one over a lattice of `cells` a side. */
export function shiftByCells(quad: Quad, cells: number): Quad[] {
  const h = mapUnitSquare(quad);
  if (!h) return [];
  const cell = 1 / cells;
  return [-cell, 0, cell]
    .flatMap((du) => [-cell, 0, cell].map((dv): readonly [number, number] => [du, dv]))
    .filter(([du, dv]) => du !== 0 || dv !== 0)
    .map(([du, dv]) => UNIT_SQUARE.map(({ x, y }) => applyHomography(h, x + du, y + dv)) as unknown as Quad);
}
