import { labelProduct } from '@/core/knowledge';
import type { BleedMoment, Moment } from '@/core/panel';
import { lowerFirst } from '@/core/shared';

const PHASES: Record<NonNullable<Moment['coat']>['phase'], string> = {
  prime: 'Prime',
  paint: 'Paint',
  clear: 'Clear coat',
};
const WATCHES: Record<BleedMoment, string> = {
  '1h': 'Look for colour, 1 h',
  overnight: 'Look for colour, next morning',
  after_clear: 'Look for colour after the last coat',
  '48h': 'Look for colour, 48 h',
  '7d': 'Look for colour, a week',
};

/** What is to be done to a panel at a moment. */
export function sayMoment({ coat, on, bleedAt }: Pick<Moment, 'coat' | 'on' | 'bleedAt'>): string {
  if (coat) {
    const names = coat.films.map((code) => lowerFirst(labelProduct(code))).join(', ');
    return `${PHASES[coat.phase]}${coat.number === undefined ? '' : `, coat ${coat.number}`}: ${names}`;
  }
  if (bleedAt) return WATCHES[bleedAt];
  return on === 'primer' ? 'Read the primer' : 'Read the whole system';
}
