import type { Hardware } from '../dossier';
import { escapeXml } from '../shared';

/** Common practice: a handle's screw hole, the rim a plate must keep round a hole, and how near a drill wanders into one. */
const HOLE_MM = 5;
const RIM_MM = 3;
const TOO_NEAR_MM = 8;
/** Closer than this, holes are the same: screws give that much. */
const SAME_MM = 0.6;

export interface HardwareVerdict {
  verdict: 'reuse' | 'cover' | 'fill';
  because: HardwareReason;
  /** A new hole would break into an old one: fill it with two-part filler before drilling. */
  clashes: boolean;
}

/** Millimetres that a plate lies beyond the old holes or is too short by, or that old and new holes are apart. */
export type HardwareReason =
  { code: 'same_holes' } | { code: 'plate_covers' | 'plate_too_short' | 'holes_apart'; mm: number };

/** Holes along the handle, mm from its middle. */
const holesOf = ({ holes, spacing_mm }: { holes: 1 | 2; spacing_mm?: number | undefined }): number[] =>
  holes === 1 ? [0] : [-(spacing_mm ?? 0) / 2, (spacing_mm ?? 0) / 2];

/**
 * Old holes with the new handle in the same middle: they serve again, are covered by its plate, or must be filled. All mm.
 * Example: 96 old, 128 new, no plate → fill.
 */
export function judgeHardware({ old, next }: Pick<Hardware, 'old' | 'next'>): HardwareVerdict {
  const [before, after] = [holesOf(old), holesOf(next)];
  if (
    before.every((hole) => after.some((other) => Math.abs(hole - other) <= SAME_MM)) &&
    before.length === after.length
  )
    return { verdict: 'reuse', because: { code: 'same_holes' }, clashes: false };
  const free = before.filter((hole) => !after.some((other) => Math.abs(hole - other) <= SAME_MM));
  const clashes = free.some((hole) => after.some((other) => Math.abs(hole - other) < TOO_NEAR_MM));
  const reach = Math.max(...free.map((hole) => Math.abs(hole))) + HOLE_MM / 2 + RIM_MM;
  const plate = next.plate_mm;
  if (plate && plate.length / 2 >= reach && plate.height / 2 >= HOLE_MM / 2 + RIM_MM) {
    const mm = Math.round(plate.length / 2 - reach + RIM_MM);
    return { verdict: 'cover', because: { code: 'plate_covers', mm }, clashes };
  }
  const gap = free.map((hole) => Math.min(...after.map((other) => Math.abs(hole - other))));
  const because: HardwareReason = plate
    ? { code: 'plate_too_short', mm: Math.ceil(2 * (reach - plate.length / 2)) }
    : { code: 'holes_apart', mm: Math.round(Math.min(...gap)) };
  return { verdict: 'fill', because, clashes };
}

const PAD_MM = 12;
const CHECK_MM = 50;

/** What is written on a drilling template. Figures in millimetres. */
export interface TemplateWords {
  front: (front: { width: number; height: number }, middle: { x: number; y: number }) => string;
  middle: string;
  holes: (apart: number | null) => string;
}

/**
 * A drilling template at true scale (SVG in mm): the new holes with cross hairs, the old ones dashed, the middle lines of
 * the front, and a line of 50 mm to measure after printing.
 */
export function drawTemplate({ old, next, front_mm }: Hardware, say: TemplateWords): string {
  const [before, after] = [holesOf(old), holesOf(next)];
  const half = Math.max(
    ...before.map(Math.abs),
    ...after.map(Math.abs),
    (next.plate_mm?.length ?? 0) / 2,
    CHECK_MM / 2,
  );
  const [width, height] = [2 * (half + PAD_MM), 70];
  const [x, y] = [width / 2, 28];
  const cross = (at: number): string =>
    `<circle cx="${x + at}" cy="${y}" r="${HOLE_MM / 2}" fill="none" stroke="#000" stroke-width="0.3"/>` +
    `<path d="M${x + at - 6} ${y}h12M${x + at} ${y - 6}v12" stroke="#000" stroke-width="0.2"/>`;
  const dashed = (at: number): string =>
    `<circle cx="${x + at}" cy="${y}" r="${HOLE_MM / 2}" fill="none" stroke="#000" stroke-width="0.3" stroke-dasharray="1 0.8"/>`;
  const plate = next.plate_mm
    ? `<rect x="${x - next.plate_mm.length / 2}" y="${y - next.plate_mm.height / 2}" width="${next.plate_mm.length}" height="${next.plate_mm.height}" fill="none" stroke="#000" stroke-width="0.2" stroke-dasharray="3 1"/>`
    : '';
  const words = front_mm
    ? say.front(front_mm, { x: round(front_mm.width / 2), y: round(front_mm.height / 2) })
    : say.middle;
  const apart = after.length === 2 ? round(after[1]! - after[0]!) : null;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${round(width)}mm" height="${height}mm" viewBox="0 0 ${round(width)} ${height}" font-family="sans-serif" font-size="3.2">` +
    `<rect x="0.2" y="0.2" width="${round(width - 0.4)}" height="${height - 0.4}" fill="#fff" stroke="#000" stroke-width="0.2"/>` +
    `<path d="M${x} 4V${height - 22}M4 ${y}H${round(width - 4)}" stroke="#000" stroke-width="0.15" stroke-dasharray="4 1.5 1 1.5"/>` +
    plate +
    before.map(dashed).join('') +
    after.map(cross).join('') +
    `<text x="4" y="${height - 16}">${escapeXml(words)}</text>` +
    `<text x="4" y="${height - 11}">${escapeXml(say.holes(apart))}</text>` +
    `<path d="M4 ${height - 5}h${CHECK_MM}M4 ${height - 7}v4M${4 + CHECK_MM} ${height - 7}v4" stroke="#000" stroke-width="0.3"/>` +
    `<text x="${4 + CHECK_MM + 2}" y="${height - 4}">50 mm</text>` +
    `</svg>`
  );
}

const round = (value: number): number => Math.round(value * 10) / 10;
