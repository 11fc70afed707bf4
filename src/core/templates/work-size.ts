import { DEFAULT_AREA_M2, type WorkSize } from '../knowledge';
import type { Dossier, Zone } from '../dossier';
import { listParts } from './assign';
import { templateOf, type Template } from './templates';

/** What is lifted, turned and set down one by one (common practice). */
const LIFTED: readonly Zone['role'][] = ['door', 'drawer_front', 'drawer_side'];

/** The template of a piece as it is divided now: built once for each state of it. */
const templates = new WeakMap<Dossier['piece'], Template>();
function buildOnce(piece: Dossier['piece']): Template {
  const known = templates.get(piece) ?? templateOf(piece);
  templates.set(piece, known);
  return known;
}

/**
 * How much there is to work on in a zone: its face, its metres of edge by the template (those of a part of a zone by the
 * count of its parts, another size than the template's by the root of the areas), and its parts. A zone that no template
 * knows: 4 × √(area × count), the edges of as many squares; none where it is carved (common practice).
 */
export function measureWork({ piece, zones = [] }: Pick<Dossier, 'piece' | 'zones'>, zone: Zone): WorkSize {
  const template = buildOnce(piece);
  const areaM2 = zone.area_m2 ?? DEFAULT_AREA_M2;
  const parts = listParts(template.shapes, zones, zone.id);
  const count = zone.count ?? Math.max(1, parts.length);
  const lifted = LIFTED.includes(zone.role) ? count : 0;
  const whole = listOrigins(template, zone, parts);
  const edges = whole.reduce((sum, { id, share }) => sum + (template.edgesM.get(id) ?? 0) * share, 0);
  const area = whole.reduce((sum, { id, share }) => sum + areaIn(template, id) * share, 0);
  const known = whole.length > 0 && area > 0;
  const carved = !known && zone.moulded === true;
  const edgeM = carved ? 0 : known ? edges * Math.sqrt(areaM2 / area) : 4 * Math.sqrt(areaM2 * count);
  return { areaM2, edgeM, parts: lifted, carved };
}

const areaIn = ({ zones }: Template, id: string): number => zones.find((zone) => zone.id === id)?.area_m2 ?? 0;

/** The zones of the template that a zone's parts come from, and the share of each; by its name where it is in no drawing. */
function listOrigins(
  { shapes, zones }: Template,
  zone: Zone,
  parts: readonly string[],
): { id: string; share: number }[] {
  if (parts.length === 0)
    return zone.parts === undefined && zones.some(({ id }) => id === zone.id) ? [{ id: zone.id, share: 1 }] : [];
  const ids = [...new Set(shapes.flatMap(({ zone: id, part }) => (parts.includes(part) ? [id] : [])))];
  return ids.map((id) => {
    const all = new Set(shapes.flatMap(({ zone: own, part }) => (own === id ? [part] : [])));
    return { id, share: [...all].filter((part) => parts.includes(part)).length / all.size };
  });
}
