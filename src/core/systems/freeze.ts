import type { Choice, PlannedStep } from '../dossier';
import type { Step } from './choice';
import type { CoatingSystem } from './system';

/** A system as it is kept when the owner takes it: layers, work, figures and what it took for granted, with the date. */
export function freezeSystem(system: CoatingSystem, at: string): Choice {
  const { risk, handsOnMin, elapsedH, materialsCost, expectedCost, fumes } = system;
  return {
    system: system.labels[0] ?? system.id,
    at,
    zones: system.zones.map(({ id, treatment, stack, steps }) => ({
      id,
      treatment,
      stack: {
        prep: stack.prep,
        primers: stack.primers.map(({ code, coats }) => ({ code, coats })),
        paint: stack.paint,
        paint_coats: stack.paintCoats,
        topcoat: stack.topcoat,
      },
      steps: steps.map(freezeStep),
    })),
    figures: {
      risk: risk.overall,
      hands_on_min: handsOnMin,
      elapsed_h: elapsedH,
      materials_cost: materialsCost,
      expected_cost: expectedCost,
      fumes,
    },
    assumes: system.assumes,
  };
}

export function freezeStep({ recoatH, waitH, stage = 0, ...step }: Step): PlannedStep {
  return { ...step, ...(recoatH === undefined ? {} : { recoat_h: recoatH }), wait_h: waitH, stage };
}
