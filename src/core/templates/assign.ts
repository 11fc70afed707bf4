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
  const share = measureParts(shapes, parts) / measureParts(shapes, all);
  const area = zone.area_m2;
  const cut = (factor: number): Partial<Zone> => (area === undefined ? {} : { area_m2: roundArea(area * factor) });
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
  return { ...into, parts, ...(area > 0 ? { area_m2: roundArea(area) } : {}) };
}

/**
 * The zones to set so that a removed one is back with its faces: first those that have its faces now (it was joined to
 * them), without these and the area they brought, then itself.
 */
export function bringBack(shapes: readonly Shape[], zones: readonly Zone[], removed: Zone): Zone[] {
  const faces = listParts(shapes, [removed], removed.id);
  const whole = measureParts(shapes, faces);
  const givers = zones.flatMap((zone) => {
    const parts = listParts(shapes, zones, zone.id);
    const given = parts.filter((part) => faces.includes(part));
    if (given.length === 0) return [];
    const brought = (removed.area_m2 ?? 0) * (measureParts(shapes, given) / whole);
    const area = zone.area_m2 === undefined ? {} : { area_m2: roundArea(zone.area_m2 - brought) };
    return [{ ...zone, parts: parts.filter((part) => !given.includes(part)), ...area }];
  });
  return [...givers, removed];
}

const measureParts = (shapes: readonly Shape[], parts: readonly string[]): number =>
  shapes.reduce((sum, shape) => sum + (!shape.detail && parts.includes(shape.part) ? measureShape(shape) : 0), 0);

const roundArea = (m2: number): number => Math.max(0.01, Math.round(m2 * 100) / 100);
