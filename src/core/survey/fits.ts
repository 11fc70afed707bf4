import { DEFECT_FACTS, type DefectCode } from '../knowledge';
import type { Zone } from '../dossier';
import { CREDIBLE, type Belief } from './belief';
import type { Contradiction } from './contradictions';
import { labelState } from './labels';

/** Chance that the ground is one the defect can be on at all, 0–1. Example: lifting foil on stated oak → under 0.1. */
export function expectFit(belief: Belief, code: DefectCode): number {
  const { on } = DEFECT_FACTS[code];
  if (!on) return 1;
  return belief.substrate.reduce((sum, { code: own, p }) => sum + (on.includes(own) ? p : 0), 0);
}

/** A fault that hardly can be here changes nothing in the plan: it is kept, and questioned. */
export const mayBeHere = (belief: Belief, code: DefectCode): boolean => expectFit(belief, code) >= CREDIBLE;

/** Defects that do not go with what all the rest says the ground is. */
export function questionDefects(belief: Belief, { defects = [] }: Zone): Contradiction[] {
  const codes = [...new Set(defects.map(({ code }) => code))].filter((code) => expectFit(belief, code) < LIKELY);
  return codes.map((code) => ({
    check: code,
    result: 'seen',
    defect: code,
    why: `${DEFECT_FACTS[code].label} was seen, but the rest speaks for ${labelState(belief.substrate[0]!.code)}. ${mayBeHere(belief, code) ? 'Both are provided for.' : 'It is kept, and nothing is planned for it.'} Look again which of the two it is.`,
    against: [],
  }));
}

/** Under even odds the two are set against each other. */
const LIKELY = 0.5;
