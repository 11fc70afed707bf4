import {
  BLOTCHES,
  CAUSE_FACTS,
  findClue,
  findStrength,
  findSymptom,
  LIKELIHOOD_RATIO,
  MISREADING_RATE,
  type CauseCode,
  type ClueCode,
  type FindingCode,
  type GroundFact,
  type RemedyCode,
  type Strength,
  type SubstrateCode,
  SYMPTOM_CAUSES,
} from '../knowledge';
import { cureDaysOf } from '../proof';
import type { Choice, Dossier, Trouble } from '../dossier';
import type { Air } from '../workshop';
import { auditZone, type Finding } from './audit';
import { AUDIT_RULES } from './rules';
import { makeViewer, type ZoneView } from './zone-view';

/** Something that speaks for a cause (a factor above 1) or against it. */
export type Evidence = { factor: number } & (
  | { kind: 'finding'; finding: Finding }
  | { kind: 'cleared'; code: FindingCode }
  | { kind: 'ground'; fact: GroundFact; p: number }
  | { kind: 'clue'; clue: ClueCode; answer: string }
);

export interface CauseBelief {
  code: CauseCode;
  /** Chance that it is at work here; several may be at once. */
  p: number;
  evidence: Evidence[];
}

/** What is believed of the causes of one trouble, with all that way outs and looks are weighed by. */
export interface CausesBelief {
  trouble: Trouble;
  view: ZoneView;
  findings: Finding[];
  /** Most likely first. */
  causes: CauseBelief[];
  /** Chance that it is nothing in the list. */
  other: number;
  worlds: Worlds;
  /** Ways out that were taken for it before. */
  tried: RemedyCode[];
}

/** Every set of causes that may be at work together (a bit each, in the order of `codes`; the last bit is something else) with its chance. */
export interface Worlds {
  codes: readonly CauseCode[];
  chances: Float64Array;
}

/** Something else makes what is seen, before anything is known of it (estimate). */
const OTHER = 0.03;
/** A finding of a kind that matters less counts for half its weight, and so does what is only not written down. */
const HALF = 0.5;
/** What was seen to be in order speaks so much against, as a share of what the finding would have said for (estimate). */
const CLEARED = 0.7;
/** Ground as likely as this says nothing (estimate); at most four to one either way. */
const GROUND_REFERENCE = 0.3;
const MOST_GROUND = 4;

/**
 * What made what is seen on a zone: each cause its own yes or no, the symptom needing at least one (noisy-or). Findings of
 * the audit and the ground move the odds of a cause; a look comes from one of the causes at work, any as likely. Exact: a
 * sum over every set of causes. `air`: the workshop's readings.
 */
export function judgeCauses(dossier: Dossier, trouble: Trouble, air: readonly Air[] = []): CausesBelief {
  const then = asOfTrouble(dossier, trouble);
  const zone = then.zones!.find(({ id }) => id === trouble.zone)!;
  const view = makeViewer(then, air)(zone);
  const findings = auditZone(view);
  const clues = readClues(trouble, view);
  const rows = Object.entries(SYMPTOM_CAUSES[trouble.symptom]) as [CauseCode, number][];
  const known = rows.map(([code, prior]) => {
    const evidence = gatherEvidence(code, view, findings);
    const odds = evidence.reduce((all, { factor }) => all * factor, prior / (1 - prior));
    return { code, chance: odds / (1 + odds), evidence };
  });
  const codes = known.map(({ code }) => code);
  const looks = clues.map(({ clue, answer }) => ({ clue, answer, chance: chanceSeen(clue, answer, codes) }));
  const worlds: Worlds = {
    codes,
    chances: weighWorlds(
      known.map(({ chance }) => chance),
      looks.map(({ chance }) => chance),
    ),
  };
  const causes = known.map(({ code, evidence }, i): CauseBelief => ({
    code,
    p: sumWorlds(worlds, (world) => (world >> i) & 1),
    evidence: [
      ...evidence,
      ...looks.flatMap(({ clue, answer, chance }): Evidence[] => {
        const factor = chance(1 << i) / chance(0);
        return Math.abs(Math.log(factor)) < 0.2 ? [] : [{ kind: 'clue', clue, answer, factor }];
      }),
    ].sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor))),
  }));
  causes.sort((a, b) => b.p - a.p);
  const tried = listVersions(dossier).flatMap(({ zones }) =>
    zones.flatMap(({ recovery }) => (recovery?.trouble === trouble.id ? [recovery.remedy] : [])),
  );
  return {
    trouble,
    view,
    findings,
    causes,
    tried,
    other: sumWorlds(worlds, (world) => (world >> known.length) & 1),
    worlds,
  };
}

/** The systems taken one after the other, the one that stands last. */
const listVersions = ({ earlier_choices: earlier = [], chosen }: Dossier): Choice[] => [
  ...earlier,
  ...(chosen ? [chosen] : []),
];

