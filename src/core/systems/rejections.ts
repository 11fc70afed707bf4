import { labelProduct, PAINTS, PRIMERS, PREP_FACTS } from '../knowledge';
import type { HardRule } from './hard-rules';
import type { Cut, ZoneSearch } from './search';
import { PAINT_PREPS } from './stages-ground';
import type { SurfaceState } from './surface-state';

export interface Rejection {
  zone: string;
  /** The class or prep that was cut, as a code and in words. */
  code: string;
  what: string;
  /** The same without the zone. */
  name: string;
  rule: string;
  text: string;
}

/** Every primer as the only one, every prep and every paint that no way left over has, with the rule that cut it. */
export function listRejections(search: ZoneSearch): Rejection[] {
  const { ground, goals, reached } = search;
  if (ground.look === 'stain' && goals.length === 0) return reject(search, 'stain', 'Stain', () => true);
  if (ground.look !== 'opaque') return [];
  const only = (state: SurfaceState, code: string): boolean =>
    code === 'none' ? state.primers.length === 0 : state.primers.length === 1 && state.primers[0]!.code === code;
  return [
    ...['none', ...PRIMERS].flatMap((code) => {
      if (reached.some((state) => only(state, code))) return [];
      const combined = reached.some(({ primers }) => primers.some((primer) => primer.code === code));
      const name = code === 'none' ? 'No primer at all' : labelProduct(code as (typeof PRIMERS)[number]);
      // What is cut before the paint is cut as a primer; what is cut there, by what lies under it.
      return reject(search, code, combined ? `${name} as the only primer` : name, ({ choice, before }) =>
        choice.op === 'prime'
          ? before.primers.length === 0 && choice.product?.class === code
          : choice.closesGround === true && only(before, code),
      );
    }),
    ...PAINT_PREPS.flatMap((code) =>
      reached.some(({ prep }) => prep === code)
        ? []
        : reject(search, code === 'none' ? 'no_dulling' : code, PREP_FACTS[code].label, ({ choice, before }) =>
            choice.prep ? choice.prep === code : before.prep === code && choice.skips === undefined,
          ),
    ),
    ...PAINTS.flatMap((code) =>
      goals.some(({ state }) => state.paint === code)
        ? []
        : reject(search, code, labelProduct(code), ({ choice, before }) =>
            choice.op === 'paint' ? choice.product?.class === code : before.paint === code,
          ),
    ),
  ];
}

/** The rule to name is the last that stood in the way; of several there, the one that cuts most. */
function reject({ ground, cuts }: ZoneSearch, code: string, what: string, match: (cut: Cut) => boolean): Rejection[] {
  const all = cuts.filter(match);
  const last = Math.max(...all.map(({ stage }) => stage));
  const matching = all.filter(({ stage }) => stage === last);
  const counts = new Map<HardRule, number>();
  for (const { rule } of matching) counts.set(rule, (counts.get(rule) ?? 0) + 1);
  const main = [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
  const example = matching.find(({ rule }) => rule === main);
  if (!main || !example) return [];
  const text = main.text(example.choice, example.before, ground);
  return [{ zone: ground.zone.id, code, name: what, what: `${what} on ${ground.name}`, rule: main.id, text }];
}
