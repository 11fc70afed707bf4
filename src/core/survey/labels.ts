import { FACET_LABELS, FINISH_FACTS, SUBSTRATE_FACTS } from '../knowledge';
import { lowerFirst } from '../shared';

/** What any state or small fact is called in its table, for the middle of a sentence. `MDF` stays in capitals. */
export function labelState(code: string): string {
  if (code in SUBSTRATE_FACTS) return lowerFirst(SUBSTRATE_FACTS[code as keyof typeof SUBSTRATE_FACTS].label);
  if (code in FINISH_FACTS) return FINISH_FACTS[code as keyof typeof FINISH_FACTS].label;
  return FACET_LABELS[code] ?? code;
}
