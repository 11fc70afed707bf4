/** Lengths in millimetres. A point of the drawing: x to the right, y down. */
export type Point = readonly [number, number];

export interface Shape {
  zone: string;
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
const DEPTH_X = 0.42;
const DEPTH_Y = 0.28;

const project = (x: number, y: number, z: number): Point => [Math.round(x + y * DEPTH_X), Math.round(-z - y * DEPTH_Y)];

/** Three visible faces of a box (x right, y back, z up from the floor), each given to a zone. */
export function drawBox(box: Box, zones: { top?: string; front?: string; side?: string }): Shape[] {
  const { x, y, z, w, d, h } = box;
  const shapes: Shape[] = [];
  if (zones.side) {
    shapes.push({
      zone: zones.side,
      points: [project(x + w, y, z), project(x + w, y + d, z), project(x + w, y + d, z + h), project(x + w, y, z + h)],
    });
  }
  if (zones.top) {
    shapes.push({
      zone: zones.top,
      points: [project(x, y, z + h), project(x + w, y, z + h), project(x + w, y + d, z + h), project(x, y + d, z + h)],
    });
  }
  if (zones.front) shapes.push(drawFront(zones.front, x, y, z, w, h));
  return shapes;
}

export function drawFront(zone: string, x: number, y: number, z: number, w: number, h: number, detail = false): Shape {
  const points = [project(x, y, z), project(x + w, y, z), project(x + w, y, z + h), project(x, y, z + h)];
  return detail ? { zone, points, detail } : { zone, points };
}
