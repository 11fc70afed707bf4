import {
  BLEED_PRIOR,
  BLEED_UNDER_OLD_PAINT,
  FINISH_BY_ERA,
  FINISH_FACTS,
  finishWeights,
  GRAIN_PRIOR,
  GREASE_BY_ROOM,
  OPAQUE_IF_PAINTED,
  ODOUR_OUTSIDE,
  POLISH_ON_PAINT_OR_FILM,
  PRESENT_PRIOR,
  SILICONE_ON_PAINT_OR_FILM,
  SMELLS_INSIDE,
  SOUNDNESS_PRIOR,
  SUBSTRATE_BY_ERA,
  SUBSTRATE_BY_KIND,
  SUBSTRATE_BY_ROLE,
  SUBSTRATE_BY_ROOM,
  SUBSTRATE_IF_FLATPACK,
  SUBSTRATE_WEIGHT,
  SUBSTRATES,
  UNNAMED_FINISH_WEIGHT,
  FINISHES,
  type FinishCode,
  type PieceKind,
  type RoleCode,
  type RoomCode,
  type SubstrateCode,
} from '../knowledge';
import type { History } from '../dossier';
import { FACETS, FACET_NAMES, STATE_COUNT, STATES, type FacetName, type State } from './states';

export interface PriorInput {
  kind: PieceKind;
  role: RoleCode;
  history: History;
}

export interface Prior {
  /** log P(substrate, finish), by state. */
  logState: Float64Array;
  /** P(facet value | state), `[state × width + value]`. */
  facets: Record<FacetName, Float64Array>;
}

const PRIORS = new Map<string, Prior>();

/**
 * What is to be expected of a zone before any check, from the kind of piece, the zone's role and the history. Worked out
 * once for each combination; treat it as read-only.
 */
export function computePrior({ kind, role, history }: PriorInput): Prior {
  const { era, room, painted_before, flatpack_marks } = history;
  const key = [kind, role, era, room, painted_before, flatpack_marks].join('|');
  const known = PRIORS.get(key) ?? buildPrior({ kind, role, history });
  PRIORS.set(key, known);
  return known;
}

function buildPrior({ kind, role, history }: PriorInput): Prior {
  const logState = new Float64Array(STATE_COUNT);
  const substrates = normalise(SUBSTRATES.map((code) => weighSubstrate(code, kind, role, history)));
  substrates.forEach((pSubstrate, i) => {
    const finishes = normalise(FINISHES.map((finish) => weighFinish(SUBSTRATES[i] as SubstrateCode, finish, history)));
    finishes.forEach((pFinish, j) => {
      logState[i * FINISHES.length + j] = Math.log(pSubstrate) + Math.log(pFinish);
    });
  });
  const facets = Object.fromEntries(
    FACET_NAMES.map((name) => {
      const width = FACETS[name].length;
      const values = new Float64Array(STATE_COUNT * width);
      STATES.forEach((state, s) => values.set(facetPrior(name, state, role, history.room), s * width));
      return [name, values];
    }),
  ) as Record<FacetName, Float64Array>;
  return { logState, facets };
}

function weighSubstrate(code: SubstrateCode, kind: PieceKind, role: RoleCode, history: History): number {
  const tables = [
    SUBSTRATE_BY_ERA[history.era ?? 'unknown'],
    history.room ? SUBSTRATE_BY_ROOM[history.room] : undefined,
    SUBSTRATE_BY_ROLE[role],
    SUBSTRATE_BY_KIND[kind],
    history.flatpack_marks === 'yes' ? SUBSTRATE_IF_FLATPACK : undefined,
  ];
  return tables.reduce((weight, table) => weight * (table?.[code] ?? 1), SUBSTRATE_WEIGHT[code]);
}

function weighFinish(substrate: SubstrateCode, finish: FinishCode, history: History): number {
  const base = finishWeights(substrate)[finish] ?? UNNAMED_FINISH_WEIGHT;
  const era = FINISH_BY_ERA[history.era ?? 'unknown'][finish] ?? 1;
  const painted = FINISH_FACTS[finish].opaque ? OPAQUE_IF_PAINTED[history.painted_before ?? 'unknown'] : 1;
  return base * era * painted;
}

function facetPrior(name: FacetName, state: State, role: RoleCode, room: RoomCode | undefined): number[] {
  const finish = FINISH_FACTS[state.finish];
  const film = finish.slickness === 2;
  switch (name) {
    case 'soundness': {
      const table = SOUNDNESS_PRIOR[coatOf(state)];
      return [table.sound, table.marginal, table.failing];
    }
    case 'grain': {
      const { closed, medium, open } = GRAIN_PRIOR[state.substrate];
      return [closed, medium, open];
    }
    case 'seep': {
      const bleed = Math.max(LEAST_BLEED, BLEED_PRIOR[state.substrate] * (finish.opaque ? BLEED_UNDER_OLD_PAINT : 1));
      const grease = (room && GREASE_BY_ROOM[room]) ?? PRESENT_PRIOR.grease;
      return [(1 - bleed) * (1 - grease), (1 - bleed) * grease, bleed * (1 - grease), bleed * grease];
    }
    case 'polish': {
      const polish =
        finish.opaque || film || state.finish === 'bare' ? POLISH_ON_PAINT_OR_FILM : PRESENT_PRIOR.wax_polish;
      return [1 - polish, polish];
    }
    case 'silicone': {
      const silicone =
        finish.opaque || film || state.finish === 'bare' ? SILICONE_ON_PAINT_OR_FILM : PRESENT_PRIOR.silicone;
      return [1 - silicone, silicone];
    }
    case 'odour': {
      const odour = SMELLS_INSIDE.includes(role) ? PRESENT_PRIOR.odour : ODOUR_OUTSIDE;
      return [1 - odour, odour];
    }
  }
}

/** Nothing is so tight that never anything came through. */
const LEAST_BLEED = 0.005;

/** What there is that may fail: a coat that can be softened is none of the factory's films. */
function coatOf({ finish }: State): keyof typeof SOUNDNESS_PRIOR {
  const { opaque, softens, slickness } = FINISH_FACTS[finish];
  if (finish === 'bare') return 'bare';
  if (slickness === 2 && !softens) return 'film';
  return opaque ? 'painted' : 'clear';
}

function normalise(weights: readonly number[]): number[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / total);
}
