import { applyChange, type Dossier, type LogEntry, type PieceChange, type Zone } from '../dossier';
import { splitOff, templateOf } from '../templates';

/**
 * The changes after which some parts of a zone are a zone of their own, with all that was planned, wished, done and
 * proved on the whole: nine doors of fourteen that went on otherwise. None where all or none of its parts are named.
 * `makeId` makes an id at each call.
 */
export function splitForWork(
  dossier: Dossier,
  zoneId: string,
  parts: readonly string[],
  fresh: Pick<Zone, 'id' | 'name'>,
  makeId: () => string,
): PieceChange[] {
  const split = splitOff(templateOf(dossier.piece).shapes, dossier.zones ?? [], zoneId, parts, fresh, makeId);
  if (split.length === 0) return [];
  const cut = split.reduce<Dossier | undefined>((own, change) => applyChange(own, change), dossier)!;
  const area = (id: string): number => cut.zones!.find((own) => own.id === id)?.area_m2 ?? 1;
  const share = area(fresh.id) / (area(fresh.id) + area(zoneId));
  const wishes = dossier.goal?.zones?.[zoneId];
  const taken = dossier.chosen?.zones.find(({ id }) => id === zoneId);
  return [
    ...split,
    ...(wishes
      ? [
          {
            type: 'goal_set' as const,
            goal: { ...dossier.goal, zones: { ...dossier.goal!.zones, [fresh.id]: wishes } },
          },
        ]
      : []),
    ...(taken
      ? [
          {
            type: 'choice_taken' as const,
            choice: { ...dossier.chosen!, zones: [...dossier.chosen!.zones, { ...taken, id: fresh.id }] },
          },
        ]
      : []),
    ...listShared(dossier.log ?? [], zoneId).map(({ work, entries }): PieceChange => ({
      type: 'work_logged',
      work,
      entries: entries.flatMap((entry) =>
        entry.zone === zoneId ? [shareOf(entry, 1 - share), { ...shareOf(entry, share), zone: fresh.id }] : [entry],
      ),
    })),
  ];
}

/** Taps that were about a zone, with all their entries. */
function listShared(log: readonly LogEntry[], zoneId: string): { work: string; entries: LogEntry[] }[] {
  const works = new Set(log.flatMap(({ zone, work }) => (zone === zoneId && work !== undefined ? [work] : [])));
  return [...works].map((work) => ({ work, entries: log.filter((entry) => entry.work === work) }));
}

const round = (value: number): number => Math.round(value * 10) / 10;

/** What a part of a face took of the time and the paint of the whole. */
const shareOf = ({ id: _id, ...entry }: LogEntry, share: number): LogEntry => ({
  ...entry,
  ...(entry.minutes === undefined ? {} : { minutes: round(entry.minutes * share) }),
  ...(entry.foreseen_min === undefined ? {} : { foreseen_min: round(entry.foreseen_min * share) }),
  ...(entry.ml === undefined ? {} : { ml: round(entry.ml * share) }),
});
