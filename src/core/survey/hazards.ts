import {
  detailOf,
  FAULT_ANSWERS,
  isLeadPossible,
  LEAD_KIT_FACTS,
  turnToForLead,
  type DefectCode,
  type LeadKit,
} from '../knowledge';
import type { Dossier, Zone } from '../dossier';
import type { Belief } from './belief';
import { STATES, type State } from './states';
import { lowerFirst } from '../shared';

export interface Hazard {
  code: string;
  title: string;
  /** The gate that holds work back until settled; none for a warning. */
  gate?: 'lead_test' | 'certified_practice';
  /** It speaks of lead, found or not: the old coat is one that may hold some. */
  lead?: true;
  /** Work on the zone waits until this has ended: why, and what ends it. */
  hold?: { why: string; end: string };
  why: string;
}

/** What must be settled before dry abrasion or heat, and what to be warned of. Never says that a surface is safe. */
export function deriveHazards(belief: Belief, dossier: Pick<Dossier, 'piece'>, zone: Zone): Hazard[] {
  const hazards: Hazard[] = [];
  const lead = leadHazard(belief, dossier, zone);
  if (lead) hazards.push(lead);
  if (zone.defects?.some((defect) => defect.code === 'mould')) {
    hazards.push({
      code: 'mould',
      title: 'Mould',
      ...holdOf('mould', zone),
      why: 'Mask, damp methods, and find where the moisture comes from.',
    });
  }
  if (zone.defects?.some((defect) => defect.code === 'woodworm')) {
    hazards.push({
      code: 'woodworm',
      title: 'Woodworm',
      ...holdOf('woodworm', zone),
      why: 'Keep it apart from other wood and treat by the label.',
    });
  }
  if (dossier.piece.history?.room === 'nursery') {
    hazards.push({
      code: 'nursery',
      title: 'For a child’s room',
      why: 'For a child: use products certified for it and wait out the full cure before use.',
    });
  }
  if (isFoodFace(dossier, zone))
    hazards.push({
      code: 'food',
      title: 'Food lies here',
      why: 'Only a last coat that its label names for food contact, cured right through; cut on a board.',
    });
  return hazards;
}

/** Worktops and kitchen tops, where food lies on the paint itself. */
const isFoodFace = ({ piece }: Pick<Dossier, 'piece'>, { role }: Zone): boolean =>
  role === 'top' && (piece.kind === 'kitchen_run' || piece.kind === 'bench_top' || piece.history?.room === 'kitchen');

/** A fault that is still alive holds its zone back; the careful answer counts until another is given. */
function holdOf(code: DefectCode, zone: Zone): Pick<Hazard, 'hold'> {
  const { hold } = FAULT_ANSWERS[code];
  const open = (zone.defects ?? []).some((defect) => defect.code === code && !hold!.ends.includes(detailOf(defect)!));
  return open ? { hold: { why: hold!.why, end: hold!.end } } : {};
}

function leadHazard(belief: Belief, dossier: Pick<Dossier, 'piece'>, zone: Zone): Hazard | null {
  const tests = (zone.observations ?? []).filter(({ check }) => check === 'lead_test');
  // One positive test stands, whatever another swab says; only taking it back removes it.
  if (tests.some(({ result }) => result === 'positive')) {
    const why = `The test was positive. No sanding, no scraping, no heat; keep children and pregnant people away. ${turnToForLead(dossier.piece.region)}`;
    return { code: 'lead_found', lead: true, title: 'Lead found: stop here', gate: 'certified_practice', why };
  }
  const era = dossier.piece.history?.era ?? 'unknown';
  if (!isLeadPossible(era, dossier.piece.region)) return null;
  const coated = belief.joint.reduce((sum, p, s) => sum + (mayHoldLead(STATES[s]!) ? p : 0), 0);
  if (coated < LEAD_CREDIBLE) return null;
  const last = tests.at(-1);
  if (last) return { code: 'lead_not_found', lead: true, title: 'No lead found here', why: sayNegative(last.kit) };
  const age = era === 'unknown' ? 'Its age is not known' : 'It is old enough for lead in its coat';
  return {
    code: 'lead_possible',
    lead: true,
    title: 'Lead is possible: no sanding yet',
    gate: 'lead_test',
    why: `${age}. No dry sanding, power sanding or heat until a lead test is in the record. Swabs can be wrong.`,
  };
}

function sayNegative(kit: LeadKit | undefined): string {
  const by = kit ? LEAD_KIT_FACTS[kit] : undefined;
  const doubt = by?.sure
    ? 'It speaks for the place tested only.'
    : 'Home swabs miss lead: sand wet, with extraction and a P2 mask, all the same.';
  return `No lead was found (${by ? lowerFirst(by.label) : 'kind of test not recorded'}). ${doubt}`;
}

/** A coat this likely is tested for lead before dust or heat (estimate, as every credible state is served). */
export const LEAD_CREDIBLE = 0.1;

export function mayHoldLead(state: State): boolean {
  return state.finish !== 'bare' && state.finish !== 'factory_film' && state.finish !== 'wax' && state.finish !== 'oil';
}
