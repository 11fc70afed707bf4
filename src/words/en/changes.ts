import {
  defectSchema,
  zoneName,
  type Dossier,
  type PictureTaken,
  type PieceChange,
  type ShelfChange,
} from '@/core/dossier';
import {
  DEFECT_FACTS,
  findCheck,
  labelProduct,
  NUMBER_CHECKS,
  OPERATION_FACTS,
  TEST_KIND_FACTS,
  type ProductClass,
} from '@/core/knowledge';
import { lowerFirst, type Fact } from '@/core/shared';
import type { WorkshopChange } from '@/core/workshop';

type Change = PieceChange | PictureTaken | ShelfChange | WorkshopChange;
type ChangeOf<T extends Change['type']> = Extract<Change, { type: T }>;

/** What lay before the change, where a sentence names something by what it is called. */
export type Before = Dossier | undefined;

const zone = (before: Before, id: string | undefined): string => {
  const own = before?.zones?.find((entry) => entry.id === id);
  return own ? lowerFirst(zoneName(own)) : 'piece';
};
const checkTitle = (code: string): string =>
  findCheck(code)?.title ?? NUMBER_CHECKS[code as keyof typeof NUMBER_CHECKS]?.title ?? 'A check';

/** What a fact of a piece is about. */
function sayFact({ path: [root, id, list, item], value }: Fact, before: Before): string {
  if (root === 'goal') return 'Wishes changed';
  if (root === 'money') return 'Money changed';
  if (root === 'handover') return 'Handing over changed';
  if (root === 'parts') return 'Parts changed';
  if (root === 'hardware') return 'Handles changed';
  if (root === 'piece' && id === 'archived') return value ? 'Archived' : 'Taken out of the archive';
  if (root !== 'zones') return 'Piece changed';
  if (list === 'skipped_checks') return `Check passed over on the ${zone(before, id)}`;
  if (list !== 'defects') return `Changed: ${zone(before, id)}`;
  const known = before?.zones?.find((own) => own.id === id)?.defects?.some((own) => own.id === item);
  const fresh = known ? undefined : defectSchema.safeParse(value).data?.code;
  return `${fresh ? DEFECT_FACTS[fresh].label : 'Faults changed'} on the ${zone(before, id)}`;
}

/** What was done, in a few words, so that it can be said what Undo would undo. Total: a new change has its words or does not compile. */
const WORDS: { [T in Change['type']]: (change: ChangeOf<T>, before: Before) => string } = {
  piece_met: () => 'Piece added',
  facts_changed: ({ facts: [first] }, before) => sayFact(first!, before),
  piece_facts_set: () => 'Piece changed',
  goal_set: () => 'Wishes changed',
  money_set: () => 'Money changed',
  handover_set: () => 'Handing over changed',
  climate_set: () => 'Air changed',
  picture_taken: ({ zoneId }, before) => `Picture taken of the ${zone(before, zoneId)}`,
  photo_withdrawn: () => 'Picture taken off',
  zone_set: ({ zoneId, facts }, before) =>
    before?.zones?.some(({ id }) => id === zoneId)
      ? `Changed: ${zone(before, zoneId)}`
      : `Added: ${lowerFirst(zoneName({ ...facts, id: zoneId }))}`,
  zone_removed: ({ zoneId }, before) => `Removed: ${zone(before, zoneId)}`,
  observation_recorded: ({ observation: { check, result, value } }) => {
    const answer = findCheck(check)?.answers.find(({ code }) => code === result)?.label;
    return `${checkTitle(check)}: ${answer ?? String(value ?? result ?? '')}`;
  },
  observation_withdrawn: ({ zoneId }, before) => `Answer taken back on the ${zone(before, zoneId)}`,
  skips_set: ({ zoneId }, before) => `Check passed over on the ${zone(before, zoneId)}`,
  defects_set: ({ zoneId, defects }, before) => {
    const had = new Set(before?.zones?.find(({ id }) => id === zoneId)?.defects?.map(({ code }) => code));
    const fresh = defects.find(({ code }) => !had.has(code));
    return `${fresh ? DEFECT_FACTS[fresh.code].label : 'Faults changed'} on the ${zone(before, zoneId)}`;
  },
  choice_taken: () => 'System taken',
  test_logged: ({ test }, before) => `${TEST_KIND_FACTS[test.kind].label} logged on the ${zone(before, test.zone)}`,
  test_withdrawn: () => 'Test taken back',
  gate_overridden: ({ override }, before) => `Gate passed over on the ${zone(before, override.zone)}`,
  panel_set: ({ panel }, before) =>
    `Test panel ${before?.panels?.some(({ id }) => id === panel.id) ? 'changed' : 'made'}`,
  panel_removed: () => 'Test panel removed',
  outcome_recorded: () => 'Outcome recorded',
  trouble_set: ({ trouble }, before) =>
    before?.troubles?.some(({ id }) => id === trouble.id)
      ? `What is wrong with the ${zone(before, trouble.zone)} changed`
      : `Something wrong with the ${zone(before, trouble.zone)}`,
  trouble_removed: () => 'What was wrong taken off',
  work_logged: ({ work, entries }, before) => {
    const [first] = entries;
    const label = lowerFirst(first ? OPERATION_FACTS[first.op].label : 'work');
    if (before?.log?.some((entry) => entry.work === work)) return `Put right: ${label}`;
    return first?.skipped ? `Left out: ${label}` : `Logged: ${label}`;
  },
  work_withdrawn: () => 'Work taken back',
  parts_set: () => 'Parts changed',
  hardware_set: () => 'Handles changed',
  mix_set: ({ mix }) => `Mix kept${mix.name ? `: ${mix.name}` : ''}`,
  mix_removed: () => 'Mix removed',
  tin_set: ({ tin }) => `Tin kept: ${tin.name ?? labelProduct(tin.class as ProductClass)}`,
  tin_changed: () => 'Tin changed',
  tin_removed: () => 'Tin removed',
  tin_drawn: ({ drawing }) => `${drawing.ml} ml drawn off`,
  tin_given_back: () => 'Paint given back to its tin',
  setup_set: () => 'Workshop changed',
  setup_changed: () => 'Workshop changed',
  air_recorded: () => 'Air recorded',
  air_withdrawn: () => 'Air reading taken back',
  task_pinned: () => 'Job held to its time',
  task_unpinned: () => 'Job free again',
  exercise_answered: () => 'Exercise answered',
};

const say = <T extends Change['type']>(change: ChangeOf<T>, before: Before): string =>
  (WORDS[change.type] as (own: ChangeOf<T>, before: Before) => string)(change, before);

/** What one tap did: its first change says it, for what follows follows from it. */
export const sayChanges = (changes: readonly Change[], before: Before): string =>
  changes[0] ? say(changes[0], before) : '';
