import { fail, type Problem } from '../shared';
import { OF_ZONE, type ListOfZone } from './bin';
import type { Dossier } from './schema';

/** Lists whose records are found again by their id, one space of ids each. */
const LISTS = [
  'tests',
  'overrides',
  'panels',
  'outcomes',
  'troubles',
  'parts',
  'mixes',
  'photos',
  'log',
  'shelf',
] as const;

type WithZones = Pick<Dossier, 'zones' | 'removed_zones'>;

/** All zones with where they stand, those that were removed too: they may come back. */
const listZones = ({ zones = [], removed_zones: removed = [] }: WithZones) => [
  ...zones.map((zone, i) => ({ zone, path: `zones[${i}]` })),
  ...removed.map(({ zone }, i) => ({ zone, path: `removed_zones[${i}].zone` })),
];

/** The first id that two records of a dossier share, with the path of the second; null where all differ. */
export function findSharedId(dossier: Partial<Dossier>): Problem | null {
  const zones = listZones(dossier);
  const seen = new Set<string>();
  for (const { zone, path } of zones) {
    if (seen.has(zone.id)) return shared(`${path}.id`, zone.id);
    seen.add(zone.id);
  }
  // A zone's readings share one space: on the disk a piece's readings lie together.
  const read = new Set<string>();
  for (const { zone, path } of zones)
    for (const [i, { id }] of (zone.observations ?? []).entries()) {
      if (id === undefined) continue;
      if (read.has(id)) return shared(`${path}.observations[${i}].id`, id);
      read.add(id);
    }
  for (const list of LISTS) {
    const used = new Set<string>();
    const kept = goesWithZone(list) ? listRemoved(dossier, list) : [];
    for (const { records, path } of [{ records: dossier[list] ?? [], path: list }, ...kept])
      for (const [i, { id }] of records.entries()) {
        if (id === undefined) continue;
        if (used.has(id)) return shared(`${path}[${i}].id`, id);
        used.add(id);
      }
  }
  return null;
}

type ListWithIds = (typeof LISTS)[number];
type Binned = Extract<ListWithIds, ListOfZone>;
const goesWithZone = (list: ListWithIds): list is Binned => (OF_ZONE as readonly string[]).includes(list);

const listRemoved = ({ removed_zones: removed = [] }: Partial<Dossier>, list: Binned) =>
  removed.map((bin, i) => ({ records: bin[list] ?? [], path: `removed_zones[${i}].${list}` }));

const shared = (path: string, id: string): Problem => fail('duplicate_id', path, { id }).problem;

/**
 * A dossier in which every reading, test, override and log entry has an id, made where it was missing so that it meets no
 * other; the same object where none was missing. The same file always gets the same ids.
 */
export function withIds(dossier: Dossier): Dossier {
  const used = new Set(listZones(dossier).flatMap(({ zone }) => (zone.observations ?? []).map(({ id }) => id)));
  const zones = dossier.zones?.map((zone) => {
    const observations = nameAll(zone.observations, 'o', used);
    return observations === zone.observations ? zone : { ...zone, observations };
  });
  const named = <T extends { id?: string | undefined }>(list: T[] | undefined, stem: string): T[] | undefined =>
    nameAll(list, stem, new Set(list?.map(({ id }) => id)));
  const next = {
    ...(zones?.some((zone, i) => zone !== dossier.zones?.[i]) ? { zones } : {}),
    ...changed('tests', dossier.tests, named(dossier.tests, 't')),
    ...changed('overrides', dossier.overrides, named(dossier.overrides, 'g')),
    ...changed('log', dossier.log, named(dossier.log, 'l')),
  };
  return Object.keys(next).length === 0 ? dossier : { ...dossier, ...next };
}

const changed = <T>(name: string, before: T | undefined, after: T | undefined): Record<string, T> =>
  after === undefined || after === before ? {} : { [name]: after };

function nameAll<T extends { id?: string | undefined }>(
  list: T[] | undefined,
  stem: string,
  used: Set<string | undefined>,
): T[] | undefined {
  if (!list || list.every(({ id }) => id !== undefined)) return list;
  let n = 0;
  return list.map((record) => {
    if (record.id !== undefined) return record;
    do n += 1;
    while (used.has(`${stem}${n}`));
    used.add(`${stem}${n}`);
    return { ...record, id: `${stem}${n}` };
  });
}
