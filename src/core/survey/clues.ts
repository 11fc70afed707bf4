import {
  DEFECT_FACTS,
  findAnswer,
  findCheck,
  measureStrength,
  STATED_RATIO,
  type DefectCode,
  type FinishCode,
  type Says,
  type SubstrateCode,
} from '../knowledge';
import { resultOf, type History, type Observation, type Zone } from '../dossier';
import { buildWeightTable, likelihoodTables, type LikelihoodTable } from './likelihood';
import { STATES } from './states';

/** One piece of evidence, as probabilities over the hidden states at the weight it counts with. */
export interface Clue {
  table: LikelihoodTable;
  /** 1, or less where the owner marked it doubtful; what it says again after its group is damped besides. */
  doubt: number;
  group: string | null;
  strength: number;
  observation?: Observation;
}

/**
 * How much less each further clue of one group counts. Two looks at the same feature are not two independent witnesses:
 * the strongest counts in full, the next 1/(1 + DAMPING), the one after 1/(1 + 2·DAMPING). So a weak clue never takes
 * anything from a strong one. An estimate, measured with the practice generator (`npm run bench`), it costs little where answers are independent.
 */
export const DAMPING = 1 / 2;
/** An answer marked doubtful counts with this share of its log weight (an estimate). */
export const DOUBTFUL_WEIGHT = 0.3;

interface RawClue {
  group: string | null;
  strength: number;
  doubt: number;
  build: (weight: number) => LikelihoodTable | undefined;
  observation?: Observation;
}

/** All evidence about a zone: answers, defects seen, stated facts, and the piece's history. */
export function collectClues(zone: Zone, history: History): Clue[] {
  const raw = [...readObservations(zone), ...readDefects(zone), ...readStatedFacts(zone), ...readHistory(history)];
  return raw.flatMap((clue, i) => {
    const { group, strength, doubt, observation } = clue;
    const table = clue.build(doubt * weighInGroup(raw, i));
    return table ? [{ table, doubt, group, strength, ...(observation ? { observation } : {}) }] : [];
  });
}

/** Weight of a clue among those of its group, by rank of strength; equal ones share the weights of their ranks. */
function weighInGroup(clues: readonly RawClue[], at: number): number {
  const { group, strength } = clues[at]!;
  if (group === null) return 1;
  const peers = clues.filter((clue) => clue.group === group);
  const stronger = peers.filter((clue) => clue.strength > strength).length;
  const equal = peers.filter((clue) => clue.strength === strength).length;
  let sum = 0;
  for (let rank = stronger; rank < stronger + equal; rank += 1) sum += weighRank(rank);
  return sum / equal;
}

export const weighRank = (rank: number): number => 1 / (1 + DAMPING * rank);

function readObservations(zone: Zone): RawClue[] {
  return (zone.observations ?? []).flatMap((observation): RawClue[] => {
    const { check } = observation;
    const result = resultOf(observation);
    const answer = result === undefined ? undefined : findAnswer(check, result);
    if (!answer) return [];
    return [
      {
        group: findCheck(check)?.group ?? check,
        strength: measureStrength(answer.says),
        doubt: observation.certainty === 'doubtful' ? DOUBTFUL_WEIGHT : 1,
        build: (weight) => likelihoodTables(check, weight).get(answer.code),
        observation,
      },
    ];
  });
}

/** Each kind of defect is evidence once, however many there are. */
function readDefects(zone: Zone): RawClue[] {
  const codes = [...new Set((zone.defects ?? []).map(({ code }) => code))];
  return codes.flatMap((code): RawClue[] => {
    const { says, group } = DEFECT_FACTS[code];
    return says ? [sayWithWeight(`defect:${code}`, says, group ?? code)] : [];
  });
}

function readHistory({ bled_before: bled }: History): RawClue[] {
  const says: Says | undefined =
    bled === 'yes' ? { present: { bleed: '+++' } } : bled === 'no' ? { present: { bleed: '-' } } : undefined;
  return says ? [sayWithWeight(`bled:${bled}`, says, 'stain')] : [];
}

const WEIGHT_TABLES = new Map<string, LikelihoodTable>();

function sayWithWeight(name: `defect:${DefectCode}` | `bled:${string}`, says: Says, group: string): RawClue {
  const build = (weight: number): LikelihoodTable => {
    const key = `${name}@${weight.toFixed(2)}`;
    const table = WEIGHT_TABLES.get(key) ?? buildWeightTable(says, weight);
    WEIGHT_TABLES.set(key, table);
    return table;
  };
  return { group, strength: measureStrength(says), doubt: 1, build };
}

function readStatedFacts({ stated }: Zone): RawClue[] {
  if (!(stated?.substrate ?? stated?.finish)) return [];
  const table = buildStatedTable(stated?.substrate, stated?.finish);
  return [{ group: null, strength: STATED_RATIO, doubt: 1, build: () => table }];
}

function buildStatedTable(substrate: SubstrateCode | undefined, finish: FinishCode | undefined): LikelihoodTable {
  const values = Float64Array.from(STATES, (state) => {
    const first = substrate === state.substrate ? STATED_RATIO : 1;
    const second = finish === state.finish ? STATED_RATIO : 1;
    return first * second;
  });
  return { facet: null, width: 1, values };
}