/** A piece as it was when something was seen to be wrong: without the recovery that was taken for it, nor what came after. */
function asOfTrouble(dossier: Dossier, { id, zone }: Pick<Trouble, 'id' | 'zone'>): Dossier {
  const versions = listVersions(dossier);
  const taken = versions.findIndex((choice) =>
    choice.zones.some((own) => own.id === zone && own.recovery?.trouble === id),
  );
  if (taken < 0) return dossier;
  const at = versions[taken]!.zones.find((own) => own.id === zone)!.recovery!.at;
  const { chosen: _chosen, ...rest } = dossier;
  const before = versions[taken - 1];
  return {
    ...rest,
    ...(before ? { chosen: before } : {}),
    earlier_choices: versions.slice(0, Math.max(0, taken - 1)),
    log: dossier.log?.filter(
      (entry) => entry.zone !== zone || entry.at === undefined || Date.parse(entry.at) <= Date.parse(at),
    ),
  };
}

/** The chance of every set of causes, the empty one left out. `looks`: the chance of each thing seen, by world. Exported for its test. */
export function weighWorlds(chances: readonly number[], looks: readonly ((world: number) => number)[]): Float64Array {
  const all = [...chances, OTHER];
  const weights = new Float64Array(1 << all.length);
  let total = 0;
  for (let world = 1; world < weights.length; world += 1) {
    const prior = all.reduce((weight, p, i) => weight * ((world >> i) & 1 ? p : 1 - p), 1);
    weights[world] = looks.reduce((weight, look) => weight * look(world), prior);
    total += weights[world]!;
  }
  return weights.map((weight) => weight / total);
}

export function sumWorlds({ chances }: Worlds, value: (world: number) => number): number {
  let sum = 0;
  for (let world = 1; world < chances.length; world += 1) sum += chances[world]! * value(world);
  return sum;
}

const ratio = (strength: Strength | undefined): number => (strength ? LIKELIHOOD_RATIO[strength] : 1);

/**
 * The chance of an answer in each world. A look comes from one of what is at work and has a say in it, any as likely (where
 * nothing under the paint holds a dye back, the colour is the dye's); a circumstance is made
 * likelier or less by each cause it matters to. Strengths are normalised over the answers and mixed with what is misread.
 * In the empty world (0) all answers are as likely.
 */
export function chanceSeen(clue: ClueCode, answer: string, codes: readonly CauseCode[]): (world: number) => number {
  const { answers: all, circumstance } = findClue(clue);
  const at = all.indexOf(answer);
  const strengths = codes.map((code) => all.map((own) => ratio(findStrength(clue, own, code))));
  const normalise = (weights: readonly number[]): number =>
    (1 - MISREADING_RATE) * (weights[at]! / weights.reduce((sum, weight) => sum + weight, 0)) +
    MISREADING_RATE / all.length;
  if (circumstance)
    return (world) =>
      normalise(
        all.map((_, a) => strengths.reduce((weight, own, i) => ((world >> i) & 1 ? weight * own[a]! : weight), 1)),
      );
  const bySource = [...strengths.map(normalise), 1 / all.length];
  const speaks = [...codes.map((code) => all.some((own) => findStrength(clue, own, code) !== undefined)), true];
  return (world) => {
    let [seen, count] = [0, 0];
    for (let i = 0; i < bySource.length; i += 1)
      if (speaks[i] && (world >> i) & 1) {
        seen += bySource[i]!;
        count += 1;
      }
    return count === 0 ? 1 / all.length : seen / count;
  };
}

function gatherEvidence(cause: CauseCode, view: ZoneView, findings: readonly Finding[]): Evidence[] {
  const { findings: pointing = {}, ground } = CAUSE_FACTS[cause];
  const evidence = (Object.entries(pointing) as [FindingCode, Strength][]).flatMap(
    ([code, strength], i): Evidence[] => {
      const full = ratio(strength);
      const found = findings.find((own) => own.code === code && own.severity !== 'unknown');
      if (found) return [{ kind: 'finding', finding: found, factor: found.severity === 'major' ? full : full ** HALF }];
      if (full < 1) return [];
      const { omits, cleared } = AUDIT_RULES[code];
      if (cleared?.(view)) return i === 0 ? [{ kind: 'cleared', code, factor: full ** -CLEARED }] : [];
      const missing = findings.find(
        (own) => own.severity === 'unknown' && (own.code === code || (own.op !== undefined && omits?.includes(own.op))),
      );
      return missing ? [{ kind: 'finding', finding: missing, factor: full ** HALF }] : [];
    },
  );
  // Of findings that point to one cause the strongest speaks, for and against: they are often one slip seen twice.
  const strongest = [...evidence].sort((a, b) => b.factor - a.factor);
  const kept = strongest[0] && strongest[0].factor > 1 ? [strongest[0]] : strongest.slice(-1);
  if (ground === undefined) return kept;
  const p = believeGround(ground, view);
  const factor = Math.min(MOST_GROUND, Math.max(1 / MOST_GROUND, toOdds(p) / toOdds(GROUND_REFERENCE)));
  return Math.abs(Math.log(factor)) < 0.2 ? kept : [...kept, { kind: 'ground', fact: ground, p, factor }];
}

