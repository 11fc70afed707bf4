import {
  BLEED_PRIOR,
  FINISH_BY_ERA,
  FINISH_FACTS,
  finishWeights,
  GREASE_BY_ROOM,
  OPAQUE_IF_PAINTED,
  POLISH_ON_PAINT_OR_FILM,
  PRESENT_PRIOR,
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

/** What is to be expected of a zone before any check, from the kind of piece, the zone's role and the history. */
export function computePrior({ kind, role, history }: PriorInput): Prior {
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
      STATES.forEach((state, s) => values.set(facetPrior(name, state, history.room), s * width));
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

function facetPrior(name: FacetName, state: State, room: RoomCode | undefined): number[] {
  const finish = FINISH_FACTS[state.finish];
  const film = finish.slickness === 2;
  switch (name) {
    case 'soundness': {
      const table = film ? SOUNDNESS_PRIOR.film : finish.opaque ? SOUNDNESS_PRIOR.painted : SOUNDNESS_PRIOR.clear;
      return [table.sound, table.marginal, table.failing];
    }
    case 'seep': {
      const bleed = BLEED_PRIOR[state.substrate];
      const grease = (room && GREASE_BY_ROOM[room]) ?? PRESENT_PRIOR.grease;
      return [(1 - bleed) * (1 - grease), (1 - bleed) * grease, bleed * (1 - grease), bleed * grease];
    }
    case 'polish': {
      const polish =
        finish.opaque || film || state.finish === 'bare' ? POLISH_ON_PAINT_OR_FILM : PRESENT_PRIOR.wax_polish;
      return [1 - polish, polish];
    }
    case 'silicone': {
      return [1 - PRESENT_PRIOR.silicone, PRESENT_PRIOR.silicone];
    }
  }
}

function normalise(weights: readonly number[]): number[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / total);
}
