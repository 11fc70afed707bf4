import { foundLead, isTrueElsewhere, toZoneFacts, type Observation, type PieceChange, type Zone } from '../dossier';
import { bringBack, mergeZones, splitZone } from './assign';
import type { Shape } from './geometry';

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
