import type { Dossier, RemovedZone, Zone, ZoneFacts } from './schema';

/** What goes with a zone that is taken away, and comes back with it. */
export const OF_ZONE = ['tests', 'panels', 'outcomes', 'overrides', 'troubles', 'log', 'parts', 'hardware'] as const;
export type ListOfZone = (typeof OF_ZONE)[number];

/** Takes a zone away with everything it had. It is kept whole, so that setting it again brings it back. */
export function removeZone(dossier: Dossier, zoneId: string): Dossier {
  const zone = dossier.zones?.find(({ id }) => id === zoneId);
  if (!zone) return dossier;
  const followers = (dossier.zones ?? []).flatMap(({ id, like }) => (like === zoneId ? [id] : []));
  const removed: RemovedZone = { zone, ...(followers.length > 0 ? { followers } : {}) };
  const left: Partial<Dossier> = {};
  for (const list of OF_ZONE) {
    const own = ofZone(dossier[list], zoneId);
    if (own.length === 0) continue;
    Object.assign(removed, { [list]: own });
    Object.assign(left, { [list]: (dossier[list] as { zone?: string }[]).filter((record) => record.zone !== zoneId) });
  }
  return {
    ...dossier,
    ...left,
    zones: dossier
      .zones!.filter(({ id }) => id !== zoneId)
      .map((other) => (other.like === zoneId ? unlink(other) : other)),
    removed_zones: [...(dossier.removed_zones ?? []), removed],
  };
}

/** Sets the facts of a zone: of one that is there, of one that was removed and now comes back, or of a new one. */
export function setZone(dossier: Dossier, zoneId: string, facts: ZoneFacts): Dossier {
  if (dossier.zones?.some(({ id }) => id === zoneId))
    return withExistingZone(dossier, zoneId, (zone) => ({ ...facts, ...pickReadings(zone), id: zoneId }));
  const removed = dossier.removed_zones?.find(({ zone }) => zone.id === zoneId);
  const zone: Zone = { ...facts, ...(removed ? pickReadings(removed.zone) : {}), id: zoneId };
  const zones = [...(dossier.zones ?? []), zone];
  if (!removed) return { ...dossier, zones };
  const back: Partial<Dossier> = {};
  for (const list of OF_ZONE) {
    const own = removed[list] ?? [];
    if (own.length > 0) Object.assign(back, { [list]: [...(dossier[list] ?? []), ...own] });
  }
  const follows = (other: Zone): boolean =>
    other.like === undefined && other.id !== zoneId && (removed.followers ?? []).includes(other.id);
  return {
    ...dossier,
    ...back,
    zones: zones.map((other) => (follows(other) ? { ...other, like: zoneId } : other)),
    removed_zones: dossier.removed_zones!.filter((own) => own !== removed),
  };
}

/** The piece without zones that lay in the bin for their time, nor the pictures of them: they are gone for good. */
export function emptyBin(dossier: Dossier, zoneIds: readonly string[]): Dossier {
  const removed = dossier.removed_zones?.filter(({ zone }) => !zoneIds.includes(zone.id));
  const photos = dossier.photos?.filter(({ zone }) => zone === undefined || !zoneIds.includes(zone));
  return { ...dossier, ...(removed ? { removed_zones: removed } : {}), ...(photos ? { photos } : {}) };
}

/** A change of one list that also reaches what lies in removed zones: what is taken back is taken back there too. */
export function inBinsToo<L extends ListOfZone>(
  dossier: Dossier,
  list: L,
  change: (records: NonNullable<RemovedZone[L]>) => NonNullable<RemovedZone[L]>,
): Dossier {
  const own = dossier[list] as NonNullable<RemovedZone[L]> | undefined;
  return inBins(own ? { ...dossier, [list]: change(own) } : dossier, list, change);
}

export function inBins<L extends ListOfZone>(
  dossier: Dossier,
  list: L,
  change: (records: NonNullable<RemovedZone[L]>) => NonNullable<RemovedZone[L]>,
): Dossier {
  if (!dossier.removed_zones?.some((removed) => removed[list] !== undefined)) return dossier;
  return {
    ...dossier,
    removed_zones: dossier.removed_zones.map((removed) => {
      const records = removed[list] as NonNullable<RemovedZone[L]> | undefined;
      return records ? { ...removed, [list]: change(records) } : removed;
    }),
  };
}

export function withExistingZone(dossier: Dossier, zoneId: string, update: (zone: Zone) => Zone): Dossier {
  return { ...dossier, zones: dossier.zones?.map((zone) => (zone.id === zoneId ? update(zone) : zone)) };
}

const ofZone = (records: readonly { zone?: string | undefined }[] | undefined, zoneId: string) =>
  (records ?? []).filter(({ zone }) => zone === zoneId);

/** A zone that was read like one that is gone stands on its own answers. */
function unlink({ like: _like, ...zone }: Zone): Zone {
  return zone as Zone;
}

function pickReadings({ observations, skipped_checks, defects }: Zone): Partial<Zone> {
  return Object.fromEntries(
    Object.entries({ observations, skipped_checks, defects }).filter(([, value]) => value !== undefined),
  );
}
