import { labelProduct } from '@/core/knowledge';
import type { CoatingSystem, FailureMode, Risk } from '@/core/systems';
import { lowerFirst } from '@/core/shared';
import { OWN_LOCALE } from '@/client/locale';
import { CHOOSE_WORDS, SYSTEM_LABEL_WORDS } from '@/words';

/** Short, for a switch. */
export const systemName = (system: CoatingSystem): string =>
  system.labels[0] ? SYSTEM_LABEL_WORDS[system.labels[0]] : CHOOSE_WORDS.anotherWay;

/** All a system is best at. */
export function systemTitle(system: CoatingSystem): string {
  if (system.labels.length === 0) return CHOOSE_WORDS.anotherWayWith(lowerFirst(mainPrimer(system)));
  const words = system.labels.map((label, i) =>
    i === 0 ? SYSTEM_LABEL_WORDS[label] : lowerFirst(SYSTEM_LABEL_WORDS[label]),
  );
  return new Intl.ListFormat(OWN_LOCALE).format(words);
}

function mainPrimer(system: CoatingSystem): string {
  const code = system.zones.flatMap(({ stack }) => stack.primers.map((primer) => primer.code))[0];
  return code ? labelProduct(code) : CHOOSE_WORDS.noPrimer;
}

export const FAILURE_WORDS: Record<FailureMode, string> = {
  adhesion: CHOOSE_WORDS.lettingGo,
  bleed: CHOOSE_WORDS.bleedingThrough,
  grain_show: CHOOSE_WORDS.flawsShowing,
  haze_or_yellow: CHOOSE_WORDS.hazeOrYellowing,
  blocking: CHOOSE_WORDS.sticking,
};

/** Ways of failing that are worth naming, likeliest first. */
export function listFailures({ overall: _overall, ...modes }: Risk): { mode: FailureMode; p: number }[] {
  return (Object.entries(modes) as [FailureMode, number][])
    .map(([mode, p]) => ({ mode, p }))
    .filter(({ p }) => p >= 0.0005)
    .sort((a, b) => b.p - a.p);
}

/** The failure that makes up most of the risk. */
export function mainFailure({ risk }: CoatingSystem): string {
  const [main] = listFailures(risk);
  return main ? FAILURE_WORDS[main.mode] : CHOOSE_WORDS.nothingInSight;
}

/** Minutes of work, to the next five above an hour: 104 → "1 h 45". */
export function sayHours(minutes: number): string {
  if (minutes < 60) return CHOOSE_WORDS.min(minutes);
  const rounded = Math.round(minutes / 5) * 5;
  return CHOOSE_WORDS.hAndMin(Math.floor(rounded / 60), String(rounded % 60).padStart(2, '0'));
}

const DAY_MS = 86_400_000;

/** That a piece is in time or too late for a day, and by how much; both days as "2026-12-20". */
export function sayDue(late: boolean, due: string, ready: string, sayDay: (date: string) => string): string {
  const spare = Math.round((Date.parse(due) - Date.parse(ready)) / DAY_MS);
  const day = sayDay(due);
  return late ? CHOOSE_WORDS.tooLateFor(day, Math.max(1, -spare)) : CHOOSE_WORDS.inTimeFor(day, Math.max(0, spare));
}

/** What the chance of going wrong rests on. */
export const sayBasis = (patches: number): string =>
  patches < 1 ? CHOOSE_WORDS.byClassTablesEstimates : CHOOSE_WORDS.ofYourOwnPatchesCountIn(Math.round(patches));
