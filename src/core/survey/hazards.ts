import { isLeadPossible, LEAD_KIT_FACTS, turnToForLead, type LeadKit } from '../knowledge';
import type { Dossier, Zone } from '../dossier';
import type { Belief } from './belief';
import { STATES, type State } from './states';

export interface Hazard {
  code: string;
  /** The gate that holds work back until settled; none for a warning. */
  gate?: 'lead_test' | 'certified_practice';
  why: string;
}

/** What must be settled before dry abrasion or heat, and what to be warned of. Never says that a surface is safe. */
export function deriveHazards(belief: Belief, dossier: Pick<Dossier, 'piece'>, zone: Zone): Hazard[] {
  const hazards: Hazard[] = [];
  const lead = leadHazard(belief, dossier, zone);
  if (lead) hazards.push(lead);
  if (zone.defects?.some((defect) => defect.code === 'mould')) {
    hazards.push({ code: 'mould', why: 'Mask, damp methods, and find where the moisture comes from.' });
  }
  if (zone.defects?.some((defect) => defect.code === 'woodworm')) {
    hazards.push({ code: 'woodworm', why: 'Keep it apart from other wood and treat by the label.' });
  }
  if (dossier.piece.history?.room === 'nursery') {
    hazards.push({
      code: 'nursery',
      why: 'For a child: use products certified for it and wait out the full cure before use.',
    });
  }
  return hazards;
}

function leadHazard(belief: Belief, dossier: Pick<Dossier, 'piece'>, zone: Zone): Hazard | null {
  const tests = (zone.observations ?? []).filter(({ check }) => check === 'lead_test');
  // One positive test stands, whatever another swab says; only taking it back removes it.
  if (tests.some(({ result }) => result === 'positive')) {
    const why = `The test was positive. No sanding, no scraping, no heat; keep children and pregnant people away. ${turnToForLead(dossier.piece.region)}`;
    return { code: 'lead_found', gate: 'certified_practice', why };
  }
  const era = dossier.piece.history?.era ?? 'unknown';
  if (!isLeadPossible(era, dossier.piece.region)) return null;
  const coated = belief.joint.reduce((sum, p, s) => sum + (mayHoldLead(STATES[s]!) ? p : 0), 0);
  if (coated < LEAD_CREDIBLE) return null;
  const last = tests.at(-1);
  if (last) return { code: 'lead_not_found', why: sayNegative(last.kit) };
  const age = era === 'unknown' ? 'Its age is not known' : 'It is old enough for lead in its coat';
  return {
    code: 'lead_possible',
    gate: 'lead_test',
    why: `${age}. No dry sanding, power sanding or heat until a lead test is in the record. Swabs can be wrong.`,
  };
}

function sayNegative(kit: LeadKit | undefined): string {
  const by = kit ? LEAD_KIT_FACTS[kit] : undefined;
  const doubt = by?.sure
    ? 'It speaks for the place tested only.'
    : 'Home swabs miss lead: sand wet, with extraction and a P2 mask, all the same.';
  return `No lead was found (${by ? by.label.toLowerCase() : 'kind of test not recorded'}). ${doubt}`;
}

/** A coat this likely is tested for lead before dust or heat (estimate, as every credible state is served). */
export const LEAD_CREDIBLE = 0.1;

export function mayHoldLead(state: State): boolean {
  return state.finish !== 'bare' && state.finish !== 'factory_film' && state.finish !== 'wax' && state.finish !== 'oil';
}
