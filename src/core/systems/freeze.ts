import type { Choice, PlannedStep, Stack } from '../dossier';
import type { Step } from './choice';
import type { StepReason } from './reasons';
import type { CoatStack } from './surface-state';
import type { Assumption, CoatingSystem } from './system';

/** How what is kept with a system is said; a system that is only tried out needs no words. */
export interface Phrases {
  step: (step: Step) => string;
  why: (reasons: readonly StepReason[]) => string;
  assumes: (assumption: Assumption) => string;
}

/** A system as it is kept when the owner takes it: layers, work, figures and what it took for granted, with the date. */
export function freezeSystem(system: CoatingSystem, at: string, say: Phrases): Choice {
  const { risk, handsOnMin, elapsedH, materialsCost, expectedCost, fumes } = system;
  return {
    system: system.labels[0] ?? system.id,
    at,
    zones: system.zones.map(({ id, treatment, stack, steps, recovery }) => ({
      id,
      treatment,
      stack: stackOf(stack),
      steps: steps.map((own): PlannedStep => keepStep(own, say)),
      ...(recovery ? { recovery } : {}),
    })),
    figures: {
      risk: risk.overall,
      hands_on_min: handsOnMin,
      elapsed_h: elapsedH,
      materials_cost: materialsCost,
      expected_cost: expectedCost,
      fumes,
    },
    assumes: system.assumes.map(say.assumes),
  };
}

/** The layers as they are kept. */
export const stackOf = ({
  prep,
  primers,
  paint,
  paintCoats,
  colour,
  secondColour,
  topcoat,
  renewed,
}: CoatStack): Stack => ({
  prep,
  primers: primers.map(({ code, coats }) => ({ code, coats })),
  paint,
  paint_coats: paintCoats,
  ...(colour ? { colour } : {}),
  ...(secondColour ? { second_colour: secondColour } : {}),
  topcoat,
  ...(renewed ? { renewed } : {}),
});

/** A step as it is kept: its name and its reasons in words. */
export const keepStep = (step: Step, say: Phrases): PlannedStep => ({
  ...carryStep(step),
  label: say.step(step),
  why: say.why(step.why),
});

/** A step of the work as it is done: its reasons in the words it was taken with, or, searched again, as data. */
export type TakenStep = Omit<Named<PlannedStep>, 'why' | 'label'> & { label?: string; why: string | StepReason[] };
/** Without what a newer format may carry besides. */
type Named<T> = { [K in keyof T as string extends K ? never : K]: T[K] };

export function carryStep({
  recoatH,
  afterH,
  cureDays,
  once,
  waitH,
  stage = 0,
  ...step
}: Step): TakenStep & { why: StepReason[] } {
  return {
    ...step,
    ...(once === undefined ? {} : { once_min: once }),
    ...(recoatH === undefined ? {} : { recoat_h: recoatH }),
    ...(afterH === undefined ? {} : { after_h: afterH }),
    ...(cureDays === undefined ? {} : { cure_days: cureDays }),
    wait_h: waitH,
    stage,
  };
}
