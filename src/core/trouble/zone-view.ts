import { isMeasured, type Air } from '../workshop';
import { isLeft, type Dossier, type LogEntry, type ShelfItem, type Zone } from '../dossier';
import { FAULT_ANSWERS, FINISH_FACTS, isCoat } from '../knowledge';
import { exposureOf, type Exposure } from '../proof';
import { computeBelief, STATES, type Belief } from '../survey';
import { listTakenSteps, type TakenStep } from '../systems';
import { isFilm, listTasks, type FilmCode, type Task } from '../work';
import { LABEL_CLIMATE, type Climate } from '../climate';

/** An entry of the log, and where it stands there. */
export interface Logged {
  entry: LogEntry;
  index: number;
  /** When it ended and when it began, ms; a coat whose start was not noted began when it ended. */
  endMs: number;
  startMs: number;
}

/** A coat that was put on: its film is known. */
export interface Coat extends Logged {
  code: FilmCode;
  tin: ShelfItem | undefined;
}

/** What the log says of one zone, beside what was to be done and what it is. */
export interface ZoneView {
  dossier: Dossier;
  zone: Zone;
  /** Dated entries since the zone was last stripped, in the order of their ends; what was left out among them. */
  entries: Logged[];
  coats: Coat[];
  /** The steps of the system that was taken; none where none was. */
  steps: readonly TakenStep[];
  tasks: readonly Task[];
  belief: Belief;
  /** Chance that the face is slick and closed. */
  slick: number;
  /** What the coats stand against; colour that was seen to come through is no question any more. */
  exposure: Exposure;
  air: readonly Air[];
}

/** Readings of the air count for a coat within so long, ms. */
const NEAR_MS = 2 * 3_600_000;

/** What was done to the zones of a piece; those are left out that are left as they are, or that nothing was done to or planned. */
export function viewZones(dossier: Dossier, air: readonly Air[], only?: readonly string[]): ZoneView[] {
  const view = makeViewer(dossier, air);
  return (dossier.zones ?? []).flatMap((zone): ZoneView[] => {
    if (isLeft(dossier, zone) || (only && !only.includes(zone.id))) return [];
    const own = view(zone);
    return own.entries.length === 0 && own.steps.length === 0 ? [] : [own];
  });
}

export function makeViewer(dossier: Dossier, air: readonly Air[]): (zone: Zone) => ZoneView {
  const taken = new Map(listTakenSteps(dossier).map(({ id, steps }) => [id, steps]));
  const tins = dossier.shelf ?? [];
  // What was left open counts, whatever is wrong with the zone by now.
  const tasks = dossier.chosen ? listTasks({ ...dossier, troubles: [] }, tins, LABEL_CLIMATE) : [];
  return (zone) => {
    const entries = listEntries(dossier, zone.id);
    const belief = computeBelief(dossier, zone);
    const exposure = exposureOf(dossier, zone);
    const bled = dossier.troubles?.some((own) => own.zone === zone.id && own.symptom === 'bleed') === true;
    return {
      dossier,
      zone,
      entries,
      coats: listCoats(entries, tins),
      steps: taken.get(zone.id) ?? [],
      tasks: tasks.filter(({ zones }) => zones.includes(zone.id)),
      belief,
      slick: wasBared(tasks, zone) ? 0 : slickOf(belief),
      exposure: bled ? { ...exposure, bleeds: 1 } : exposure,
      air,
    };
  };
}

const slickOf = ({ joint }: Belief): number =>
  STATES.reduce((sum, { finish }, i) => sum + (FINISH_FACTS[finish].slickness === 2 ? joint[i]! : 0), 0);

/** Steps of repairs that take the face itself off. */
const BARING = new Set<string>(
  Object.values(FAULT_ANSWERS).flatMap(({ ways }) => ways.filter(({ bares }) => bares).flatMap(({ steps }) => steps)),
);

/** The face was taken off: what was slick about it is gone. */
const wasBared = (tasks: readonly Task[], { id }: Zone): boolean =>
  tasks.some(
    ({ repair, state, zones, openZones }) =>
      repair !== undefined &&
      BARING.has(repair) &&
      state !== 'skipped' &&
      zones.includes(id) &&
      !openZones.includes(id),
  );

function listEntries({ log = [], chosen }: Dossier, zoneId: string): Logged[] {
  // Where the work took up again after something failed, what was done before is another story.
  const since = chosen?.zones.find(({ id }) => id === zoneId)?.recovery?.at;
  const sinceMs = since === undefined ? -Infinity : Date.parse(since);
  const dated = log.flatMap((entry, index): Logged[] => {
    if (entry.zone !== zoneId || entry.at === undefined) return [];
    const endMs = Date.parse(entry.at);
    if (endMs < sinceMs) return [];
    const startMs = entry.started_at === undefined ? endMs : Math.min(endMs, Date.parse(entry.started_at));
    return [{ entry, index, endMs, startMs }];
  });
  dated.sort((a, b) => a.endMs - b.endMs);
  // What was put on before it was stripped is no longer there.
  const stripped = dated.findLastIndex(({ entry }) => entry.op === 'strip' && !entry.skipped);
  return dated.slice(Math.max(0, stripped));
}

const listCoats = (entries: readonly Logged[], tins: readonly ShelfItem[]): Coat[] =>
  entries.flatMap((logged) => {
    const { op, class: code, product, skipped } = logged.entry;
    if (skipped || !isCoat(op) || !isFilm(code)) return [];
    return [{ ...logged, code, tin: tins.find(({ id }) => id === product) }];
  });

/** The air a coat went on in: its own, else the reading nearest to it within two hours; none where neither is known. */
export function airOfCoat({ entry, endMs }: Logged, air: readonly Air[]): (Climate & { surface_c?: number }) | null {
  const { temperature_c, humidity_pct, surface_c } = entry;
  if (temperature_c !== undefined && humidity_pct !== undefined)
    return { temperature_c, humidity_pct, ...(surface_c === undefined ? {} : { surface_c }) };
  const apart = (own: Air): number => Math.abs(Date.parse(own.at) - endMs);
  const near = air.filter((own) => isMeasured(own) && apart(own) <= NEAR_MS).sort((a, b) => apart(a) - apart(b))[0];
  return near ?? null;
}

/** Whether the plan that was taken has this product for this operation; without a plan nothing is held against one. */
export const isPlanned = ({ steps }: ZoneView, { entry }: Logged): boolean =>
  steps.some(({ op, class: code }) => op === entry.op && code === entry.class);
