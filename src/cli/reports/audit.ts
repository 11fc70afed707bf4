import type { Dossier, Trouble } from '@/core/dossier';
import { auditPiece, findNextClue, listRecoveries, type RecoveryWay } from '@/core/trouble';
import {
  explainCause,
  explainWayOut,
  nameLeaving,
  nameRejected,
  nameWayOut,
  sayFinding,
  sayHazard,
  sayLeaving,
  sayNextClue,
  sayRuledOut,
  sayRuledOutRemedy,
} from '@/words';
import { reportStep } from './plan';

/**
 * `bricolage.audit/1`: what the log of a piece has against it, and for each trouble what made it, what to look at next and
 * the ways out, as an open format. `now`: ISO instant.
 */
export function reportAudit(dossier: Dossier, now: string) {
  return {
    format: 'bricolage.audit/1' as const,
    findings: auditPiece(dossier).map((finding) => {
      const { code, zone, entry, severity, was, asked, unit } = finding;
      return { code, zone, entry, severity, was, asked, unit, why: sayFinding(finding) };
    }),
    troubles: (dossier.troubles ?? []).map((trouble) => reportTrouble(dossier, trouble, now)),
  };
}

function reportTrouble(dossier: Dossier, trouble: Trouble, now: string) {
  const { belief, alsoAsk, ways, leaving, ruledOut, rejected } = listRecoveries(dossier, trouble, now);
  const next = findNextClue(belief);
  return {
    id: trouble.id,
    zone: trouble.zone,
    symptom: trouble.symptom,
    causes: belief.causes.map((cause) => ({
      code: cause.code,
      p: round(cause.p),
      findings: cause.evidence.flatMap((own) => (own.kind === 'finding' ? [own.finding.code] : [])),
      why: explainCause(cause),
    })),
    other_p: round(belief.other),
    next_clue: next ? { clue: next.clue, why: sayNextClue(next.turnsTo) } : undefined,
    also_ask: alsoAsk.length > 0 ? alsoAsk : undefined,
    recoveries: ways.map(reportWay),
    leaving: leaving.map((way) => ({
      code: way.how,
      worsens_p: round(way.worsens),
      loses: way.loses ?? undefined,
      why: `${nameLeaving(way.how)}. ${sayLeaving(way)}`,
    })),
    rejected: [
      ...ruledOut.map((out) => ({ what: nameWayOut(out.remedy), rule: out.rule, text: sayRuledOutRemedy(out) })),
      ...rejected.map((rejection) => ({
        what: nameRejected(rejection),
        rule: rejection.finding.rule,
        text: sayRuledOut(rejection.finding),
      })),
    ],
  };
}

function reportWay({ id, remedy, labels, holds, serves, leaves, plan, blocked }: RecoveryWay) {
  return {
    id,
    remedy,
    labels,
    holds_p: round(holds),
    serves,
    steps: plan.steps.map(reportStep),
    hands_on_min: plan.handsOnMin,
    elapsed_h: plan.elapsedH,
    materials_cost: round(plan.materialsCost, 100),
    gates: [...new Set(blocked.flatMap(({ gate }) => gate ?? []))],
    blocked: blocked.flatMap((hazard) => (hazard.gate ? [{ gate: hazard.gate, text: sayHazard(hazard) }] : [])),
    why: explainWayOut(remedy, serves, leaves),
  };
}

const round = (value: number, parts = 1e4): number => Math.round(value * parts) / parts;
