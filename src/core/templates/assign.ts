import type { Zone } from '../dossier';
import { measureShape, type Shape } from './geometry';

/** The shapes of a drawing with the zone each belongs to now; `zone` is empty where the zone was removed. */
export function assignShapes(shapes: readonly Shape[], zones: readonly Zone[]): Shape[] {
  const owner = new Map(zones.flatMap(({ id, parts }) => (parts ?? []).map((part) => [part, id] as const)));
  const whole = new Set(zones.filter(({ parts }) => parts === undefined).map(({ id }) => id));
  return shapes.map((shape) => ({
    ...shape,
    zone: owner.get(shape.part) ?? (whole.has(shape.zone) ? shape.zone : ''),
  }));
}

/** The parts of a zone in drawing order: what it can be split into. */
export function listParts(shapes: readonly Shape[], zones: readonly Zone[], zoneId: string): string[] {
  return [...new Set(assignShapes(shapes, zones).flatMap(({ zone, part }) => (zone === zoneId ? [part] : [])))];
}

/** Takes parts out of a zone into a new one. Readings go with both: they were true of all of it. */
export function splitZone(
  shapes: readonly Shape[],
  zones: readonly Zone[],
  zoneId: string,
  taken: readonly string[],
  fresh: Pick<Zone, 'id' | 'name'>,
): { kept: Zone; split: Zone } | null {
  const zone = zones.find(({ id }) => id === zoneId);
  const all = listParts(shapes, zones, zoneId);
  const parts = all.filter((part) => taken.includes(part));
  if (!zone || parts.length === 0 || parts.length === all.length) return null;
  const size = (list: readonly string[]): number =>
    shapes.reduce((sum, shape) => sum + (!shape.detail && list.includes(shape.part) ? measureShape(shape) : 0), 0);
  const share = size(parts) / size(all);
  const area = zone.area_m2;
  const cut = (factor: number): Partial<Zone> =>
    area === undefined ? {} : { area_m2: Math.max(0.01, Math.round(area * factor * 100) / 100) };
  return {
    kept: { ...zone, parts: all.filter((part) => !parts.includes(part)), ...cut(1 - share) },
    split: { ...zone, ...fresh, parts, ...cut(share) },
  };
}

/** Joins a zone into another: its parts and area; what was read of it stays with it in the records. */
export function mergeZones(
  shapes: readonly Shape[],
  zones: readonly Zone[],
  intoId: string,
  fromId: string,
): Zone | null {
  const into = zones.find(({ id }) => id === intoId);
  const from = zones.find(({ id }) => id === fromId);
  if (!into || !from || into === from) return null;
  const parts = [...listParts(shapes, zones, intoId), ...listParts(shapes, zones, fromId)];
  const area = (into.area_m2 ?? 0) + (from.area_m2 ?? 0);
  return { ...into, parts, ...(area > 0 ? { area_m2: Math.round(area * 100) / 100 } : {}) };
}
