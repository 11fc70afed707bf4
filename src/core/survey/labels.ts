import { FINISH_FACTS, SUBSTRATE_FACTS } from '../knowledge';
import { lowerFirst } from '../shared';

// prettier-ignore
const OTHER_LABELS: Readonly<Record<string, string>> = {
  sound: 'a sound old coat', marginal: 'a doubtful old coat', failing: 'a failing old coat', bleed: 'a stain that will bleed',
  grease: 'grease', wax_polish: 'wax polish', silicone: 'silicone polish', odour: 'a smell that comes back',
  open: 'open grain', medium: 'fine, open pores', closed: 'closed grain',
};

/** `MDF` stays in capitals. */

/** Any state or small fact in words, for the middle of a sentence. */
export function labelState(code: string): string {
  if (code in SUBSTRATE_FACTS) return lowerFirst(SUBSTRATE_FACTS[code as keyof typeof SUBSTRATE_FACTS].label);
  if (code in FINISH_FACTS) return FINISH_FACTS[code as keyof typeof FINISH_FACTS].label;
  return OTHER_LABELS[code] ?? code;
}
