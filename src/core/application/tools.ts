import {
  FILM_FACTS,
  findCarrier,
  findProduct,
  isWholeCoat,
  maySpray,
  TOOL_FACTS,
  type FaceKind,
  type TechniqueCode,
  type ToolFact,
} from '../knowledge';
import type { Goal, Zone } from '../dossier';
import type { Task } from '../work';

type CoatClass = keyof typeof FILM_FACTS;
type OfZone = Pick<Zone, 'role' | 'moulded' | 'area_m2'>;

const NARROW: readonly Zone['role'][] = ['leg', 'edge', 'moulding'];

/** What a zone is to a tool. */
const faceOf = ({ role, moulded }: Pick<Zone, 'role' | 'moulded'>): FaceKind =>
  NARROW.includes(role) ? 'narrow' : moulded === true ? 'moulded' : 'flat';

/** The tool for a coat on a face by hand. `areaM2`: of the face, m². Source: common practice, a row of `TOOL_FACTS`. */
export function pickTool(code: CoatClass, face: FaceKind, areaM2: number): ToolFact {
  const carrier = findCarrier(code);
  return TOOL_FACTS.find(
    ({ classes, carriers, faces, leastM2 = 0 }) =>
      (!classes || (classes as readonly string[]).includes(code)) &&
      (!carriers || carriers.includes(carrier)) &&
      (!faces || faces.includes(face)) &&
      areaM2 >= leastM2,
  )!;
}

/** The tools for a coat by hand, that for the most area first; none where it is sprayed or no coat over a face. */
export function listTools(
  { op, class: code }: Pick<Task, 'op' | 'class'>,
  zones: readonly OfZone[],
  application: Goal['application'] = 'brush_roll',
): ToolFact[] {
  if (!isWholeCoat(op) || code === undefined || !(code in FILM_FACTS)) return [];
  if (isOutOfGun({ op, class: code }, application) || findProduct(code)?.sprayCan) return [];
  const areas = new Map<ToolFact, number>();
  for (const zone of zones) {
    const area = zone.area_m2 ?? 0;
    const tool = pickTool(code as CoatClass, faceOf(zone), area);
    areas.set(tool, (areas.get(tool) ?? 0) + area);
  }
  return [...areas].sort((a, b) => b[1] - a[1]).map(([tool]) => tool);
}

/** What is rubbed on is done by hand, whatever the rest is put on with. */
const isOutOfGun = ({ op, class: code }: Pick<Task, 'op' | 'class'>, application: Goal['application']): boolean =>
  application !== 'brush_roll' && maySpray(op, code);

/** What is drawn beside a step: how the tool is led, the order of a panelled door, how tape is pulled. */
export function listDrawings(
  task: Pick<Task, 'op' | 'class' | 'hand'>,
  zones: readonly OfZone[],
  application: Goal['application'] = 'brush_roll',
): TechniqueCode[] {
  if (task.hand) return [...(HAND_DRAWINGS[task.hand] ?? [])];
  if (task.op === 'rub_out') return ['rub_even'];
  if (!isWholeCoat(task.op)) return [];
  if (isOutOfGun(task, application)) return ['half_overlap'];
  const drawings = listTools(task, zones).flatMap((tool) => tool.drawings);
  const panelled = zones.some(({ role, moulded }) => role === 'door' || moulded === true);
  return [...new Set([...drawings, ...(panelled ? (['panel_order'] as const) : [])])].slice(0, MOST_DRAWINGS);
}

const MOST_DRAWINGS = 3;
const HAND_DRAWINGS: Partial<Record<NonNullable<Task['hand']>, readonly TechniqueCode[]>> = {
  pull_tape: ['tape_pull'],
  stand: ['points'],
  gun_card: ['half_overlap'],
  can_card: ['half_overlap'],
  room_edges: ['room_edges'],
};
