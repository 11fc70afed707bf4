import {
  DEFECT_FACTS,
  findAnswer,
  findCheck,
  measureStrength,
  STATED_CERTAINTY,
  type DefectCode,
  type FinishCode,
  type Says,
  type SubstrateCode,
} from '../knowledge';
import { resultOf, type History, type Observation, type Zone } from '../dossier';
import { lookMisread } from './camera-looks';
import { buildWeightTable, likelihoodTables, type LikelihoodTable } from './likelihood';
import { STATES, type State } from './states';

/** One piece of evidence, as probabilities over the hidden states at the weight it counts with. */
export interface Clue {
  table: LikelihoodTable;
  /** 1, or less where the owner marked it doubtful; what it says again after its group is damped besides. */
  doubt: number;
  group: string | null;
  strength: number;
  /** Share of answers of the check that are given by mistake; the general one where it was not measured. */
  misread?: number | undefined;
  observation?: Observation;
}

/** How often each check is misread, by its code: 0–1. */
export type Misreadings = Readonly<Record<string, number>>;

/**
 * How much less each further clue of one group counts. Two looks at the same feature are not two independent witnesses:
 * the strongest counts in full, the next 1/(1 + DAMPING), the one after 1/(1 + 2·DAMPING). So a weak clue never takes
 * anything from a strong one. An estimate, measured with the practice generator (`npm run bench`), it costs little where answers are independent.
 */
const DAMPING = 1 / 2;
/** An answer marked doubtful counts with this share of its log weight (an estimate). */
const DOUBTFUL_WEIGHT = 0.3;

interface RawClue {
  group: string | null;
  strength: number;
  doubt: number;
  misread?: number | undefined;
  build: (weight: number) => LikelihoodTable | undefined;
  observation?: Observation;
}

/** All evidence about a zone: answers, defects seen, stated facts, and the piece's history. `prior`: log P by state. */
export function collectClues(zone: Zone, history: History, prior: Float64Array, misreadings: Misreadings): Clue[] {
  const raw = [
    ...readObservations(zone, misreadings),
    ...readDefects(zone),
    ...readStatedFacts(zone, prior),
    ...readHistory(history),
  ];
  return raw.flatMap((clue, i) => {
    const { group, strength, doubt, misread, observation } = clue;
    const table = clue.build(doubt * weighInGroup(raw, i));
    return table ? [{ table, doubt, group, strength, misread, ...(observation ? { observation } : {}) }] : [];
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

function readObservations(zone: Zone, misreadings: Misreadings): RawClue[] {
  return (zone.observations ?? []).flatMap((observation): RawClue[] => {
    const { check } = observation;
    const result = resultOf(observation);
    const answer = result === undefined ? undefined : findAnswer(check, result);
    if (!answer) return [];
    const misread = observation.by === 'camera' ? lookMisread(check, misreadings) : misreadings[check];
    return [
      {
        group: findCheck(check)?.group ?? check,
        strength: measureStrength(answer.says),
        doubt: observation.certainty === 'doubtful' ? DOUBTFUL_WEIGHT : 1,
        misread,
        build: (weight) => likelihoodTables(check, weight, misread).get(answer.code),
        observation,
      },
    ];
  });
}

/** Each kind of defect is evidence once, however many there are. */
function readDefects(zone: Zone): RawClue[] {
  const codes = [...new Set((zone.defects ?? []).map(({ code }) => code))];
  return codes.flatMap((code): RawClue[] => {
    const { says, saysOfSpot, group } = DEFECT_FACTS[code];
    const spots = (zone.defects ?? []).every((defect) => defect.code !== code || defect.extent === 'spot');
    if (spots && saysOfSpot) return [sayWithWeight(`spot:${code}`, saysOfSpot, group ?? code)];
    return says ? [sayWithWeight(`defect:${code}`, says, group ?? code)] : [];
  });
}

function readHistory({ bled_before: bled }: History): RawClue[] {
  const says: Says | undefined =
    bled === 'yes' ? { present: { bleed: '+++' } } : bled === 'no' ? { present: { bleed: '-' } } : undefined;
  return says ? [sayWithWeight(`bled:${bled}`, says, 'stain')] : [];
}

const WEIGHT_TABLES = new Map<string, LikelihoodTable>();

function sayWithWeight(
  name: `${'defect' | 'spot'}:${DefectCode}` | `bled:${string}`,
  says: Says,
  group: string,
): RawClue {
  const build = (weight: number): LikelihoodTable => {
    const key = `${name}@${weight.toFixed(2)}`;
    const table = WEIGHT_TABLES.get(key) ?? buildWeightTable(says, weight);
    WEIGHT_TABLES.set(key, table);
    return table;
  };
  return { group, strength: measureStrength(says), doubt: 1, build };
}

function readStatedFacts({ stated }: Zone, prior: Float64Array): RawClue[] {
  const { substrate, finish } = stated ?? {};
  if (substrate === undefined && finish === undefined) return [];
  const table = buildStatedTable(prior, substrate, finish);
  return [{ group: null, strength: STATED_STRENGTH, doubt: 1, build: () => table }];
}

/** The strongest clue of all: an owner who built it knows more than any look. */
const STATED_STRENGTH = 1000;
const FITTING_ROUNDS = 12;

/**
 * Weights by state that lift what was stated from its prior chance to `STATED_CERTAINTY` and leave the rest in its own
 * proportions; material and finish in turn until both stand (iterative proportional fitting, Deming and Stephan 1940).
 */
function buildStatedTable(
  prior: Float64Array,
  substrate: SubstrateCode | undefined,
  finish: FinishCode | undefined,
): LikelihoodTable {
  const weights = new Float64Array(STATES.length).fill(1);
  const fit = (belongs: (state: State) => boolean): void => {
    let [own, all] = [0, 0];
    STATES.forEach((state, s) => {
      const mass = Math.exp(prior[s]!) * weights[s]!;
      all += mass;
      if (belongs(state)) own += mass;
    });
    const lift = (STATED_CERTAINTY / (1 - STATED_CERTAINTY)) * ((all - own) / own);
    // A fact that is likelier than that already is not made less likely by being said.
    if (lift > 1) STATES.forEach((state, s) => (weights[s]! *= belongs(state) ? lift : 1));
  };
  for (let round = 0; round < FITTING_ROUNDS; round += 1) {
    if (substrate !== undefined) fit((state) => state.substrate === substrate);
    if (finish !== undefined) fit((state) => state.finish === finish);
  }
  const most = Math.max(...weights);
  return { facet: null, width: 1, values: weights.map((weight) => weight / most) };
}
