import { findAnswer, type Basis, type Strength } from '../knowledge';
import { lookOf, resolveAlike, resultOf, type Dossier, type Look, type Zone } from '../dossier';
import { computeBelief, type Belief } from './belief';
import { findContradictions, type Contradiction } from './contradictions';
import { deriveHazards, type Hazard } from './hazards';
import { questionDefects } from './fits';
import { labelState } from './labels';
import { deriveNeeds, readMoisture, type Need } from './needs';
import { findTelling, rankNextChecks, type CheckLimits, type Circumstance, type NextCheck } from './next-check';
import type { Target } from './telling';
import type { MoistureVerdict } from '../climate';

export interface EvidenceItem {
  check: string;
  result: string;
  /** The state it speaks for or against, as a code and in words. */
  about: string;
  aboutLabel: string;
  speaks: 'for' | 'against';
  strength: Strength;
  basis: Basis;
  certainty?: 'doubtful' | 'confirmed';
  observationId?: string;
  /** The answer was given on the zone this one is like. */
  lent: boolean;
}

export interface ZoneDiagnosis {
  id: string;
  belief: Belief;
  needs: Need[];
  hazards: Hazard[];
  nextChecks: NextCheck[];
  contradictions: Contradiction[];
  evidence: EvidenceItem[];
  moisture?: MoistureVerdict;
  /** Nothing left to ask would change the plan. */
  settled: boolean;
}

/** What a plan needs of a zone: belief, needs and hazards, without ranking further checks. */
export function assessZone(dossier: Dossier, zone: Zone): Pick<ZoneDiagnosis, 'belief' | 'needs' | 'hazards'> {
  const read = resolveAlike(dossier, zone);
  const belief = computeBelief(dossier, read);
  const hazards = deriveHazards(belief, dossier, read);
  return { belief, hazards, needs: deriveNeeds(belief, dossier, read, hazards) };
}

/** Looks that show the wood. */
const CLEAR_LOOKS: readonly Look[] = ['clear', 'stain'];

/** What may be asked of a zone as things stand. */
const limitsOf = (dossier: Dossier, zone: Zone, hazards: readonly Hazard[], at: Circumstance): CheckLimits => ({
  clear: CLEAR_LOOKS.includes(lookOf(dossier, zone)),
  leadOpen: hazards.some((hazard) => hazard.gate !== undefined),
  ventilation: dossier.goal?.ventilation ?? 'good',
  hideGrain: dossier.goal?.grain === 'hide',
  at,
});

/** The check that tells most of one doubt about a zone, for whoever asks how to find out; none where none tells anything. */
export function tellsMost(dossier: Dossier, zone: Zone, target: Target): string | undefined {
  const read = resolveAlike(dossier, zone);
  const belief = computeBelief(dossier, read);
  return findTelling(belief, read, limitsOf(dossier, zone, deriveHazards(belief, dossier, read), 'bench'), target);
}

/** Everything known about one zone. Pure: the same dossier always gives the same diagnosis. `at`: where the piece stands. */
export function diagnoseZone(dossier: Dossier, zone: Zone, at: Circumstance = 'bench'): ZoneDiagnosis {
  const read = resolveAlike(dossier, zone);
  const { belief, hazards, needs } = assessZone(dossier, zone);
  const nextChecks = rankNextChecks(belief, read, limitsOf(dossier, zone, hazards, at));
  const moisture = readMoisture(dossier, read);
  return {
    id: zone.id,
    belief,
    needs,
    hazards,
    nextChecks,
    contradictions: [...findContradictions(belief, read), ...questionDefects(belief, read)],
    evidence: collectEvidence(read, new Set(zone.observations)),
    ...(moisture ? { moisture } : {}),
    settled: nextChecks.length === 0,
  };
}

export const diagnosePiece = (dossier: Dossier, at?: Circumstance): ZoneDiagnosis[] =>
  (dossier.zones ?? []).map((zone) => diagnoseZone(dossier, zone, at));

const WEIGHT: Record<Strength, number> = { '+++': 3, '++': 2, '+': 1, '-': -1, '--': -2, '---': -3 };

/** What each answer says, by its strongest statement. */
function collectEvidence(zone: Zone, own: ReadonlySet<object>): EvidenceItem[] {
  return (zone.observations ?? []).flatMap((observation) => {
    const result = resultOf(observation);
    const answer = result === undefined ? undefined : findAnswer(observation.check, result);
    if (!answer || result === undefined) return [];
    const entries = Object.values(answer.says).flatMap((part) => Object.entries(part as Record<string, Strength>));
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
        basis: answer.estimated.has(about) ? ('estimate' as const) : ('practice' as const),
        lent: !own.has(observation),
        ...(observation.certainty === undefined ? {} : { certainty: observation.certainty }),
        ...(observation.id === undefined ? {} : { observationId: observation.id }),
      },
    ];
  });
}
