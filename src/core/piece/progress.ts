import { listTreated, zoneName, type Dossier } from '../dossier';
import { diagnosePiece, nextQuestion } from '../survey';
import { judgeGates } from './gates';
import { lowerFirst } from '../shared';

export type Stage = 'read' | 'choose' | 'prove' | 'paint' | 'stopped';

export interface Progress {
  stage: Stage;
  /** State of the piece in a few words. */
  state: string;
  /** What to do next, as an order. */
  next: string;
  tone: 'act' | 'go' | 'wait' | 'stop';
  settledZones: number;
  zones: number;
}

/** Where a piece stands and what comes next. */
export function summariseProgress(dossier: Dossier): Progress {
  const zones = listTreated(dossier);
  const ids = new Set(zones.map((zone) => zone.id));
  const diagnoses = diagnosePiece(dossier).filter(({ id }) => ids.has(id));
  const settledZones = diagnoses.filter(({ settled }) => settled).length;
  const base = { settledZones, zones: zones.length };
  const hazard = diagnoses.flatMap(({ hazards }) => hazards).find(({ gate }) => gate !== undefined);
  if (hazard?.gate === 'certified_practice') {
    return {
      ...base,
      stage: 'stopped',
      state: 'Lead found',
      next: 'Leave it closed; ask certified practice',
      tone: 'stop',
    };
  }
  const name = (id: string): string => lowerFirst(zoneName(zones.find((zone) => zone.id === id) ?? { id }));
  if (hazard) {
    // A look may yet show that there is no coat to hold any.
    const held = diagnoses.filter(({ hazards }) => hazards.includes(hazard))[0]!;
    const asked = nextQuestion(held);
    const next =
      asked === 'lead_test' ? 'Test for lead before any sanding' : `Look at the ${name(held.id)}, sand nothing yet`;
    return { ...base, stage: 'read', state: 'Lead possible', next, tone: 'stop' };
  }
  const unread = diagnoses.find(({ settled }) => !settled);
  if (unread && !dossier.chosen) {
    return {
      ...base,
      stage: 'read',
      state: `${settledZones} of ${zones.length} zones read`,
      next: `Read the ${name(unread.id)}`,
      tone: 'act',
    };
  }
  if (!dossier.chosen) return { ...base, stage: 'choose', state: 'Read', next: 'Choose a system', tone: 'act' };
  return { ...base, ...proofProgress(dossier, name) };
}

function proofProgress(
  dossier: Dossier,
  name: (id: string) => string,
): Pick<Progress, 'stage' | 'state' | 'next' | 'tone'> {
  const gates = judgeGates(dossier);
  const closed = gates.find(({ state }) => state === 'closed');
  if (closed)
    return {
      stage: 'choose',
      state: 'A patch failed',
      next: `Choose again for the ${name(closed.zone)}`,
      tone: 'stop',
    };
  const waiting = gates.find(({ state }) => state === 'waiting');
  if (waiting)
    return { stage: 'prove', state: 'Proof wanted', next: `Test a patch on the ${name(waiting.zone)}`, tone: 'wait' };
  const passedOver = gates.some(({ state }) => state === 'overridden');
  return {
    stage: 'paint',
    state: passedOver ? 'Gate passed over' : 'Proved',
    next: passedOver ? 'Paint at your own risk' : 'Prime and paint',
    tone: passedOver ? 'wait' : 'go',
  };
}
