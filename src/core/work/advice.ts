import type { Goal, Zone } from '../dossier';
import {
  findDust,
  findProduct,
  findRepairStep,
  findTestKind,
  HAND_FACTS,
  hasStrongFumes,
  isWholeCoat,
  OPERATION_FACTS,
  STRIPPING_FACTS,
  CAUTION_FACTS,
  type CautionCode,
  type CautionFact,
} from '../knowledge';
import type { Task } from './tasks';

/** A caution: shown at the step where it bites. */
export interface Caution extends CautionFact {
  code: CautionCode;
}

/** The cautions of a task. `oldCoat`: lead is possible by date, though a test was negative. */
export function listCautions(
  task: Pick<Task, 'op' | 'class' | 'key' | 'repair' | 'tests' | 'method'>,
  {
    application,
    oldCoat,
    hazards = [],
  }: { application?: Goal['application']; oldCoat: boolean; hazards?: readonly string[] },
): Caution[] {
  const { op, class: code, method } = task;
  const repair = task.repair === undefined ? undefined : findRepairStep(task.repair);
  const fact = OPERATION_FACTS[op];
  const product = code === undefined ? undefined : findProduct(code);
  const dust = findDust(task);
  const codes: CautionCode[] = [];
  if (oldCoat && dust) codes.push('lead');
  if (repair?.caution) codes.push(repair.caution);
  if (hazards.includes('mould') && dust) codes.push('mould');
  if (product?.carrier === 'two_part') codes.push('two_part');
  if (product && hasStrongFumes(product.carrier)) codes.push('fumes');
  if (product?.ragsHeat) codes.push('oily_rags');
  if (isWholeCoat(op) && (application === 'spray' || application === 'aerosol')) codes.push('spray');
  if (dust === 'sanding') codes.push('dust');
  if (fact.cleans) codes.push('cleaners');
  codes.push(...(fact.cautions ?? []), ...(method ? STRIPPING_FACTS[method].cautions : []));
  codes.push(...(task.tests ?? []).flatMap((kind) => findTestKind(kind)?.cautions ?? []));
  if (fact.coat === 'paint' || fact.coat === 'clear' || fact.untimed) {
    if (hazards.includes('nursery')) codes.push('child');
    if (hazards.includes('food')) codes.push('food');
  }
  return [...new Set(codes)].map((own) => ({ code: own, ...CAUTION_FACTS[own] }));
}

/**
 * The two or three things that matter at this step, most telling first (common practice, but for the film and spreading
 * rate, which follow from unit geometry).
 */
export function listFacts(
  task: Pick<Task, 'op' | 'class' | 'coat' | 'coats' | 'grit' | 'ml' | 'repair' | 'method' | 'hand'>,
  zones: readonly Pick<Zone, 'role' | 'moulded' | 'orientation'>[],
  application: Goal['application'] = 'brush_roll',
): string[] {
  const has = (test: (zone: Pick<Zone, 'role' | 'moulded' | 'orientation'>) => boolean): boolean => zones.some(test);
  const doors = has(({ role }) => role === 'door');
  const flat = has(({ orientation, role }) => orientation === 'horizontal' || role === 'top');
  const repair = task.repair === undefined ? undefined : findRepairStep(task.repair);
  if (repair) return [...repair.facts];
  if (task.method) {
    const { says, waste } = STRIPPING_FACTS[task.method];
    return [...says, waste];
  }
  if (task.hand) return [...HAND_FACTS[task.hand].says];
  const { says = [] } = OPERATION_FACTS[task.op];
  const product = task.class === undefined ? undefined : findProduct(task.class);
  const facts = [
    ...(task.op === 'paint' ? paintingFacts(task, flat, doors, application) : []),
    ...(product?.applied && isWholeCoat(task.op) ? product.applied : says),
    ...(doors ? (OPERATION_FACTS[task.op].saysOfDoors ?? []) : []),
    ...(has(({ moulded }) => moulded === true) ? (OPERATION_FACTS[task.op].saysOfMouldings ?? []) : []),
  ];
  return facts.slice(0, 3);
}

function paintingFacts(
  task: Pick<Task, 'coat' | 'coats'>,
  flat: boolean,
  doors: boolean,
  application: Goal['application'],
): string[] {
  if (application === 'spray')
    return ['Start and stop off the piece, half over the last pass.', 'Several light coats; undersides too.'];
  if (application === 'aerosol') return ['Light passes; a wet look means a run is coming.'];
  const facts = ['Brush on, then roll off at once with an unloaded foam roller.'];
  if (doors)
    facts.push('Edges, then panels and mouldings, then rails, then stiles; hardware holes last with a near-dry brush.');
  if (flat) facts.push('In strips about 15 cm wide, so that each is rolled off while it is wet.');
  facts.push(
    task.coat < task.coats
      ? 'This coat need not cover. Leave it alone when it drags.'
      : 'Look against the light while it is wet: runs hide on edges and lower corners.',
  );
  return facts;
}
