import {
  byAttempt,
  fail,
  factsSchema,
  findFact,
  invertFacts,
  listFacts,
  setFacts,
  succeed,
  type ChangeRecord,
  type Fact,
  type Keys,
  type Result,
} from '../shared';
import { readWith } from '../dossier';
import { practiceAnswerSchema, type PracticeAnswer } from './practice-schema';
import { airSchema, pinSchema, setupSchema, type Air, type Pin, type Setup, type Workshop } from './schema';

/** Everything that can happen to the workshop; doing it twice is doing it once. */
export type WorkshopChange =
  | { type: 'setup_set'; setup: Setup }
  | { type: 'setup_changed'; facts: Fact[] }
  | { type: 'air_recorded'; air: Air }
  | { type: 'air_withdrawn'; at: string }
  | { type: 'task_pinned'; pin: Pin }
  | { type: 'task_unpinned'; task: string }
  | { type: 'exercise_answered'; answer: PracticeAnswer };

export const WORKSHOP_CHANGES: {
  [T in WorkshopChange['type']]: ChangeRecord<Workshop, Extract<WorkshopChange, { type: T }>, WorkshopChange>;
} = {
  setup_set: {
    route: ['put', '/setup'],
    carries: { field: 'setup', schema: setupSchema },
    apply: (shop, { setup }) => ({ ...shop, setup }),
    invert: ({ setup }) => [{ type: 'setup_set', setup }],
  },
  setup_changed: {
    route: ['patch', '/setup'],
    carries: { field: 'facts', schema: factsSchema, named: true },
    ...byAttempt(trySetupFacts),
    invert: ({ setup }, { facts }) => [{ type: 'setup_changed', facts: invertFacts(setup, facts, SETUP_KEYS) }],
  },
  air_recorded: {
    route: ['put', '/air/:air'],
    carries: { field: 'air', schema: airSchema, key: 'at' },
    apply: (shop, { air }) => {
      const others = shop.air.filter(({ at }) => at !== air.at);
      return { ...shop, air: [...others, air].sort((a, b) => Date.parse(a.at) - Date.parse(b.at)) };
    },
    invert: (before, { air: { at } }) => {
      const air = before.air.find((own) => own.at === at);
      return [air ? { type: 'air_recorded', air } : { type: 'air_withdrawn', at }];
    },
  },
  air_withdrawn: {
    route: ['delete', '/air/:at'],
    apply: (shop, { at }) => ({ ...shop, air: shop.air.filter((own) => own.at !== at) }),
    invert: (before, { at }) =>
      before.air.flatMap((air) => (air.at === at ? [{ type: 'air_recorded' as const, air }] : [])),
  },
  task_pinned: {
    route: ['put', '/pins/:pin'],
    carries: { field: 'pin', schema: pinSchema, key: 'task' },
    apply: (shop, { pin }) => ({ ...shop, pins: [...shop.pins.filter(({ task }) => task !== pin.task), pin] }),
    invert: (before, { pin: { task } }) => {
      const pin = before.pins.find((own) => own.task === task);
      return [pin ? { type: 'task_pinned', pin } : { type: 'task_unpinned', task }];
    },
  },
  task_unpinned: {
    route: ['delete', '/pins/:task'],
    apply: (shop, { task }) => ({ ...shop, pins: shop.pins.filter((own) => own.task !== task) }),
    invert: (before, { task }) =>
      before.pins.flatMap((pin) => (pin.task === task ? [{ type: 'task_pinned' as const, pin }] : [])),
  },
  exercise_answered: {
    route: ['put', '/practice/:answer'],
    carries: { field: 'answer', schema: practiceAnswerSchema },
    apply: (shop, { answer }) =>
      shop.practice.some(({ id }) => id === answer.id) ? shop : { ...shop, practice: [...shop.practice, answer] },
    // What was answered was answered: taken back, it would say that one is surer than one is.
    invert: () => null,
  },
};

const recordOf = (change: WorkshopChange) =>
  WORKSHOP_CHANGES[change.type] as ChangeRecord<Workshop, WorkshopChange, WorkshopChange>;

export const isWorkshopChange = (change: { type: string }): change is WorkshopChange => change.type in WORKSHOP_CHANGES;

export const applyWorkshopChange = (shop: Workshop, change: WorkshopChange): Workshop =>
  recordOf(change).apply(shop, change);

/** The workshop after a change, or why it cannot be made. */
export function tryWorkshopChange(shop: Workshop, change: WorkshopChange): Result<Workshop> {
  const problem = recordOf(change).refuses?.(shop, change) ?? null;
  return problem ? { ok: false, problem } : succeed(applyWorkshopChange(shop, change));
}

/** What of a change is to be sent: of the setup only what differs; null where nothing does. */
export function narrowWorkshopChange({ setup }: Workshop, change: WorkshopChange): WorkshopChange | null {
  if (change.type !== 'setup_set') return change;
  const facts = listFacts(setup, change.setup, SETUP_KEYS);
  return facts.length > 0 ? { type: 'setup_changed', facts } : null;
}

/** The stretches of a day and days apart from the rest have names of their own; the hours of such a day are one fact. */
const SETUP_KEYS: Keys = ([list, ...deeper]) => {
  if (deeper.length > 0) return undefined;
  if (list === 'hours') return (hours) => String((hours as { day: number }).day);
  return list === 'exceptions' ? (day) => (day as { date: string }).date : undefined;
};

function trySetupFacts(
  shop: Workshop,
  { facts }: Extract<WorkshopChange, { type: 'setup_changed' }>,
): Result<Workshop> {
  const set = setFacts(shop.setup, facts, SETUP_KEYS);
  if (!set.ok) return fail('fact_gone', set.fact.path.join('.'));
  const misnamed = facts.find(
    ({ path, value }) => value !== undefined && findFact(set.value, path, SETUP_KEYS) === undefined,
  );
  if (misnamed) return fail('fact_unknown', misnamed.path.join('.'));
  const read = readWith(setupSchema, set.value);
  return read.ok ? succeed({ ...shop, setup: read.value }) : read;
}

/** What undoes a change of the workshop made on `before`. */
export const invertWorkshopChange = (before: Workshop, change: WorkshopChange): WorkshopChange[] | null =>
  recordOf(change).invert(before, change);
