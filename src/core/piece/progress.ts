import { listTreated, nameZone, type Dossier } from '../dossier';
import type { SymptomCode } from '../knowledge';
import { diagnosePiece, listStops, nextQuestion } from '../survey';
import type { NamedTask } from '../systems';
import { judgeGates } from './gates';

export type Stage = 'read' | 'choose' | 'prove' | 'paint' | 'stopped';

export interface Progress {
  stage: Stage;
  state: PieceState;
  /** What to do next. */
  next: NextStep;
  tone: 'act' | 'go' | 'wait' | 'stop';
  settledZones: number;
  zones: number;
}

/** Where a piece stands, with what its words need. */
export type PieceState =
  | { code: 'lead_found' | 'lead_possible' | 'read' | 'patch_failed' | 'proof_wanted' | 'passed_over' | 'proved' }
  | { code: 'sold' | 'handed_over' | 'done' | 'held_back' }
  | { code: 'in_trouble'; symptom: SymptomCode; zoneName: string }
  | { code: 'reading'; settled: number; zones: number }
  | { code: 'working'; done: number; jobs: number };

/** What comes next, with what its words need. */
export type NextStep =
  | { code: 'leave_closed' | 'lead_test' | 'choose' | 'paint_at_risk' | 'paint' | 'held_back' | 'cure' }
  | { code: 'mend' | 'hand_over' | 'tell_how_it_holds' }
  | { code: 'look' | 'read_zone' | 'choose_again' | 'test_patch'; zoneName: string }
  | { code: 'job'; task: NamedTask };

/** How far a piece is read, chosen for and proved. Where it stands with its work and its sale: `work/standing`. */
export function summariseProgress(dossier: Dossier): Progress {
  const zones = listTreated(dossier);
  const ids = new Set(zones.map((zone) => zone.id));
  const diagnoses = diagnosePiece(dossier).filter(({ id }) => ids.has(id));
  const settledZones = diagnoses.filter(({ settled }) => settled).length;
  const base = { settledZones, zones: zones.length };
  const stops = diagnoses.flatMap(({ id, hazards }) => listStops(hazards).map((stop) => ({ id, ...stop })));
  const found = stops.find(({ by }) => by === 'lead_found');
  if (found)
    return {
      ...base,
      stage: 'stopped',
      state: { code: 'lead_found' },
      next: { code: 'leave_closed' },
      tone: 'stop',
    };
  const possible = stops.find(({ by }) => by === 'lead_possible');
  if (possible) {
    // A look may yet show that there is no coat to hold any.
    const asked = nextQuestion(diagnoses.find(({ id }) => id === possible.id)!);
    const next: NextStep =
      asked === 'lead_test' ? { code: 'lead_test' } : { code: 'look', zoneName: nameZone(dossier, possible.id) };
    return { ...base, stage: 'read', state: { code: 'lead_possible' }, next, tone: 'stop' };
  }
  // What is alive rests its zone: once the rest is read and chosen for, it is what the piece waits for.
  if (stops.length > 0 && dossier.chosen)
    return { ...base, stage: 'read', state: { code: 'held_back' }, next: { code: 'held_back' }, tone: 'stop' };
  const unread = diagnoses.find(({ settled }) => !settled);
  if (unread && !dossier.chosen) {
    return {
      ...base,
      stage: 'read',
      state: { code: 'reading', settled: settledZones, zones: zones.length },
      next: { code: 'read_zone', zoneName: nameZone(dossier, unread.id) },
      tone: 'act',
    };
  }
  if (!dossier.chosen)
    return { ...base, stage: 'choose', state: { code: 'read' }, next: { code: 'choose' }, tone: 'act' };
  return { ...base, ...proofProgress(dossier) };
}

function proofProgress(dossier: Dossier): Pick<Progress, 'stage' | 'state' | 'next' | 'tone'> {
  const gates = judgeGates(dossier);
  const closed = gates.find(({ state }) => state === 'closed');
  if (closed)
    return {
      stage: 'choose',
      state: { code: 'patch_failed' },
      next: { code: 'choose_again', zoneName: nameZone(dossier, closed.zone) },
      tone: 'stop',
    };
  const waiting = gates.find(({ state }) => state === 'waiting');
  if (waiting)
    return {
      stage: 'prove',
      state: { code: 'proof_wanted' },
      next: { code: 'test_patch', zoneName: nameZone(dossier, waiting.zone) },
      tone: 'wait',
    };
  const passedOver = gates.some(({ state }) => state === 'overridden');
  return {
    stage: 'paint',
    state: { code: passedOver ? 'passed_over' : 'proved' },
    next: { code: passedOver ? 'paint_at_risk' : 'paint' },
    tone: passedOver ? 'wait' : 'go',
  };
}
