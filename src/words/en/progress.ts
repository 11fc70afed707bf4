import type { NextStep, PieceState } from '@/core/piece';
import { lowerFirst } from '@/core/shared';
import { lookUp, type Words } from './look-up';
import { nameTask } from './steps';
import { nameSymptom } from './symptoms';

const STATES: { [C in PieceState['code']]: Words<Extract<PieceState, { code: C }>> } = {
  sold: 'Sold',
  handed_over: 'Handed over',
  done: 'Done',
  held_back: 'Held back',
  in_trouble: ({ symptom, zoneName }) => `${nameSymptom(symptom)}: ${lowerFirst(zoneName)}`,
  lead_found: 'Lead found',
  lead_possible: 'Lead possible',
  reading: ({ settled, zones }) => `${settled} of ${zones} zones read`,
  read: 'Read',
  patch_failed: 'A patch failed',
  proof_wanted: 'Proof wanted',
  passed_over: 'Gate passed over',
  proved: 'Proved',
  working: ({ done, jobs }) => `${done} of ${jobs} jobs done`,
};

const STEPS: { [C in NextStep['code']]: Words<Extract<NextStep, { code: C }>> } = {
  leave_closed: 'Leave it closed; ask certified practice',
  lead_test: 'Test for lead before any sanding',
  look: ({ zoneName }) => `Look at the ${lowerFirst(zoneName)}, sand nothing yet`,
  read_zone: ({ zoneName }) => `Read the ${lowerFirst(zoneName)}`,
  choose: 'Choose a system',
  choose_again: ({ zoneName }) => `Choose again for the ${lowerFirst(zoneName)}`,
  test_patch: ({ zoneName }) => `Test a patch on the ${lowerFirst(zoneName)}`,
  paint_at_risk: 'Paint at your own risk',
  paint: 'Prime and paint',
  job: ({ task }) => `Next: ${lowerFirst(nameTask(task))}`,
  held_back: 'Held back: see Work',
  cure: 'All is done: it cures',
  mend: 'Find the way out in Mend',
  hand_over: 'Waits to be fetched',
  tell_how_it_holds: 'Say later how it holds',
};

/** Where a piece stands, in a few words. */
export const sayState = (state: PieceState): string => lookUp(STATES, state.code, state);

/** What to do next, as an order. */
export const sayNext = (next: NextStep): string => lookUp(STEPS, next.code, next);
