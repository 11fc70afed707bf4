import type { MoistureVerdict } from '@/core/climate';
import type { Dossier } from '@/core/dossier';
import { diagnoseZone, type Circumstance } from '@/core/survey';
import { sayClash, sayHazard, sayNeed, sayWorth } from '@/words';

/** `bricolage.diagnosis/1`: the diagnosis as an open format. Probabilities to four decimals, each list sums to 1. */
export function reportDiagnosis(dossier: Dossier, at?: Circumstance) {
  return {
    format: 'bricolage.diagnosis/1' as const,
    zones: (dossier.zones ?? []).map((zone) => {
      const diagnosis = diagnoseZone(dossier, zone, at);
      const { belief } = diagnosis;
      return {
        id: zone.id,
        substrate: roundList(belief.substrate),
        finish: roundList(belief.finish),
        soundness: roundList(belief.soundness),
        grain: roundList(belief.grain),
        bleed_p: round(belief.present.bleed),
        ...(diagnosis.moisture ? { moisture: reportMoisture(diagnosis.moisture) } : {}),
        needs: diagnosis.needs.map((need) => ({
          code: need.code,
          p: round(need.p),
          ...(need.extent ? { extent: need.extent } : {}),
          why: sayNeed(need),
        })),
        hazards: diagnosis.hazards.map((hazard) => ({
          code: hazard.code,
          ...(hazard.gate ? { gate: hazard.gate } : {}),
          why: sayHazard(hazard),
        })),
        next_checks: diagnosis.nextChecks.map((next) => ({
          check: next.check,
          worth_minutes: next.worthMinutes,
          cost_minutes: next.costMinutes,
          why: sayWorth(next),
        })),
        contradictions: diagnosis.contradictions.map(({ check, result, because, against }) => ({
          check,
          result,
          why: sayClash(because),
          against,
        })),
        evidence: diagnosis.evidence.map(({ check, result, about, speaks, strength, basis }) => ({
          check,
          result,
          [speaks]: about,
          strength,
          basis,
        })),
      };
    }),
  };
}

const reportMoisture = ({ measuredPct, equilibriumPct, limitPct, state }: MoistureVerdict) => ({
  measured_pct: measuredPct,
  equilibrium_pct: Math.round(equilibriumPct * 10) / 10,
  limit_pct: Math.round(limitPct * 10) / 10,
  state,
});

const round = (p: number): number => Math.round(p * 1e4) / 1e4;

/** Rounds a list of probabilities and gives the first what rounding lost, so that the list still sums to 1. */
function roundList<C extends string>(list: readonly { code: C; p: number }[]): { code: C; p: number }[] {
  const rounded = list.map(({ code, p }) => ({ code, p: round(p) }));
  const rest = rounded.slice(1).reduce((sum, entry) => sum + entry.p, 0);
  if (rounded[0]) rounded[0].p = round(1 - rest);
  return rounded;
}