const toOdds = (p: number): number => Math.min(0.999, Math.max(0.001, p)) / (1 - Math.min(0.999, Math.max(0.001, p)));

const GROUND: Record<GroundFact, (view: ZoneView) => number> = {
  knots: ({ belief, zone }) =>
    Math.max(
      of(belief.substrate, 'knotty_softwood'),
      zone.defects?.some(({ code }) => code === 'knot' || code === 'resin_pocket') ? 0.95 : 0,
    ),
  tannin: ({ belief }) =>
    of(belief.substrate, 'tannin_rich_wood') +
    of(belief.substrate, 'wood_veneer') +
    of(belief.substrate, 'open_grain_hardwood'),
  bleed: ({ belief }) => belief.present.bleed,
  slick: ({ slick }) => slick,
  wax: ({ belief }) => Math.max(belief.present.wax_polish, belief.present.silicone),
  silicone: ({ belief }) => belief.present.silicone,
  grease: ({ belief }) => belief.present.grease,
  failing: ({ belief }) => of(belief.soundness, 'failing') + 0.5 * of(belief.soundness, 'marginal'),
  open_grain: ({ belief }) => of(belief.grain, 'open'),
  odour: ({ belief }) => belief.present.odour,
  dark: ({ exposure: { pale } }) => (pale ? 0.05 : 0.9),
  blotching: ({ belief }) => BLOTCHES.reduce((sum, code) => sum + of(belief.substrate, code), 0),
  oily: ({ belief }) => of(belief.substrate, 'oily_tropical_wood'),
  oiled: ({ belief }) => of(belief.finish, 'oil') + of(belief.finish, 'hardwax_oil'),
  thin_face: ({ belief }) => THIN_FACES.reduce((sum, code) => sum + of(belief.substrate, code), 0),
};
/** Faces that lie on a board and may lift from it. */
const THIN_FACES: readonly SubstrateCode[] = ['wood_veneer', 'paper_foil', 'thermofoil'];
const believeGround = (fact: GroundFact, view: ZoneView): number => GROUND[fact](view);
const of = (ranked: readonly { code: string; p: number }[], code: string): number =>
  ranked.find((own) => own.code === code)?.p ?? 0;

const HOUR_MS = 3_600_000;
/** A coat reaches its full hardness within a week where the label says nothing else (common practice). */
const FULL_HARDNESS_H = 168;

/** When the coat that shows it is as hard as it gets, hours: the label, else the cure of its class, a week at most. */
export function hardnessOf({ coats }: Pick<ZoneView, 'coats'>): number {
  const slowest = coats.map(
    ({ code, tin }) => tin?.full_hardness_h ?? Math.min(FULL_HARDNESS_H, cureDaysOf(code) * 24),
  );
  return slowest.length === 0 ? FULL_HARDNESS_H : Math.max(...slowest);
}

/** When a face may be used normally, days. */
export const cureOf = ({ coats }: Pick<ZoneView, 'coats'>): number =>
  Math.max(0, ...coats.map(({ code, tin }) => cureDaysOf(code, tin))) || 30;

/** How old the coat is that shows it, hours: as it was told, else from the log; unknown where neither says. */
export function ageOf({ clues, seen_at }: Trouble, { coats }: Pick<ZoneView, 'coats'>): number | null {
  const told = clues?.film_age_h;
  if (typeof told === 'number') return told;
  const last = coats.at(-1);
  if (!last || seen_at === undefined) return null;
  return Math.max(0, (Date.parse(seen_at) - last.endMs) / HOUR_MS);
}

/** What is known of how it looks, as answers: told, or to be worked out from the log. */
export function readClues(trouble: Trouble, view: ZoneView): { clue: ClueCode; answer: string }[] {
  const { clues: asked } = findSymptom(trouble.symptom);
  return asked.flatMap((clue) => {
    const told = trouble.clues?.[clue];
    if (typeof told === 'string') return [{ clue, answer: told }];
    const number = clue === 'film_age_h' ? ageOf(trouble, view) : typeof told === 'number' ? told : null;
    if (number === null) return [];
    const limit = clue === 'film_age_h' ? hardnessOf(view) : cureOf(view);
    return [{ clue, answer: number < limit ? 'before' : 'after' }];
  });
}
