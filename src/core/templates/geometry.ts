/** Lengths in millimetres. A point of the drawing: x to the right, y down. */
export type Point = readonly [number, number];

export interface Shape {
  zone: string;
  /** The one thing this face belongs to: one drawer front, one leg. Faces of one thing share it. */
  part: string;
  points: Point[];
  /** A handle, a panel line: drawn, but not a zone of its own. */
  detail?: boolean;
}

export interface Box {
  x: number;
  y: number;
  z: number;
  w: number;
  d: number;
  h: number;
}

/** Depth runs up and to the right at half scale: the usual workshop sketch of a box. */
export const DEPTH_X = 0.42;
const DEPTH_Y = 0.28;

const project = (x: number, y: number, z: number): Point => [Math.round(x + y * DEPTH_X), Math.round(-z - y * DEPTH_Y)];

/** Three visible faces of a box (x right, y back, z up from the floor), each given to a zone. */
export function drawBox(box: Box, zones: { top?: string; front?: string; side?: string }): Shape[] {
  const { x, y, z, w, d, h } = box;
  const part = `${x},${y},${z}`;
  const shapes: Shape[] = [];
  if (zones.side) {
    shapes.push({
      zone: zones.side,
      part,
      points: [project(x + w, y, z), project(x + w, y + d, z), project(x + w, y + d, z + h), project(x + w, y, z + h)],
    });
  }
  if (zones.top) {
    shapes.push({
      zone: zones.top,
      part,
      points: [project(x, y, z + h), project(x + w, y, z + h), project(x + w, y + d, z + h), project(x, y + d, z + h)],
    });
  }
  if (zones.front) shapes.push({ ...drawFront(zones.front, x, y, z, w, h), part });
  return shapes;
}

export function drawFront(zone: string, x: number, y: number, z: number, w: number, h: number, detail = false): Shape {
  const points = [project(x, y, z), project(x + w, y, z), project(x + w, y, z + h), project(x, y, z + h)];
  const part = `${x},${y},${z}`;
  return detail ? { zone, part, points, detail } : { zone, part, points };
}

/** Gives parts short lasting names, `doors.1`, `doors.2`; a handle or panel line goes with the face it lies on. */
export function nameParts(shapes: readonly Shape[]): Shape[] {
  const faces = shapes.filter(({ detail }) => !detail);
  const named = new Map<string, Map<string, string>>();
  for (const { zone, part } of faces) {
    const parts = named.get(zone) ?? new Map<string, string>();
    if (!parts.has(part)) parts.set(part, `${zone}.${parts.size + 1}`);
    named.set(zone, parts);
  }
  return shapes.map((shape, i) => {
    const under = shape.detail
      ? shapes.slice(0, i).findLast((face) => !face.detail && face.zone === shape.zone && holds(face, centre(shape)))
      : shape;
    return { ...shape, part: named.get(shape.zone)?.get((under ?? shape).part) ?? `${shape.zone}.1` };
  });
}

const centre = ({ points }: Shape): Point => [mean(points.map(([x]) => x)), mean(points.map(([, y]) => y))];
const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

function holds({ points }: Shape, [x, y]: Point): boolean {
  const xs = points.map(([px]) => px);
  const ys = points.map(([, py]) => py);
  return x >= Math.min(...xs) && x <= Math.max(...xs) && y >= Math.min(...ys) && y <= Math.max(...ys);
}

/** Area of a face as drawn (shoelace formula), mm². */
export function measureShape({ points }: Pick<Shape, 'points'>): number {
  const doubled = points.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = points[(i + 1) % points.length]!;
    return sum + x * nextY - nextX * y;
  }, 0);
  return Math.abs(doubled) / 2;
}
