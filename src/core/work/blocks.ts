import { listTreated, nameZone, openTroubles, type Dossier } from '../dossier';
import { findDust, OPERATION_FACTS, type DefectCode, type SymptomCode } from '../knowledge';
import { judgeGates } from '../piece';
import type { Gate } from '../proof';
import { assessZone, listStops, type Hazard } from '../survey';
import { listDepartures } from '../systems';
import { isReadingTask } from './reading-task';
import type { Task } from './tasks';

/** Why work on a piece cannot go on, and where the way out is. */
export interface Block {
  gate: 'certified_practice' | 'lead_test' | 'fault_alive' | 'proof_failed' | 'no_way' | 'trouble' | 'left_plan';
  zones: string[];
  because: BlockReason;
  /** The first tasks it holds back; all that come after them are held back too. */
  tasks: string[];
  /** The stage of the piece that settles it. */
  goTo: 'read' | 'choose' | 'prove' | 'mend' | 'work';
}

/** Why work is held back, with what its sentence needs. */
export type BlockReason =
  | { kind: 'hold'; defect: DefectCode }
  | { kind: 'hazard'; hazard: Hazard }
  | { kind: 'gate'; gate: Gate }
  | { kind: 'left_plan'; zoneName: string }
  | { kind: 'trouble'; symptom: SymptomCode; zoneName: string }
  | { kind: 'no_way'; zoneName: string };

/** Dry dust, chips and heat, which lead forbids until it is settled. */
const isAbrasive = (task: Pick<Task, 'op' | 'repair' | 'method'>): boolean => findDust(task) !== undefined;

/** What holds a piece back: lead above all, a patch that failed, a system no way keeps to any more. */
export function listBlocks(dossier: Dossier, tasks: readonly Task[]): Block[] {
  const open = tasks.filter(({ state }) => state === 'open');
  const taken = (dossier.chosen?.zones ?? []).map(({ id }) => id);
  const treated = new Set(listTreated(dossier).map(({ id }) => id));
  const blocks: Block[] = [];
  const add = (
    gate: Block['gate'],
    zone: string,
    because: BlockReason,
    held: readonly Task[],
    goTo: Block['goTo'],
  ): void => {
    const known = blocks.find((block) => block.gate === gate);
    if (!known) blocks.push({ gate, zones: [zone], because, tasks: held.map(({ id }) => id), goTo });
    else {
      known.zones.push(zone);
      known.tasks = [...new Set([...known.tasks, ...held.map(({ id }) => id)])];
    }
  };
  for (const zone of dossier.zones ?? []) {
    const own = open.filter(({ openZones }) => openZones.includes(zone.id));
    if (own.length === 0) continue;
    for (const stop of listStops(assessZone(dossier, zone).hazards, !treated.has(zone.id))) {
      const because: BlockReason =
        stop.by === 'fault' ? { kind: 'hold', defect: stop.defect } : { kind: 'hazard', hazard: stop.hazard };
      if (stop.by === 'fault')
        add(
          'fault_alive',
          zone.id,
          because,
          own.filter(({ op }) => !OPERATION_FACTS[op].whileAlive),
          'read',
        );
      // Lead that was found stops the piece, all of it.
      // A patch is dulled as the piece is.
      else {
        const held = own.filter((task) => isAbrasive(task) || (task.op === 'proof' && !isReadingTask(task)));
        add(stop.gate, zone.id, because, stop.by === 'lead_found' ? open : held, 'read');
      }
    }
  }
  for (const gate of judgeGates(dossier)) {
    const { zone } = gate;
    if (gate.state !== 'closed') continue;
    const own = open.filter(
      (task) => task.openZones.includes(zone) && (isReadingTask(task) || task.op === 'prime' || task.op === 'paint'),
    );
    add('proof_failed', zone, { kind: 'gate', gate }, own, 'choose');
  }
  for (const { zone, symptom } of openTroubles(dossier))
    if (treated.has(zone))
      add('trouble', zone, { kind: 'trouble', symptom, zoneName: nameZone(dossier, zone) }, [], 'mend');
  // What was put on instead wants a plan of its own: the steps of the old one lead nowhere.
  for (const { zone } of listDepartures(dossier)) {
    const own = open.filter(({ openZones }) => openZones.includes(zone));
    if (own.length > 0) add('left_plan', zone, { kind: 'left_plan', zoneName: nameZone(dossier, zone) }, own, 'work');
  }
  const planned = new Set(tasks.flatMap(({ zones }) => zones));
  for (const id of taken) {
    const failed = blocks.some(
      ({ gate, zones }) => (gate === 'proof_failed' || gate === 'trouble') && zones.includes(id),
    );
    if (!treated.has(id) || failed || planned.has(id)) continue;
    add('no_way', id, { kind: 'no_way', zoneName: nameZone(dossier, id) }, open, 'choose');
  }
  return blocks;
}

/** Tasks that are held back, by a block or because what comes before them is. */
export function listHeld(tasks: readonly Task[], blocks: readonly Block[]): Set<string> {
  const held = new Set(blocks.flatMap((block) => block.tasks));
  for (const { id, piece, after, state } of tasks)
    if (state === 'open' && after.some(({ key }) => held.has(`${piece}/${key}`))) held.add(id);
  return held;
}
