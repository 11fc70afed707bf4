import { DEFECT_FACTS, DEFECTS, type DefectCode, type Strength } from '../knowledge';
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
    because: {
      kind: 'fault',
      defect: code,
      ground: labelState(belief.substrate[0]!.code),
      served: mayBeHere(belief, code),
    },
    against: [],
  }));
}

/** Under even odds the two are set against each other. */
const LIKELY = 0.5;

/** How much likelier a defect is where the ground is one that it speaks for (in the order of the strengths; estimates). */
const SPEAKS: Partial<Record<Strength, number>> = { '+++': 3, '++': 2, '+': 1, '-': -0.3, '--': -0.6, '---': -0.9 };
/** Met where it is seldom met, against where it is met most (estimate). */
const ELSEWHERE = 0.35;

/** Defects in the order in which one would look for them on a zone: by ground, by old finish, by what part it is. */
export function rankDefects(belief: Belief, role: Zone['role']): DefectCode[] {
  const lift = (says: Partial<Record<string, Strength>> | undefined, ranked: readonly { code: string; p: number }[]) =>
    ranked.reduce((sum, { code, p }) => sum + p * (SPEAKS[says?.[code] as Strength] ?? 0), 0);
  const score = (code: DefectCode): number => {
    const { common, roles, says } = DEFECT_FACTS[code];
    const ground = 1 + lift(says?.substrate, belief.substrate) + lift(says?.finish, belief.finish);
    const place = !roles || roles.includes(role) ? 1 : ELSEWHERE;
    return expectFit(belief, code) * common * Math.max(0.1, ground) * (roles?.includes(role) ? 1.5 : place);
  };
  const scores = new Map(DEFECTS.map((code) => [code, score(code)]));
  return [...DEFECTS].sort((a, b) => scores.get(b)! - scores.get(a)!);
}
