import { labelProduct } from '@/core/knowledge';
import type { CoatingSystem, FailureMode, Risk, SystemLabel } from '@/core/systems';
import { lowerFirst } from '@/core/shared';
import { OWN_LOCALE } from '@/client/locale';

const LABELS: Record<SystemLabel, string> = {
  recommended: 'Best on balance',
  surest: 'Surest',
  soonest: 'Soonest',
  cheapest: 'Cheapest',
  least_fumes: 'Least fumes',
};

/** Short, for a switch. */
export const systemName = (system: CoatingSystem): string =>
  system.labels[0] ? LABELS[system.labels[0]] : 'Another way';

/** All a system is best at. */
export function systemTitle(system: CoatingSystem): string {
  if (system.labels.length === 0) return `Another way, with ${lowerFirst(mainPrimer(system))}`;
  const words = system.labels.map((label, i) => (i === 0 ? LABELS[label] : lowerFirst(LABELS[label])));
  return new Intl.ListFormat(OWN_LOCALE).format(words);
}

function mainPrimer(system: CoatingSystem): string {
  const code = system.zones.flatMap(({ stack }) => stack.primers.map((primer) => primer.code))[0];
  return code ? labelProduct(code) : 'no primer';
}

export const FAILURE_WORDS: Record<FailureMode, string> = {
  adhesion: 'letting go',
  bleed: 'bleeding through',
  grain_show: 'flaws showing',
  haze_or_yellow: 'haze or yellowing',
  blocking: 'sticking',
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
  return main ? FAILURE_WORDS[main.mode] : 'nothing in sight';
}

/** Minutes of work, to the next five above an hour: 104 → "1 h 45". */
export function sayHours(minutes: number): string {
  if (minutes < 60) return `${minutes} min`;
  const rounded = Math.round(minutes / 5) * 5;
  return `${Math.floor(rounded / 60)} h ${String(rounded % 60).padStart(2, '0')}`;
}

export const sayDays = (hours: number): string => (hours <= 36 ? `${hours} h` : `${Math.round(hours / 24)} days`);
export const FUME_WORDS: Record<CoatingSystem['fumes'], string> = {
  low: 'Little',
  solvent: 'Strong',
  two_part: 'Two-part',
};

/** Whether a system started now can be ready by a day, as a sentence; nothing without a day. */
export function sayDue(due: string | undefined, elapsedH: number, now: Date): string | null {
  if (!due) return null;
  const ready = new Date(now.getTime() + elapsedH * 3_600_000);
  const spare = Math.floor((new Date(`${due}T23:59:59`).getTime() - ready.getTime()) / 86_400_000);
  if (spare < 0) return `Too late for ${due} by ${-spare} ${spare === -1 ? 'day' : 'days'}, even with every hour used.`;
  return `In time for ${due}, with ${spare} ${spare === 1 ? 'day' : 'days'} to spare if you start now.`;
}

/** What the chance of going wrong rests on. */
export const sayBasis = (patches: number): string =>
  patches < 1 ? 'By class tables: estimates.' : `${Math.round(patches)} of your own patches count in it.`;
