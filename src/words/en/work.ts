import { nameCoat, nameTask } from './steps';
import type { Bound } from '@/core/schedule';
import { lowerFirst, upperFirst } from '@/core/shared';
import { SPRAY_PLACE, type Block, type HardwareVerdict, type Move, type PieceWork, type Remedy } from '@/core/work';
import { sayGate } from './proof';
import { sayHazard, sayHold } from './surface';
import { nameSymptom } from './symptoms';

const BLOCKS: Record<Block['gate'], string> = {
  fault_alive: 'Something is still alive here',
  certified_practice: 'Lead was found: leave it closed',
  lead_test: 'No dry sanding or heat before a lead test',
  proof_failed: 'A patch failed',
  no_way: 'Choose again',
  trouble: 'Something went wrong',
  left_plan: 'Not as it was planned',
};

/** What holds work back, in a few words. */
export const nameBlock = ({ gate }: Pick<Block, 'gate'>): string => BLOCKS[gate];

/** Why work is held back. */
export function sayBlock({ because }: Pick<Block, 'because'>): string {
  switch (because.kind) {
    case 'hold':
      return sayHold(because.defect);
    case 'hazard':
      return sayHazard(because.hazard);
    case 'gate':
      return sayGate(because.gate);
    case 'left_plan':
      return `Something else is on the ${lowerFirst(because.zoneName)} than the plan has. Plan on from what is on, in Work.`;
    case 'trouble':
      return `${nameSymptom(because.symptom)} on the ${lowerFirst(because.zoneName)}. Its old steps rest until Mend has a way out.`;
    case 'no_way':
      return `The system you took does not stand any more for the ${lowerFirst(because.zoneName)}. Choose again.`;
  }
}

/** Why a task does not start sooner. `name` says a task's label and piece. */
export function sayBound(bound: Bound, name: (task: string) => string): string {
  switch (bound.by) {
    case 'start':
      return 'It can start at once.';
    case 'wait':
      return `It waits for: ${name(bound.on)}.`;
    case 'closing':
      return `The recoat window after ${name(bound.on)} has closed; the next one opens then.`;
    case 'hands':
      return `Your hands are on ${name(bound.on)} before it.`;
    case 'thing':
      return bound.thing === SPRAY_PLACE ? 'The spray place is taken.' : 'The open tin is in use.';
    case 'window':
      return 'It waits for your next free time.';
    case 'room':
      return 'It does not fit into what is left of your time before it.';
    case 'air':
      return 'The air is expected too cold or damp for it before.';
    case 'pin':
      return 'You pinned it to this time.';
    case 'place':
      return 'It waits for a place to stand.';
  }
}

/** Tasks by their label and piece, to be spoken of in a sentence. */
export function nameTasks(pieces: readonly PieceWork[]): (task: string) => string {
  const names = new Map(
    pieces.flatMap(({ tasks, name }) =>
      tasks.map((task) => [task.id, `${lowerFirst(nameTask(task))} (${name})`] as const),
    ),
  );
  return (id) => names.get(id) ?? 'another job';
}

/** Why a task has moved. */
export function sayMove({ because }: Pick<Move, 'because'>, name: (task: string) => string): string {
  switch (because.kind) {
    case 'chained':
      return `${upperFirst(name(because.on))} moved too.`;
    case 'freed':
      return 'What held it is out of the way.';
    case 'held':
      return sayBound(because.bound, name);
    case 'unplaced':
      return UNPLACED[because.why];
  }
}

const UNPLACED: Record<Extract<Move['because'], { kind: 'unplaced' }>['why'], string> = {
  air: 'The air expected in your hours is too cold or too damp for it.',
  too_long: 'It takes longer than any of your hours.',
  no_window: 'None of your hours is left for it.',
  waits: 'What comes before it has no time either.',
};

const HARDWARE: Record<HardwareVerdict['because']['code'], (mm: number) => string> = {
  same_holes: () => 'The new screws go into the old holes.',
  plate_covers: (mm) => `The plate lies ${mm} mm beyond the old holes.`,
  plate_too_short: (mm) => `The plate is ${mm} mm too short to hide them.`,
  holes_apart: (mm) => `The old holes lie ${mm} mm from the new ones and would show.`,
};

/** Whether old holes serve again, and what is to be done where they do not. */
export function sayHardware({ verdict, because, clashes }: HardwareVerdict): { why: string; steps: string[] } {
  const why = HARDWARE[because.code]('mm' in because ? because.mm : 0);
  const tight = ' A new hole comes close to an old one: fill that one first, or the drill wanders.';
  if (verdict !== 'fill') return { why: verdict === 'cover' && clashes ? why + tight : why, steps: [] };
  const hard = clashes ? ': start with a 2 mm hole, the filler is harder than the wood' : '';
  return {
    why,
    steps: [
      'Two-part filler from both sides, a little proud',
      'Sand flush, 150 then 220',
      'Prime the spot with the rest',
      `Drill with the jig after the last coat${hard}`,
    ],
  };
}

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** What would help a piece that would be late. */
export function sayRemedy(remedy: Remedy): string {
  switch (remedy.kind) {
    case 'drop_clear':
      return 'Leave out the second clear coat';
    case 'faster_primer': {
      const names = remedy.primers.map(({ class: code, tint }) => lowerFirst(nameCoat(code, tint)));
      return `A faster system: ${names.join(' and ') || 'no primer'} (to be proved on a patch)`;
    }
    case 'more_time':
      return `One more evening a week: ${DAYS[remedy.day - 1]!} from ${remedy.from} to ${remedy.to}`;
  }
}
