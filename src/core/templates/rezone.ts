import {
  foundLead,
  isTrueElsewhere,
  toZoneFacts,
  type Dossier,
  type Observation,
  type PieceChange,
  type Zone,
} from '../dossier';
import { bringBack, mergeZones, splitZone } from './assign';
import type { Shape } from './geometry';
import { templateOf, usualSize, type Counts, type Size, type NameZone } from './templates';

const setZone = (zone: Zone): PieceChange => ({ type: 'zone_set', zoneId: zone.id, facts: toZoneFacts(zone) });
const copyReadings = (readings: readonly Observation[], zoneId: string, makeId: () => string): PieceChange[] =>
  readings.map((observation) => ({
    type: 'observation_recorded',
    zoneId,
    observation: { ...observation, id: makeId() },
  }));

/** The changes that split parts off a zone: what was read of the whole was true of what is now on its own. */
export function splitOff(
  shapes: readonly Shape[],
  zones: readonly Zone[],
  zoneId: string,
  parts: readonly string[],
  fresh: Pick<Zone, 'id' | 'name'>,
  makeId: () => string,
): PieceChange[] {
  const cut = splitZone(shapes, zones, zoneId, parts, fresh);
  if (!cut) return [];
  const read = zones.find(({ id }) => id === zoneId)?.observations ?? [];
  return [setZone(cut.kept), setZone(cut.split), ...copyReadings(read.filter(isTrueElsewhere), cut.split.id, makeId)];
}

/** The changes that join a zone into another: what is read of it goes with it, but lead that was found stays known. */
export function joinInto(
  shapes: readonly Shape[],
  zones: readonly Zone[],
  intoId: string,
  fromId: string,
  makeId: () => string,
): PieceChange[] {
  const joined = mergeZones(shapes, zones, intoId, fromId);
  if (!joined) return [];
  const read = zones.find(({ id }) => id === fromId)?.observations ?? [];
  return [
    ...copyReadings(read.filter(foundLead), intoId, makeId),
    { type: 'zone_removed', zoneId: fromId },
    setZone(joined),
  ];
}

/** The changes that bring a removed zone back with its faces, taken from those that have them now. */
export const restore = (shapes: readonly Shape[], zones: readonly Zone[], removed: Zone): PieceChange[] =>
  bringBack(shapes, zones, removed).map(setZone);

/**
 * The changes that make a piece of another size, or with another number of doors, drawers, shelves or panels. Areas that
 * were worked out follow; what was measured, split or joined by its owner stays. A zone that came with the template and was
 * never read goes when the template has it no more; one that is new comes.
 */
export function remeasure(
  dossier: Dossier,
  { size_mm, counts }: { size_mm?: Size; counts?: Counts },
  name?: NameZone,
): PieceChange[] {
  const { id: _id, ...facts } = dossier.piece;
  const nextCounts = { ...facts.counts, ...counts };
  const before = templateOf(dossier.piece);
  const next = { ...facts, ...(Object.keys(nextCounts).length > 0 ? { counts: nextCounts } : {}) };
  const size = size_mm ?? resize(dossier.piece, nextCounts);
  if (size) next.size_mm = { ...size };
  const after = templateOf(next, name);
  const changes: PieceChange[] = [{ type: 'piece_facts_set', piece: next }];
  const own = dossier.zones ?? [];
  for (const zone of after.zones) {
    const here = own.find(({ id }) => id === zone.id);
    const old = before.zones.find(({ id }) => id === zone.id);
    if (!here) {
      if (!old) changes.push(setZone(zone));
      continue;
    }
    const parts = here.parts && [...here.parts, ...newParts(before.shapes, after.shapes, zone.id)];
    const area = here.area_m2 === old?.area_m2 ? zone.area_m2 : here.area_m2;
    if (area === here.area_m2 && (!parts || parts.length === here.parts!.length)) continue;
    changes.push(setZone({ ...here, ...(area === undefined ? {} : { area_m2: area }), ...(parts ? { parts } : {}) }));
  }
  const gone = before.zones.filter(({ id }) => !after.zones.some((zone) => zone.id === id));
  for (const { id } of gone) {
    const here = own.find((zone) => zone.id === id);
    if (here && !here.observations?.length) changes.push({ type: 'zone_removed', zoneId: id });
  }
  return changes;
}

/** A piece of its kind's usual size has the usual one of its new counts; one that was measured stays as it is. */
function resize({ kind, size_mm, counts }: Dossier['piece'], next: Counts): Size | undefined {
  const [old, usual] = [usualSize(kind, counts), usualSize(kind, next)];
  const sides = ['width', 'depth', 'height'] as const;
  const measured = size_mm !== undefined && sides.some((side) => size_mm[side] !== old[side]);
  return measured || sides.every((side) => old[side] === usual[side]) ? undefined : usual;
}

const newParts = (before: readonly Shape[], after: readonly Shape[], zoneId: string): string[] => {
  const known = new Set(before.map(({ part }) => part));
  return [...new Set(after.flatMap(({ zone, part }) => (zone === zoneId && !known.has(part) ? [part] : [])))];
};
