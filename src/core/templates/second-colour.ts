import type { SecondColour, Zone } from '../dossier';
import { DEPTH_X, type Point, type Shape } from './geometry';

/** One flat face of a zone, mm. */
export interface Face {
  width: number;
  height: number;
}

/** What a second colour takes of a zone. */
export interface SecondMeasure {
  /** Of the zone's area, 0–1. */
  share: number;
  /** Length of edge to be taped, m. */
  tapeM: number;
}

interface Rectangle {
  left: number;
  low: number;
  width: number;
  height: number;
}

/** An edge of a drawn face in true length, mm: what runs into depth is drawn shorter and slanting. */
function measureEdge([ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [Math.abs(bx - ax), Math.abs(by - ay)];
  return dx === 0 ? dy : dy === 0 ? dx : dx / DEPTH_X;
}

const faceOf = ({ points: [corner, along, , up] }: Shape): Face => ({
  width: measureEdge(corner!, along!),
  height: measureEdge(corner!, up!),
});

/**
 * The flat faces of a zone that its drawing shows; a zone that is not drawn counts as one square.
 * `shapes`: the drawing as it is assigned to zones now (`assignShapes`).
 */
export function measureFaces(shapes: readonly Shape[], zone: Pick<Zone, 'id' | 'area_m2'>, areaM2: number): Face[] {
  const faces = shapes.filter((shape) => shape.zone === zone.id && !shape.detail).map(faceOf);
  const side = 1000 * Math.sqrt(areaM2);
  return faces.length > 0 ? faces : [{ width: side, height: side }];
}

/** What the second colour covers of a face, in mm from its lower left corner; nothing of what lies beyond its edge. */
function layOn({ lies, bands = [], margin_mm: margin = 0 }: SecondColour, { width, height }: Face): Rectangle[] {
  if (lies === 'far_side') return [];
  if (lies === 'panel')
    return width > 2 * margin && height > 2 * margin
      ? [{ left: margin, low: margin, width: width - 2 * margin, height: height - 2 * margin }]
      : [];
  const across = lies === 'upright' ? width : height;
  return bands.flatMap(({ at_mm: at, width_mm: wide }) => {
    const end = Math.min(across, at + wide);
    if (at >= across) return [];
    return [
      lies === 'upright'
        ? { left: at, low: 0, width: end - at, height }
        : { left: 0, low: at, width, height: end - at },
    ];
  });
}

/** The edges of what is covered that lie on the face, and not along its border, mm. */
function measureTape({ left, low, width, height }: Rectangle, face: Face): number {
  const upright = (left > 0 ? height : 0) + (left + width < face.width ? height : 0);
  const level = (low > 0 ? width : 0) + (low + height < face.height ? width : 0);
  return upright + level;
}

/**
 * Share of a zone that a second colour takes and how much tape its edges want; the far side is half of a zone, parted from
 * the near one by the arris, with no tape on a face.
 */
export function measureSecond(second: SecondColour, faces: readonly Face[]): SecondMeasure {
  if (second.lies === 'far_side') return { share: 0.5, tapeM: 0 };
  const whole = faces.reduce((sum, { width, height }) => sum + width * height, 0);
  let [covered, tape] = [0, 0];
  for (const face of faces) {
    for (const laid of layOn(second, face)) {
      covered += laid.width * laid.height;
      tape += measureTape(laid, face);
    }
  }
  return { share: whole > 0 ? covered / whole : 0, tapeM: tape / 1000 };
}

/** The second colour on a drawn face, as shapes of the drawing. */
export function drawSecond(second: SecondColour, shape: Shape): Point[][] {
  const face = faceOf(shape);
  const [corner, along, , up] = shape.points as [Point, Point, Point, Point];
  const at = (x: number, y: number): Point => [
    corner[0] + (x / face.width) * (along[0] - corner[0]) + (y / face.height) * (up[0] - corner[0]),
    corner[1] + (x / face.width) * (along[1] - corner[1]) + (y / face.height) * (up[1] - corner[1]),
  ];
  return layOn(second, face).map(({ left, low, width, height }) => [
    at(left, low),
    at(left + width, low),
    at(left + width, low + height),
    at(left, low + height),
  ]);
}
