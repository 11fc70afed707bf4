import {
  detailOf,
  FAULT_ANSWERS,
  FINISH_FACTS,
  isLeadPossible,
  type DefectCode,
  type EraCode,
  type FinishCode,
  type LeadKit,
} from '../knowledge';
import { isForChild, roomToBe, type Dossier, type Zone } from '../dossier';
import { computeBelief, type Belief } from './belief';
import { STATES, type State } from './states';

interface HazardParams {
  lead_found: { region?: string };
  lead_not_found: { kit?: LeadKit };
  lead_possible: { ageKnown: boolean };
  /** A clear coat old enough: it seldom holds lead, and is no stop. */
  lead_in_old_clear: object;
  mould: object;
  woodworm: object;
  nursery: object;
  food: object;
}

/** What is to be minded, with what its sentence needs. */
export type Hazard = {
  [C in keyof HazardParams]: { code: C } & HazardParams[C] & {
      /** The gate that holds work back until settled; none for a warning. */
      gate?: 'lead_test' | 'certified_practice';
      /** It speaks of lead, found or not: the old coat is one that may hold some. */
      lead?: true;
      /** Work on the zone waits until this fault is no longer alive. */
      hold?: DefectCode;
    };
}[keyof HazardParams];

/**
 * What stops work: a fault that is alive rests its zone, whatever is to be made of it; lead that was found stops the piece,
 * all of it; lead that is possible stops what makes dust, chips or heat.
 */
export type Stop =
  | { by: 'fault'; hazard: Hazard; defect: DefectCode }
  | { by: 'lead_found' | 'lead_possible'; hazard: Hazard; gate: NonNullable<Hazard['gate']> };

/** What of the hazards of a zone stops work, the worst first. A zone that is left as it is stops nothing by its lead. */
export function listStops(hazards: readonly Hazard[], isLeftAsItIs = false): Stop[] {
  const stops = hazards.flatMap((hazard): Stop[] => [
    ...(hazard.gate && !isLeftAsItIs ? [{ by: STOP_OF_GATE[hazard.gate], hazard, gate: hazard.gate }] : []),
    ...(hazard.hold ? [{ by: 'fault' as const, hazard, defect: hazard.hold }] : []),
  ]);
  return stops.sort((a, b) => STOP_ORDER.indexOf(a.by) - STOP_ORDER.indexOf(b.by));
}

const STOP_OF_GATE = { certified_practice: 'lead_found', lead_test: 'lead_possible' } as const;
const STOP_ORDER: readonly Stop['by'][] = ['lead_found', 'fault', 'lead_possible'];

/** Lead was found: nothing is done here but by certified practice. */
export const isStoppedByLead = (hazards: readonly Hazard[]): boolean =>
  listStops(hazards).some(({ by }) => by === 'lead_found');

/** As `deriveHazards`, of a zone as it is believed to be. */
export const listHazards = (dossier: Pick<Dossier, 'piece' | 'zones' | 'goal'>, zone: Zone): Hazard[] =>
  deriveHazards(computeBelief(dossier, zone), dossier, zone);

/** What must be settled before dry abrasion or heat, and what to be warned of. Never says that a surface is safe. */
export function deriveHazards(belief: Belief, dossier: Pick<Dossier, 'piece' | 'goal'>, zone: Zone): Hazard[] {
  const hazards: Hazard[] = [];
  const lead = leadHazard(belief, dossier, zone);
  if (lead) hazards.push(lead);
  for (const code of ['mould', 'woodworm'] as const)
    if (zone.defects?.some((defect) => defect.code === code)) hazards.push({ code, ...holdOf(code, zone) });
  if (isForChild(dossier)) hazards.push({ code: 'nursery' });
  if (isFoodFace(dossier, zone)) hazards.push({ code: 'food' });
  return hazards;
}

/** Worktops and kitchen tops, where food lies on the paint itself. */
const isFoodFace = (dossier: Pick<Dossier, 'piece' | 'goal'>, { role }: Zone): boolean =>
  role === 'top' &&
  (dossier.piece.kind === 'kitchen_run' || dossier.piece.kind === 'bench_top' || roomToBe(dossier) === 'kitchen');

/** A fault that is still alive holds its zone back; the careful answer counts until another is given. */
function holdOf(code: DefectCode, zone: Zone): Pick<Hazard, 'hold'> {
  const { hold } = FAULT_ANSWERS[code];
  const open = (zone.defects ?? []).some((defect) => defect.code === code && !hold!.ends.includes(detailOf(defect)!));
  return open ? { hold: code } : {};
}

function leadHazard(belief: Belief, dossier: Pick<Dossier, 'piece'>, zone: Zone): Hazard | null {
  const tests = (zone.observations ?? []).filter(({ check }) => check === 'lead_test');
  // One positive test stands, whatever another swab says; only taking it back removes it.
  if (tests.some(({ result }) => result === 'positive')) {
    const { region } = dossier.piece;
    return { code: 'lead_found', lead: true, gate: 'certified_practice', ...(region === undefined ? {} : { region }) };
  }
  const era = dossier.piece.history?.era ?? 'unknown';
  if (!isLeadPossible(era, dossier.piece.region)) return null;
  const coated = belief.joint.reduce((sum, p, s) => sum + (mayHoldLead(STATES[s]!) ? p : 0), 0);
  if (coated < LEAD_CREDIBLE) return isOldClear(belief, era) ? { code: 'lead_in_old_clear' } : null;
  const last = tests.at(-1);
  if (last) return { code: 'lead_not_found', lead: true, ...(last.kit === undefined ? {} : { kit: last.kit }) };
  return { code: 'lead_possible', lead: true, gate: 'lead_test', ageKnown: era !== 'unknown' };
}

/** A coat this likely is tested for lead before dust or heat (estimate, as every credible state is served). */
export const LEAD_CREDIBLE = 0.1;

/** Paint, and coats nobody knows; clear lacquer and varnish hardly ever (common practice). */
export const mayHoldLead = ({ finish }: State): boolean =>
  finish === 'unknown' || (FINISH_FACTS[finish].opaque && finish !== 'powder_coat');

/** A clear coat of before the seventies' limits, most likely. */
const isOldClear = ({ finish: [first] }: Belief, era: EraCode): boolean =>
  (era === 'before_1940' || era === '1940_1977') && first !== undefined && OLD_CLEARS.includes(first.code);
const OLD_CLEARS: readonly FinishCode[] = ['varnish_oil', 'nitro_lacquer', 'catalysed_lacquer', 'shellac'];
