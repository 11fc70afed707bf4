import { labelProduct } from '@/core/knowledge';
import type { CoatingSystem, FailureMode, SystemLabel } from '@/core/systems';

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
  if (system.labels.length === 0) return `Another way, with ${mainPrimer(system).toLowerCase()}`;
  const words = system.labels.map((label, i) => (i === 0 ? LABELS[label] : LABELS[label].toLowerCase()));
  return new Intl.ListFormat('en-GB').format(words);
}

export function mainPrimer(system: CoatingSystem): string {
  const code = system.zones.flatMap(({ stack }) => stack.primers.map((primer) => primer.code))[0];
  return code ? labelProduct(code) : 'no primer';
}

const MODES: Record<FailureMode, string> = {
  adhesion: 'letting go',
  bleed: 'bleeding through',
  grain_show: 'grain showing',
  haze_or_yellow: 'haze or yellowing',
  blocking: 'sticking doors',
};

/** The failure that makes up most of the risk. */
export function mainFailure({ risk }: CoatingSystem): string {
  const { overall: _overall, ...modes } = risk;
  const [mode] = Object.entries(modes).sort(([, a], [, b]) => b - a)[0]!;
  return MODES[mode as FailureMode];
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
