import { FINISH_FACTS, findAnswer, findCheck, SUBSTRATE_FACTS, type Strength } from '../knowledge';
import { resultOf, type Dossier, type Zone } from '../dossier';
import { computeBelief, mostLikelyState, type Belief } from './belief';
import { likelihoodTables } from './likelihood';
import { deriveHazards, deriveNeeds, type Hazard, type Need } from './needs';
import { rankNextChecks, type NextCheck } from './next-check';
import { FACETS, STATES } from './states';

export interface EvidenceItem {
  check: string;
  result: string;
  /** The state it speaks for or against, as a code and in words. */
  about: string;
  aboutLabel: string;
  speaks: 'for' | 'against';
  strength: Strength;
  observationId?: string;
}

export interface Contradiction {
  check: string;
  result: string;
  why: string;
}

export interface ZoneDiagnosis {
  id: string;
  belief: Belief;
  needs: Need[];
  hazards: Hazard[];
  nextChecks: NextCheck[];
  contradictions: Contradiction[];
  evidence: EvidenceItem[];
  /** Nothing left to ask would change the plan. */
  settled: boolean;
}

/** Everything known about one zone. Pure: the same dossier always gives the same diagnosis. */
export function diagnoseZone(dossier: Dossier, zone: Zone): ZoneDiagnosis {
  const belief = computeBelief(dossier, zone);
  const hazards = deriveHazards(belief, dossier, zone);
  const nextChecks = rankNextChecks(belief, zone, {
    leadOpen: hazards.some((hazard) => hazard.gate !== undefined),
    ventilation: dossier.goal?.ventilation ?? 'good',
  });
  const evidence = collectEvidence(zone);
  return {
    id: zone.id,
    belief,
    needs: deriveNeeds(belief, zone),
    hazards,
    nextChecks,
    contradictions: [...doubtStatedFact(belief, zone), ...findContradictions(belief, zone)],
    evidence,
    settled: nextChecks.length === 0,
  };
}

export const diagnosePiece = (dossier: Dossier): ZoneDiagnosis[] =>
  (dossier.zones ?? []).map((zone) => diagnoseZone(dossier, zone));

const WEIGHT: Record<Strength, number> = { '+++': 3, '++': 2, '+': 1, '-': -1, '--': -2, '---': -3 };

/** What each answer says, by its strongest statement. */
function collectEvidence(zone: Zone): EvidenceItem[] {
  return (zone.observations ?? []).flatMap((observation) => {
    const result = resultOf(observation);
    const says = result ? findAnswer(observation.check, result)?.says : undefined;
    if (!says || result === undefined) return [];
    const entries = Object.values(says).flatMap((part) => Object.entries(part as Record<string, Strength>));
    const strongest = entries.sort(([, a], [, b]) => WEIGHT[b] - WEIGHT[a] || 0)[0];
    if (!strongest) return [];
    const positive = WEIGHT[strongest[1]] > 0;
    const [about, strength] = positive ? strongest : entries[entries.length - 1]!;
    return [
      {
        check: observation.check,
        result,
        about,
        aboutLabel: labelState(about),
        speaks: positive ? ('for' as const) : ('against' as const),
        strength,
        ...(observation.id === undefined ? {} : { observationId: observation.id }),
      },
    ];
  });
}

// prettier-ignore
const OTHER_LABELS: Readonly<Record<string, string>> = {
  sound: 'a sound old coat', marginal: 'a doubtful old coat', failing: 'a failing old coat', bleed: 'a stain that will bleed',
  grease: 'grease', wax_polish: 'wax polish', silicone: 'silicone polish',
};

export function labelState(code: string): string {
  if (code in SUBSTRATE_FACTS) return SUBSTRATE_FACTS[code as keyof typeof SUBSTRATE_FACTS].label.toLowerCase();
  if (code in FINISH_FACTS) return FINISH_FACTS[code as keyof typeof FINISH_FACTS].label;
  return OTHER_LABELS[code] ?? code;
}

/** A fact the owner stated that the checks have made less likely than not. */
function doubtStatedFact(belief: Belief, zone: Zone): Contradiction[] {
  const stated = zone.stated?.substrate;
  const p = belief.substrate.find(({ code }) => code === stated)?.p ?? 1;
  if (!stated || p >= 0.5) return [];
  const top = labelState(belief.substrate[0]!.code);
  const why = `You said ${labelState(stated)}; the checks speak for ${top}. Make one of them again, or take the statement back.`;
  return [{ check: 'stated', result: stated, why }];
}

/** An answer that the best explanation of everything would give less than a quarter as often as chance would. */
const CONTRADICTION_RATIO = 0.25;

function findContradictions(belief: Belief, zone: Zone): Contradiction[] {
  const best = mostLikelyState(belief);
  const bestIndex = STATES.findIndex((state) => state.substrate === best.substrate && state.finish === best.finish);
  return (zone.observations ?? []).flatMap((observation) => {
    const { check } = observation;
    const result = resultOf(observation);
    const tables = likelihoodTables(check);
    const table = result ? tables.get(result) : undefined;
    if (!table || result === undefined) return [];
    const { facet, width, values } = table;
    const likelihoods = facet ? FACETS[facet].map((_, x) => values[bestIndex * width + x]!) : [values[bestIndex]!];
    if (Math.max(...likelihoods) > CONTRADICTION_RATIO / tables.size) return [];
    const title = findCheck(check)?.title ?? check;
    const answer = findAnswer(check, result)?.label ?? result;
    return [
      {
        check,
        result,
        why: `“${answer}” hardly fits ${labelState(best.substrate)} with ${labelState(best.finish)}. Do this one again: ${title.toLowerCase()}.`,
      },
    ];
  });
}
