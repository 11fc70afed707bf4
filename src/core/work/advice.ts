import { listTools } from '../application';
import type { Goal, Zone } from '../dossier';
import {
  findDust,
  findProduct,
  findRepairStep,
  findTestKind,
  HAND_FACTS,
  HAND_SAYS,
  hasStrongFumes,
  isWholeCoat,
  maySpray,
  OPERATION_FACTS,
  OPERATION_SAYS,
  type OperationSays,
  STRIPPING_FACTS,
  CAUTION_FACTS,
  type Basis,
  type CautionCode,
  type CautionFact,
  PAINTING_SAYS,
} from '../knowledge';
import type { Task } from './tasks';

/** A caution: shown at the step where it bites. */
export interface Caution extends CautionFact {
  code: CautionCode;
}

/** The cautions of a task. `oldCoat`: lead is possible by date, though a test was negative. */
export function listCautions(
  task: Pick<Task, 'op' | 'class' | 'key' | 'repair' | 'tests' | 'method' | 'hand'>,
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
  if (maySpray(op, code) && (application === 'spray' || application === 'aerosol')) codes.push('spray');
  if (dust === 'sanding') codes.push('dust');
  if (fact.cleans) codes.push('cleaners');
  codes.push(...((task.hand && HAND_FACTS[task.hand].cautions) ?? []));
  codes.push(...(fact.cautions ?? []), ...(method ? STRIPPING_FACTS[method].cautions : []));
  codes.push(...(task.tests ?? []).flatMap((kind) => findTestKind(kind)?.cautions ?? []));
  if (fact.coat === 'paint' || fact.coat === 'clear' || fact.untimed) {
    if (hazards.includes('nursery')) codes.push('child');
    if (hazards.includes('food')) codes.push('food');
  }
  return [...new Set(codes)].map((own) => ({ code: own, ...CAUTION_FACTS[own] }));
}

/** Something that matters at a step, and where that comes from. */
export interface StepFact {
  text: string;
  basis: Basis;
}

const of = (texts: readonly string[], basis: Basis): StepFact[] => texts.map((text) => ({ text, basis }));

/** The two or three things that matter at this step, most telling first: by its product, its tool and its zones. */
export function listFacts(
  task: Pick<Task, 'op' | 'class' | 'coat' | 'coats' | 'grit' | 'ml' | 'repair' | 'method' | 'hand'>,
  zones: readonly Pick<Zone, 'role' | 'moulded' | 'orientation' | 'area_m2'>[],
  application: Goal['application'] = 'brush_roll',
): StepFact[] {
  const has = (test: (zone: (typeof zones)[number]) => boolean): boolean => zones.some(test);
  const doors = has(({ role }) => role === 'door');
  const repair = task.repair === undefined ? undefined : findRepairStep(task.repair);
  if (repair) return of(repair.facts, repair.basis);
  if (task.method) {
    const { says, waste, basis } = STRIPPING_FACTS[task.method];
    return of([...says, waste], basis);
  }
  if (task.hand) {
    const says = HAND_SAYS[task.hand];
    const { basis } = HAND_FACTS[task.hand];
    return of(says, basis);
  }
  const { says = [], saysOfDoors = [], saysOfMouldings = [] }: Partial<OperationSays> = OPERATION_SAYS[task.op] ?? {};
  const product = task.class === undefined ? undefined : findProduct(task.class);
  const facts = [
    ...(task.op === 'paint' ? paintingFacts(task, zones, doors, application) : []),
    ...(product?.applied && isWholeCoat(task.op) ? of(product.applied, product.basis) : of(says, 'practice')),
    ...(doors ? of(saysOfDoors, 'practice') : []),
    ...(has(({ moulded }) => moulded === true) ? of(saysOfMouldings, 'practice') : []),
  ];
  return facts.slice(0, MOST_FACTS);
}
const MOST_FACTS = 3;

function paintingFacts(
  task: Pick<Task, 'op' | 'class' | 'coat' | 'coats'>,
  zones: readonly Pick<Zone, 'role' | 'moulded' | 'area_m2'>[],
  doors: boolean,
  application: Goal['application'],
): StepFact[] {
  if (application === 'spray' || application === 'aerosol') return of(PAINTING_SAYS[application], 'practice');
  const [tool] = listTools(task, zones);
  const [first, ...more] = tool?.says ?? [];
  return [
    ...(tool && first ? of([first], tool.basis) : []),
    ...of(
      [...(doors ? [PAINTING_SAYS.doors] : []), task.coat < task.coats ? PAINTING_SAYS.not_last : PAINTING_SAYS.last],
      'practice',
    ),
    ...(tool ? of(more, tool.basis) : []),
  ];
}
