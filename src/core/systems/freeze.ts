import type { Choice } from '../dossier';
import type { CoatingSystem } from './system';

/** A system as it is kept when the owner takes it: layers, figures and what it took for granted, with the date. */
export function freezeSystem(system: CoatingSystem, at: string): Choice {
  const { risk, handsOnMin, elapsedH, materialsCost, expectedCost, fumes } = system;
  return {
    system: system.labels[0] ?? system.id,
    at,
    zones: system.zones.map(({ id, treatment, stack }) => ({
      id,
      treatment,
      stack: {
        prep: stack.prep,
        primers: stack.primers.map(({ code, coats }) => ({ code, coats })),
        paint: stack.paint,
        paint_coats: stack.paintCoats,
        topcoat: stack.topcoat,
      },
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
