import {
  PAINT_FACTS,
  PAINTS,
  PREP_FACTS,
  PRIMER_FACTS,
  PRIMERS,
  type PaintCode,
  type PrepCode,
  type PrimerCode,
} from '../knowledge';
import type { HardFinding } from './findings';
import { findHard, type HardRule } from './hard-rules';
import type { Cut, ZoneSearch } from './search';
import { PAINT_PREPS } from './stages-ground';
import type { SurfaceState } from './surface-state';

export interface Rejection {
  zone: string;
  zoneName: string;
  /** What was cut: a class, a prep, none of them, or all staining. */
  layer: 'prep' | 'prime' | 'paint' | 'stain';
  code: string;
  /** It does serve together with another primer. */
  asOnlyOne: boolean;
  finding: HardFinding;
  /** Not among the few that somebody would have tried. */
  folded: boolean;
}

/** So many of a zone are told at once. */
const MOST_TOLD = 5;
/** What is not painted over at all is thought of right after leaving it undulled. */
const NO_PRIMER_TRIED = 1.5;

const triedOf = ({ layer, code }: Rejection): number => {
  if (layer === 'prep') return PREP_FACTS[code === 'no_dulling' ? 'none' : (code as PrepCode)]?.tried ?? Infinity;
  if (layer === 'prime')
    return code === 'none' ? NO_PRIMER_TRIED : (PRIMER_FACTS[code as PrimerCode].tried ?? Infinity);
  return layer === 'paint' ? (PAINT_FACTS[code as PaintCode].tried ?? Infinity) : 0;
};

/**
 * What was ruled out on a zone, those first that somebody would have tried, and the rest of them marked as folded. What
 * failed on the piece itself is always told.
 */
export function listRejections(search: ZoneSearch): Rejection[] {
  const all = gatherRejections(search).sort((a, b) => triedOf(a) - triedOf(b));
  return all.map((own, i) => ({
    ...own,
    folded: own.finding.rule !== 'failed_own_test' && (i >= MOST_TOLD || triedOf(own) === Infinity),
  }));
}

/** Every primer as the only one, every prep and every paint that no way left over has, with the rule that cut it. */
function gatherRejections(search: ZoneSearch): Rejection[] {
  const { ground, goals, reached } = search;
  if (ground.look === 'stain' && goals.length === 0)
    return reject(search, { layer: 'stain', code: 'stain' }, () => true);
  if (ground.look !== 'opaque') return [];
  const only = (state: SurfaceState, code: string): boolean =>
    code === 'none' ? state.primers.length === 0 : state.primers.length === 1 && state.primers[0]!.code === code;
  return [
    ...['none', ...PRIMERS].flatMap((code) => {
      if (reached.some((state) => only(state, code))) return [];
      const combined = reached.some(({ primers }) => primers.some((primer) => primer.code === code));
      // What is cut before the paint is cut as a primer; what is cut there, by what lies under it.
      return reject(search, { layer: 'prime', code, asOnlyOne: combined }, ({ choice, before }) =>
        choice.op === 'prime'
          ? before.primers.length === 0 && choice.product?.class === code
          : choice.closesGround === true && only(before, code),
      );
    }),
    ...PAINT_PREPS.flatMap((code) =>
      reached.some(({ prep }) => prep === code)
        ? []
        : reject(search, { layer: 'prep', code: code === 'none' ? 'no_dulling' : code }, ({ choice, before }) =>
            choice.prep ? choice.prep === code : before.prep === code && choice.skips === undefined,
          ),
    ),
    ...PAINTS.flatMap((code) =>
      goals.some(({ state }) => state.paint === code)
        ? []
        : reject(search, { layer: 'paint', code }, ({ choice, before }) =>
            choice.op === 'paint' ? choice.product?.class === code : before.paint === code,
          ),
    ),
  ];
}

/** The rule to name is the last that stood in the way; of several there what failed on the piece, else the one that cuts most. */
function reject(
  { ground, cuts }: ZoneSearch,
  what: Pick<Rejection, 'layer' | 'code'> & { asOnlyOne?: boolean },
  match: (cut: Cut) => boolean,
): Rejection[] {
  const all = cuts.filter(match);
  const last = Math.max(...all.map(({ stage }) => stage));
  const matching = all.filter(({ stage }) => stage === last);
  const counts = new Map<HardRule, number>();
  for (const { rule } of matching) counts.set(rule, (counts.get(rule) ?? 0) + 1);
  const seen = (rule: HardRule): number => (rule.seen ? 1 : 0);
  const main = [...counts].sort(([a, x], [b, y]) => seen(b) - seen(a) || y - x)[0]?.[0];
  const example = matching.find(({ rule }) => rule === main);
  if (!main || !example) return [];
  const finding = findHard(main, example.choice, example.before, ground);
  return [{ zone: ground.zone.id, zoneName: ground.name, asOnlyOne: false, folded: false, ...what, finding }];
}
