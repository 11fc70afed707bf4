import { computeDryingFactor, LABEL_CLIMATE, type Climate } from '../climate';
import { type BLEED_MOMENTS, type Dossier, type Panel, type Test, type Treatment } from '../dossier';
import {
  FILM_FACTS,
  findDrying,
  listTestKinds,
  showsBleed,
  type PaintCode,
  type PrimerCode,
  type TestKind,
} from '../knowledge';

/** Something to do to a panel, so many hours after its first coat. All strips keep the same times. */
export interface Moment {
  atH: number;
  kind: 'coat' | 'read';
  /** What is put on: its number where there are several of its phase. */
  coat?: { phase: 'prime' | 'paint' | 'clear'; number?: number; films: Film[] };
  /** Strips it is about; a strip without primer has nothing done to it while the others are primed. */
  strips: string[];
  tests: TestKind[];
  bleedAt?: BleedMoment;
  /** A scratch on the primer before it is painted over, or on the whole system. */
  on?: 'primer' | 'system';
}
export type BleedMoment = (typeof BLEED_MOMENTS)[number];

type Film = PrimerCode | PaintCode | Exclude<NonNullable<Treatment['clear']>, 'none'>;
const OVERNIGHT_H = 12;
const DAY_H = 24;

/**
 * Coats, waits and readings of a panel. Every wait is that of its slowest strip in this air, so that all strips are of one
 * age; scratches are read on the primer before it is painted over and on the whole system, bleed at the usual moments.
 */
export function scheduleMoments(panel: Pick<Panel, 'strips' | 'kinds'>, climate: Climate = LABEL_CLIMATE): Moment[] {
  const moments: Moment[] = [];
  let clock = 0;
  const layers = listLayers(panel);
  const scratches = panel.kinds.filter((kind) => !showsBleed(kind));
  const all = panel.strips.map(({ code }) => code);
  const stretch = (code: Film): number => computeDryingFactor(findDrying(code), climate);
  layers.forEach((layer, i) => {
    moments.push({ atH: clock, kind: 'coat', coat: layer.coat, strips: layer.strips, tests: [] });
    const recoat = Math.max(...layer.coat.films.map((code) => FILM_FACTS[code].recoatH * stretch(code)));
    const next = layers[i + 1];
    if (layer.last === 'prime' && scratches.length > 0) {
      const hard = Math.max(...layer.coat.films.map((code) => FILM_FACTS[code].testFromH * stretch(code)), OVERNIGHT_H);
      moments.push({ ...read(clock + hard, all, scratches), on: 'primer' });
      clock += next ? Math.max(recoat, hard) : hard;
    } else clock += next ? recoat : 0;
  });
  const hard = Math.max(
    0,
    ...(layers.at(-1)?.coat.films ?? []).map((code) => FILM_FACTS[code].testFromH * stretch(code)),
  );
  if (layers.at(-1)?.last === 'paint' && scratches.length > 0) {
    moments.push({ ...read(clock + hard, all, scratches), on: 'system' });
  }
  const watches = panel.kinds.filter(showsBleed);
  if (watches.length > 0) moments.push(...watchBleed(layers, moments, clock, all, watches));
  return moments.sort((a, b) => a.atH - b.atH);
}

const read = (atH: number, strips: string[], tests: TestKind[]): Moment => ({
  atH,
  kind: 'read',
  strips,
  tests,
});

/** Colour may come at any time: an hour after the first colour coat, next morning, after the last coat, two days, a week. */
function watchBleed(
  layers: readonly Layer[],
  moments: readonly Moment[],
  clock: number,
  strips: string[],
  kinds: TestKind[],
): Moment[] {
  const coats = moments.filter(({ kind }) => kind === 'coat');
  const firstPaint = coats[layers.findIndex(({ coat }) => coat.phase !== 'prime')]?.atH ?? 0;
  const watch = (atH: number, bleedAt: BleedMoment): Moment => ({
    ...read(atH, strips, kinds),
    bleedAt,
  });
  return [
    watch(firstPaint + 1, '1h'),
    watch(firstPaint + OVERNIGHT_H, 'overnight'),
    watch(clock + 1, 'after_clear'),
    watch(clock + 2 * DAY_H, '48h'),
    watch(clock + 7 * DAY_H, '7d'),
  ];
}

/**
 * The moment of a bleed watch that a strip has reached so many hours after the first coat (0 or more): the last of the
 * panel's own that has come, for its later ones count from the last coat.
 */
export function bleedMomentOnPanel(
  panel: Pick<Panel, 'strips' | 'kinds'>,
  ageH: number,
  climate?: Climate,
): BleedMoment {
  const watched = scheduleMoments({ ...panel, kinds: listTestKinds().filter(showsBleed) }, climate);
  return watched.findLast(({ bleedAt, atH }) => bleedAt !== undefined && atH <= ageH)?.bleedAt ?? '1h';
}

