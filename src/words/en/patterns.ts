import type { Pattern, PatternFact } from '@/core/trouble';
import { describeChance } from './chances';

const PATTERN_FACTS: Record<PatternFact, string> = {
  coated_cold: 'coated under 12 °C',
  coated_damp: 'coated above 75 % humidity',
  hurried: 'coated again too soon',
  thinned: 'primed with thinned primer',
  not_proved: 'painted before a patch had proved it',
  not_dulled: 'not dulled as asked',
  not_cleaned: 'not cleaned',
};

/** What pieces with the same fault have in common: "4 of 5 that bled were coated under 12 °C; of the others 1 of 14". */
export const sayPattern = ({ fact, with: own, without, p }: Pattern): string =>
  `${own.had} of ${own.of} were ${PATTERN_FACTS[fact]}; of the others ${without.had} of ${without.of}. By chance alone ${describeChance(p)} times.`;
