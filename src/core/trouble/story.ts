import { OPERATION_FACTS, type FindingCode } from '../knowledge';
import type { Climate } from '../climate';
import { wishOf, type LogEntry } from '../dossier';
import { buildWorkSection, type Section, type WorkCoat } from '../piece';
import { listFilmTimes, stateAt } from '../work';
import type { Finding } from './audit';
import type { CausesBelief } from './causes';
import { airOfCoat, type Coat } from './zone-view';

/** One thing that was done to a zone, beside what was asked of it. */
export interface StoryRow {
  /** Its place in the log. */
  index: number;
  entry: LogEntry;
  air: Climate | null;
  /** How long the coat before it had stood, and how long it was to stand, hours; none before a first coat. */
  wait: { wasH: number; askedH: number } | null;
  findings: Finding[];
  /** What is found of it points to something that is likely at work. */
  suspect: boolean;
}

/** What is likely at work from this chance on. */
const LIKELY = 0.5;
const HOUR_MS = 3_600_000;

/** What was done to the zone of a trouble, first to last, each with its wait, its air and what is found against it. */
export function tellWork({ view, findings, causes }: CausesBelief): StoryRow[] {
  const pointing = listPointing(causes);
  return view.entries.map(({ entry, index, startMs }): StoryRow => {
    const place = view.coats.findIndex((coat) => coat.index === index);
    const before = place > 0 ? view.coats[place - 1] : undefined;
    const own = findings.filter((finding) => finding.entry === index);
    const coat = view.coats[place];
    return {
      index,
      entry,
      air: coat ? airOfCoat(coat, view.air) : null,
      wait: before ? { wasH: (startMs - before.endMs) / HOUR_MS, askedH: askedOf(before, view.air) } : null,
      findings: own,
      suspect: own.some(({ code, severity }) => severity !== 'unknown' && pointing.has(code)),
    };
  });
}

function askedOf(before: Coat, air: CausesBelief['view']['air']): number {
  return listFilmTimes(before.code, before.tin, airOfCoat(before, air) ?? undefined).recoatH;
}

const listPointing = (causes: CausesBelief['causes']): ReadonlySet<FindingCode> =>
  new Set(
    causes
      .filter(({ p }) => p >= LIKELY)
      .flatMap(({ evidence }) =>
        evidence.flatMap((own) => (own.kind === 'finding' && own.factor > 1 ? [own.finding.code] : [])),
      ),
  );

const LAYERS = { primer: 'primer', paint: 'paint', clear: 'clear' } as const;

/** The cut through a zone as the log has it, with the coats marked that what is found points to. `now`: ISO instant. */
export function drawStory(belief: CausesBelief, now: string): Section {
  const { view } = belief;
  const suspects = new Set(tellWork(belief).flatMap(({ index, suspect }) => (suspect ? [index] : [])));
  const coats = view.coats.flatMap(({ entry, code, index, endMs, tin }): WorkCoat[] => {
    const kind = OPERATION_FACTS[entry.op].coat;
    if (!kind || kind === 'seal') return [];
    const state = stateAt((Date.parse(now) - endMs) / HOUR_MS, listFilmTimes(code, tin));
    const suspect = suspects.has(index);
    const coat: WorkCoat = {
      layer: LAYERS[kind],
      code,
      note: { code: 'as_logged' },
      state: state === 'cured' ? 'cured' : state === 'wet' ? 'wet' : 'dry',
      ...(suspect ? { suspect } : {}),
    };
    return Array.from({ length: Math.max(1, Math.round(entry.coats ?? 1)) }, () => coat);
  });
  const prep = view.dossier.chosen?.zones.find(({ id }) => id === view.zone.id)?.treatment.prep ?? 'none';
  return buildWorkSection(view.belief, prep, coats, wishOf(view.dossier, view.zone).colour);
}