interface Layer {
  /** The last coat of its phase. */
  last: 'prime' | 'paint' | null;
  coat: NonNullable<Moment['coat']>;
  strips: string[];
}

function listLayers({ strips }: Pick<Panel, 'strips'>): Layer[] {
  const phases = [
    { phase: 'prime', of: (t: Treatment) => take(t.primer, t.coats ?? 1) },
    { phase: 'paint', of: (t: Treatment) => take(t.paint, t.paint_coats ?? 1) },
    { phase: 'clear', of: (t: Treatment) => take(t.clear, 1) },
  ] as const;
  const layers = phases.flatMap(({ phase, of }): Layer[] => {
    const most = Math.max(0, ...strips.map(({ treatment }) => of(treatment)?.coats ?? 0));
    return Array.from({ length: most }, (_, coat) => {
      const touched = strips.filter(({ treatment }) => (of(treatment)?.coats ?? 0) > coat);
      const films = [...new Set(touched.map(({ treatment }) => of(treatment)!.code))];
      const own = { phase, films, ...(most > 1 ? { number: coat + 1 } : {}) };
      return { last: null, coat: own, strips: touched.map(({ code }) => code) };
    });
  });
  const lastPrime = layers.findLast(({ coat }) => coat.phase === 'prime');
  if (lastPrime) lastPrime.last = 'prime';
  const lastCoat = layers.at(-1);
  if (lastCoat && lastCoat.coat.phase !== 'prime') lastCoat.last = 'paint';
  return layers;
}

const take = (code: string | undefined, coats: number): { code: Film; coats: number } | null =>
  code === undefined || code === 'none' || coats === 0 ? null : { code: code as Film, coats };

/** A reading of a panel with the time it is due. */
export interface DueReading {
  panel: Panel;
  moment: Moment;
  dueAt: string;
  overdueAt: string;
  state: 'later' | 'due' | 'overdue';
  /** Strips not read yet. */
  strips: string[];
}

/** Half as long again as it was waited for, at least an hour and at most a day: later is late (common practice). */
const graceH = (moment: Moment): number => Math.max(1, Math.min(DAY_H, moment.atH / 2));

/** Readings still to be made of the panels that have been coated, soonest first. `now`: ISO instant. */
export function listReadings(dossier: Pick<Dossier, 'panels' | 'tests' | 'climate'>, now: string): DueReading[] {
  const clock = Date.parse(now);
  return (dossier.panels ?? [])
    .flatMap((panel) => {
      if (panel.coated_at === undefined) return [];
      const start = Date.parse(panel.coated_at);
      return scheduleMoments(panel, dossier.climate)
        .filter(({ kind }) => kind === 'read')
        .flatMap((moment): DueReading[] => {
          const tests = (dossier.tests ?? []).filter((test) => test.panel === panel.id && isReadingOf(test, moment));
          const strips = moment.strips.filter((code) => !tests.some((test) => test.strip === code));
          if (strips.length === 0) return [];
          const due = start + moment.atH * 3_600_000;
          const overdue = due + graceH(moment) * 3_600_000;
          const state = clock < due ? 'later' : clock > overdue ? 'overdue' : 'due';
          const [dueAt, overdueAt] = [due, overdue].map((at) => new Date(at).toISOString()) as [string, string];
          return [{ panel, moment, dueAt, overdueAt, state, strips }];
        });
    })
    .sort((a, b) => a.dueAt.localeCompare(b.dueAt));
}

/** What lies on a strip when it is scratched next: as long as its primer has not been read, it is not painted over. */
export function treatmentOnStrip(
  dossier: Pick<Dossier, 'tests' | 'climate'>,
  panel: Panel,
  code: string,
  kind: TestKind,
): Treatment {
  const next = scheduleMoments(panel, dossier.climate).find(
    (moment) =>
      moment.tests.includes(kind) &&
      !(dossier.tests ?? []).some(
        (test) => test.panel === panel.id && test.strip === code && test.kind === kind && isReadingOf(test, moment),
      ),
  );
  return treatmentAt(panel, code, next?.on);
}

/** What lies on a strip at a moment: of a reading on the primer, the primer alone. */
export function treatmentAt({ strips }: Pick<Panel, 'strips'>, code: string, on: Moment['on']): Treatment {
  const { treatment } = strips.find((strip) => strip.code === code)!;
  if (on !== 'primer') return treatment;
  const { paint: _paint, paint_coats: _coats, clear: _clear, ...primed } = treatment;
  return primed;
}

/** A reading belongs to a moment by its kind, and by its age: not much sooner than asked for. */
export function isReadingOf(test: Test, moment: Moment): boolean {
  if (!moment.tests.includes(test.kind)) return false;
  if (moment.bleedAt) return test.reading.at === moment.bleedAt;
  return (test.age_h ?? 0) >= 0.75 * moment.atH;
}
