import type { Dossier } from '../dossier';
import { mergeJobs } from './jobs';
import { planPiece } from './plan';
import type { Step } from './choice';
import { describeSavings, listTurningPoints } from './turning-points';

/** Zones whose open questions are answered in a report: the command line is to be quick on large pieces too. */
const REPORTED_ZONES = 2;

/** `bricolage.plan/1`: the plan as an open format. */
export function reportPlan(dossier: Dossier) {
  const plan = planPiece(dossier);
  const savings = plan.systems.length > 0 ? describeSavings(dossier, listTurningPoints(dossier, REPORTED_ZONES)) : [];
  const nameOf = (id: string): string => dossier.zones?.find((zone) => zone.id === id)?.name ?? id;
  return {
    format: 'bricolage.plan/1' as const,
    systems: plan.systems.map((system) => ({
      id: system.id,
      labels: system.labels,
      zones: system.zones.map((zone) => ({ id: zone.id, steps: zone.steps.map(reportStep) })),
      jobs: mergeJobs(system.zones).map(({ op, label, zones, minutes, waitH, ml }) => ({
        op,
        label,
        zones,
        minutes,
        wait_h: waitH,
        ml: ml > 0 ? ml : undefined,
      })),
      risk: Object.fromEntries(Object.entries(system.risk).map(([mode, p]) => [mode, Math.round(p * 1e4) / 1e4])),
      hands_on_min: system.handsOnMin,
      elapsed_h: system.elapsedH,
      materials_cost: toMoney(system.materialsCost),
      expected_cost: toMoney(system.expectedCost),
      total_cost: toMoney(system.totalCost),
      fumes: system.fumes,
      supplies: system.supplies.map(({ class: code, neededMl, fromShelf, buy }) => ({
        class: code,
        needed_ml: neededMl,
        from_shelf: fromShelf,
        buy: buy.tins.map(({ volumeMl, count }) => ({ volume_ml: volumeMl, count })),
        price: toMoney(buy.price),
      })),
      assumes: [...system.assumes, ...(system.labels.includes('recommended') ? savings : [])],
      gates: system.gates,
      warnings: system.warnings.map(({ rule, zone, text }) => ({ rule, zone, text })),
    })),
    rejected: plan.rejected,
    blocked: plan.blocked.map(({ gate, zone, text }) => ({
      gate,
      ...(zone === undefined ? {} : { zone }),
      text: zone === undefined ? text : `${nameOf(zone)}: ${text}`,
    })),
  };
}

const toMoney = (value: number): number => Math.round(value * 100) / 100;

function reportStep(step: Step) {
  const { op, class: productClass, product, tint, grit, tests, coats, ml, recoatH, minutes, waitH, why } = step;
  return {
    op,
    class: productClass,
    product,
    tint,
    grit,
    tests,
    coats,
    recoat_h: recoatH,
    minutes,
    wait_h: waitH,
    ml,
    why,
  };
}
