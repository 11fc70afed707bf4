import {
  CAUSE_FACTS,
  findClue,
  findSymptom,
  REMEDIES,
  REMEDY_RATES,
  type ClueCode,
  type RemedyCode,
} from '../knowledge';
import { DEFAULT_AREA_M2 } from '../knowledge';
import { CREDIBLE } from '../survey';
import { HOUR_PRICE, LOST_WEEK_PRICE } from '../systems';
import { ageOf, chanceSeen, hardnessOf, readClues, sumWorlds, type CausesBelief, type Worlds } from './causes';

/** What something not in the list takes: the more is given up, the likelier it is gone with it (estimates). */
const CURES_OTHER: Record<RemedyCode, number> = {
  wait: 0.1,
  ease: 0.2,
  touch_up: 0.3,
  recoat: 0.4,
  seal_over: 0.5,
  strip: 0.8,
};

/** A way out serves a cause that it rids the face of more often than not. */
const SERVES = 0.5;

/** Chance that a way out rids the face of everything at work in a world: one piece of work, and as good as what it does least for. */
function cureIn({ codes }: Worlds, remedy: RemedyCode, world: number): number {
  const named = codes.reduce(
    (least, code, i) => ((world >> i) & 1 ? Math.min(least, CAUSE_FACTS[code].cures[remedy] ?? 0) : least),
    1,
  );
  return (world >> codes.length) & 1 ? Math.min(named, CURES_OTHER[remedy]) : named;
}

/** Chance that a way out rids the face of what is wrong, whatever that is. */
export const chanceCured = ({ worlds }: Pick<CausesBelief, 'worlds'>, remedy: RemedyCode): number =>
  sumWorlds(worlds, (world) => cureIn(worlds, remedy, world));

export const servesCause = (remedy: RemedyCode, { code }: CausesBelief['causes'][number]): boolean =>
  (CAUSE_FACTS[code].cures[remedy] ?? 0) >= SERVES;

/** Causes that have to be served: 1 in 10 or more. */
export const listCredible = ({ causes }: Pick<CausesBelief, 'causes'>): CausesBelief['causes'] =>
  causes.filter(({ p }) => p >= CREDIBLE);

/** Ways out that may be tried at all here: each cures something that may be at work, and a spot is only mended where it is one. */
export function listRemedies(belief: CausesBelief): RemedyCode[] {
  const { symptom } = belief.trouble;
  const fact = findSymptom(symptom);
  const spread = isSpread(belief);
  return REMEDIES.filter((remedy) => {
    if (remedy === 'wait' && (belief.tried.includes(remedy) || !mayStillHarden(belief))) return false;
    if (remedy === 'touch_up' && (fact.inSpots !== true || spread)) return false;
    return listCredible(belief).some((cause) => servesCause(remedy, cause));
  });
}

/** What was told says that it is all over the face: a spot is no way out then. */
export function isSpread({ trouble, view }: CausesBelief): boolean {
  const answers = readClues(trouble, view);
  return answers.some(
    ({ clue, answer }) => (clue === 'where' && answer === 'all_over') || (clue === 'pattern' && answer === 'even'),
  );
}

/** The coat is, or may be, younger than its full hardness: waiting once is worth a test. */
export function mayStillHarden({ trouble, view }: Pick<CausesBelief, 'trouble' | 'view'>): boolean {
  const age = ageOf(trouble, view);
  return age === null || age < hardnessOf(view);
}

/** An hour of waiting, in money (estimate, as the planner has it on balance). */
const WAIT_PRICE = 0.1;
/** A look takes a minute of hands. */
const LOOK_PRICE = HOUR_PRICE / 60;

/** Hands, waiting and materials in money. */
export const priceWork = (work: { handsOnMin: number; elapsedH: number; materialsCost: number }): number =>
  (work.handsOnMin / 60) * HOUR_PRICE + work.elapsedH * WAIT_PRICE + work.materialsCost;

/** What a way out takes in round figures. */
export function priceRemedy(remedy: RemedyCode, areaM2 = DEFAULT_AREA_M2): number {
  const { once, perM2, waitH } = REMEDY_RATES[remedy];
  return priceWork({ handsOnMin: once + perM2 * areaM2, elapsedH: waitH, materialsCost: 0 });
}

/** What is weighed between ways out: which may be tried, and the chance of every set of causes. */
interface Weighed {
  remedies: readonly RemedyCode[];
  worlds: Worlds;
  areaM2: number | undefined;
}

const weighedIn = (belief: CausesBelief): Weighed => ({
  remedies: listRemedies(belief),
  worlds: belief.worlds,
  areaM2: belief.view.zone.area_m2,
});

/** The way out that promises most of those that serve every credible cause, in round figures, and what it is expected to cost. */
function lean({ remedies, worlds, areaM2 }: Weighed): { remedy: RemedyCode; cost: number } | null {
  const credible = worlds.codes.filter((_, i) => sumWorlds(worlds, (world) => (world >> i) & 1) >= CREDIBLE);
  const serving = remedies.filter(
    (remedy) => remedy === 'wait' || credible.every((code) => (CAUSE_FACTS[code].cures[remedy] ?? 0) >= SERVES),
  );
  const redo = priceRemedy('strip', areaM2);
  const costs = (serving.some((remedy) => remedy !== 'wait') ? serving : remedies).map((remedy) => {
    // Waiting is tried with a test behind it: where it does not help, nothing but the days is lost.
    const lost = redo + (remedy === 'wait' ? 0 : LOST_WEEK_PRICE);
    return {
      remedy,
      cost: priceRemedy(remedy, areaM2) + lost * (1 - sumWorlds(worlds, (world) => cureIn(worlds, remedy, world))),
    };
  });
  return costs.sort((a, b) => a.cost - b.cost)[0] ?? null;
}

/** The way out that promises most in round figures, before any is planned; none where nothing may be tried. */
export const leanTo = (belief: CausesBelief): RemedyCode | null => lean(weighedIn(belief))?.remedy ?? null;

/** The next look worth having, with what it is expected to save, in money. */
export interface NextClue {
  clue: ClueCode;
  worth: number;
  /** Way outs that its answers would make the best one. */
  turnsTo: RemedyCode[];
}

/**
 * The clue whose answer would change the way out most: the fall in expected cost that it brings, less the minute it takes.
 * None where no answer would change it.
 */
export function findNextClue(belief: CausesBelief): NextClue | null {
  const { trouble, view, worlds } = belief;
  const weighed = weighedIn(belief);
  const now = lean(weighed);
  if (!now || weighed.remedies.length < 2) return null;
  const known = new Set(readClues(trouble, view).map(({ clue }) => clue));
  const looks = findSymptom(trouble.symptom)
    .clues.filter((clue) => !known.has(clue))
    .map((clue): NextClue => {
      const turnsTo = new Set<RemedyCode>();
      let after = 0;
      for (const answer of findClue(clue).answers) {
        const seen = chanceSeen(clue, answer, worlds.codes);
        const p = sumWorlds(worlds, seen);
        const chances = worlds.chances.map((chance, world) => (world === 0 ? 0 : (chance * seen(world)) / p));
        const then = lean({ ...weighed, worlds: { codes: worlds.codes, chances } })!;
        after += p * then.cost;
        if (then.remedy !== now.remedy) turnsTo.add(then.remedy);
      }
      return { clue, worth: now.cost - after - LOOK_PRICE, turnsTo: [...turnsTo] };
    });
  const first = looks.sort((a, b) => b.worth - a.worth)[0];
  return first && first.worth > 0 ? first : null;
}
