import { zoneName, type Dossier, type Part, type Zone } from '../dossier';
import { assignShapes, templateOf, type Shape } from '../templates';
import { escapeXml } from '../shared';

const COMES_OFF = ['door', 'drawer_front', 'shelf'] as const;
export type Loose = (typeof COMES_OFF)[number];

/** Whether a zone is parts that are taken off and put back. */
export const comesOff = ({ role }: Pick<Zone, 'role'>): boolean => (COMES_OFF as readonly string[]).includes(role);

/** How parts are named: what is kept of a part that was touched. */
export interface PartWords {
  /** Stands before the number on a label. */
  letters: Record<Loose, string>;
  /** Where a part sits: how many from the left and from the top, where there are several. */
  place: (role: Loose, fromLeft: number | null, fromTop: number | null) => string;
  up: Record<Exclude<Loose, 'shelf'>, string>;
}

/**
 * The doors, drawers and shelves of a piece, numbered by place as one stands before it: from the left, then from the top.
 * Parts already in the record keep their number and state.
 */
export function listParts(dossier: Pick<Dossier, 'piece' | 'zones' | 'parts'>, say: PartWords): Part[] {
  const { piece, zones = [] } = dossier;
  const shapes = assignShapes(templateOf(piece).shapes, zones);
  const known = dossier.parts ?? [];
  return zones.flatMap((zone): Part[] => {
    if (!comesOff(zone)) return [];
    const role = zone.role as Loose;
    const faces = placeFaces(shapes, zone.id);
    const count = Math.max(1, faces.length);
    return Array.from({ length: count }, (_, i): Part => {
      const id = `${zone.id}.${i + 1}`;
      const own = known.find((part) => part.id === id);
      return (
        own ?? {
          id,
          zone: zone.id,
          label: `${say.letters[role]}${offset(zones, zone.id, role, shapes) + i + 1}`,
          place: count > 1 ? say.place(role, ...findPlace(faces, i)) : zoneName(zone),
          ...(role === 'shelf' ? {} : { up: say.up[role] }),
          state: 'on',
        }
      );
    });
  });
}

/** Numbers go on from zone to zone of one kind, so that no two parts share a label. */
function offset(zones: NonNullable<Dossier['zones']>, id: string, role: Loose, shapes: readonly Shape[]): number {
  let sum = 0;
  for (const zone of zones) {
    if (zone.id === id) return sum;
    if (zone.role === role) sum += Math.max(1, placeFaces(shapes, zone.id).length);
  }
  return sum;
}

interface Face {
  x: number;
  y: number;
}

/** Middles of the faces of a zone, one a part, in reading order: rows from the top, each from the left. */
function placeFaces(shapes: readonly Shape[], zone: string): Face[] {
  const parts = new Map<string, Shape>();
  for (const shape of shapes)
    if (shape.zone === zone && !shape.detail && !parts.has(shape.part)) parts.set(shape.part, shape);
  const faces = [...parts.values()].map(({ points }) => ({
    x: points.reduce((sum, [x]) => sum + x, 0) / points.length,
    y: points.reduce((sum, [, y]) => sum + y, 0) / points.length,
  }));
  return faces.sort((a, b) => Math.round(a.y / ROW_MM) - Math.round(b.y / ROW_MM) || a.x - b.x);
}
/** Heights are taken in steps of this to tell rows. */
const ROW_MM = 40;

/** How many from the left and from the top a face is, where it is not the only one. */
function findPlace(faces: readonly Face[], i: number): [fromLeft: number | null, fromTop: number | null] {
  const face = faces[i]!;
  const rowOf = ({ y }: Face): number => Math.round(y / ROW_MM);
  const rows = [...new Set(faces.map(rowOf))];
  const inRow = faces.filter((other) => rowOf(other) === rowOf(face));
  return [inRow.length > 1 ? inRow.indexOf(face) + 1 : null, rows.length > 1 ? rows.indexOf(rowOf(face)) + 1 : null];
}

/** A sheet of labels at true scale (SVG in mm): two of each part, one for the part and one for its opening. */
export function drawLabels(
  parts: readonly Part[],
  title: string,
  say: { onPart: string; inOpening: string; labels: string },
): string {
  const [wide, high, across] = [60, 26, 3];
  const labels = parts.flatMap((part) => [
    { part, on: say.onPart },
    { part, on: say.inOpening },
  ]);
  const rows = Math.ceil(labels.length / across);
  const cells = labels.map(({ part, on }, i) => {
    const [x, y] = [8 + (i % across) * wide, 14 + Math.floor(i / across) * high];
    return [
      `<rect x="${x}" y="${y}" width="${wide - 2}" height="${high - 2}" fill="#fff" stroke="#000" stroke-width="0.2"/>`,
      `<text x="${x + 3}" y="${y + 12}" font-size="11" font-weight="700">${escapeXml(part.label)}</text>`,
      part.up ? `<path d="M${x + 50} ${y + 12}v-9m-3 3l3 -3l3 3" fill="none" stroke="#000" stroke-width="0.7"/>` : '',
      `<text x="${x + 3}" y="${y + 17.5}" font-size="3.1">${escapeXml(part.place)}</text>`,
      `<text x="${x + 3}" y="${y + 21.5}" font-size="2.7">${escapeXml(`${title}: ${on}`)}</text>`,
    ].join('');
  });
  const [width, height] = [16 + across * wide, 20 + rows * high];
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" font-family="sans-serif">` +
    `<text x="8" y="9" font-size="4.5" font-weight="700">${escapeXml(`${title}: ${say.labels}`)}</text>${cells.join('')}</svg>`
  );
}
