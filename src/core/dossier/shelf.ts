import {
  byAttempt,
  fail,
  factsSchema,
  invertFacts,
  listFacts,
  setFacts,
  succeed,
  type ChangeRecord,
  type Fact,
  type Keys,
  type Result,
} from '../shared';
import { LIMITS } from './limits';
import { readWith } from './read';
import { drawingSchema, shelfItemSchema, type Dossier, type Drawing, type ShelfItem } from './schema';

/**
 * Everything that can happen to the shop's shelf. Tins belong to the shop, not to a piece; doing it twice is doing it
 * once. What is drawn off is a fact of its own, named by the tap of the work it was for, so that taking the tap back
 * gives back what it took and no more.
 */
export type ShelfChange =
  | { type: 'tin_set'; tin: ShelfItem }
  | { type: 'tin_changed'; tinId: string; facts: Fact[] }
  | { type: 'tin_removed'; tinId: string }
  | { type: 'tin_drawn'; tinId: string; drawing: Drawing }
  | { type: 'tin_given_back'; tinId: string; work: string };

export const SHELF_CHANGES: {
  [T in ShelfChange['type']]: ChangeRecord<readonly ShelfItem[], Extract<ShelfChange, { type: T }>, ShelfChange>;
} = {
  tin_set: {
    route: ['put', '/:tin'],
    carries: { field: 'tin', schema: shelfItemSchema.omit({ drawn: true }) },
    apply: (tins, { tin }) => {
      const { drawn: _drawn, ...bare } = tin;
      return tins.some(({ id }) => id === tin.id)
        ? tins.map((own) => (own.id === tin.id ? setTin(own, tin) : own))
        : [...tins, bare as ShelfItem];
    },
    invert: (before, { tin: { id } }) => setAgain(before, id) ?? [{ type: 'tin_removed', tinId: id }],
  },
  tin_changed: {
    route: ['patch', '/:tinId'],
    carries: { field: 'facts', schema: factsSchema, named: true },
    ...byAttempt(tryTinFacts),
    invert: (before, { tinId, facts }) => {
      const tin = before.find(({ id }) => id === tinId);
      if (!tin) return [];
      const back: ShelfChange = { type: 'tin_changed', tinId, facts: invertFacts(tin, facts, NO_LISTS) };
      // Measured anew, what had been drawn counted no more: it counts again.
      const drawn = facts.some(({ path: [field] }) => field === 'volume_ml') ? (tin.drawn ?? []) : [];
      return [back, ...drawn.map((drawing): ShelfChange => ({ type: 'tin_drawn', tinId, drawing }))];
    },
  },
  tin_removed: {
    route: ['delete', '/:tinId'],
    apply: (tins, { tinId }) => tins.filter(({ id }) => id !== tinId),
    invert: (before, { tinId }) => setAgain(before, tinId) ?? [],
  },
  tin_drawn: {
    route: ['put', '/:tinId/drawings/:drawing'],
    carries: { field: 'drawing', schema: drawingSchema, key: 'work' },
    apply: (tins, { tinId, drawing }) => tins.map((tin) => (tin.id === tinId ? draw(tin, drawing) : tin)),
    invert: (before, { tinId, drawing: { work } }) =>
      drawAgain(before, tinId, work) ?? [{ type: 'tin_given_back', tinId, work }],
  },
  tin_given_back: {
    route: ['delete', '/:tinId/drawings/:work'],
    apply: (tins, { tinId, work }) => tins.map((tin) => (tin.id === tinId ? without(tin, work) : tin)),
    invert: (before, { tinId, work }) => drawAgain(before, tinId, work) ?? [],
  },
};

const recordOf = (change: ShelfChange) =>
  SHELF_CHANGES[change.type] as ChangeRecord<readonly ShelfItem[], ShelfChange, ShelfChange>;

export const applyShelfChange = (tins: readonly ShelfItem[], change: ShelfChange): ShelfItem[] => [
  ...recordOf(change).apply(tins, change),
];

/** The shelf after a change, or why it cannot be made. */
export function tryShelfChange(tins: readonly ShelfItem[], change: ShelfChange): Result<ShelfItem[]> {
  const problem = recordOf(change).refuses?.(tins, change) ?? null;
  return problem ? { ok: false, problem } : succeed(applyShelfChange(tins, change));
}

/** What of a change is to be sent: of a tin that is there, only the fields in which it differs; null where it does not. */
export function narrowShelfChange(before: readonly ShelfItem[], change: ShelfChange): ShelfChange | null {
  if (change.type !== 'tin_set') return change;
  const own = before.find(({ id }) => id === change.tin.id);
  if (!own) return change;
  const facts = listFacts(withoutDrawings(own), withoutDrawings(change.tin), NO_LISTS);
  return facts.length > 0 ? { type: 'tin_changed', tinId: own.id, facts } : null;
}

const NO_LISTS: Keys = () => undefined;
const withoutDrawings = ({ drawn: _drawn, ...tin }: ShelfItem): Omit<ShelfItem, 'drawn'> => tin;

function tryTinFacts(
  tins: readonly ShelfItem[],
  { tinId, facts }: Extract<ShelfChange, { type: 'tin_changed' }>,
): Result<readonly ShelfItem[]> {
  const own = tins.find(({ id }) => id === tinId);
  if (!own) return fail('tin_not_found');
  const strange = facts.find(({ path: [field] }) => field === 'id' || field === 'drawn');
  if (strange) return fail('fact_unknown', strange.path.join('.'));
  const set = setFacts(withoutDrawings(own), facts, NO_LISTS);
  const read = readWith(shelfItemSchema, set.ok ? set.value : undefined);
  return read.ok ? succeed(tins.map((tin) => (tin === own ? setTin(own, read.value) : tin))) : read;
}

/** What undoes a change of the shelf made on `before`. */
export const invertShelfChange = (before: readonly ShelfItem[], change: ShelfChange): ShelfChange[] | null =>
  recordOf(change).invert(before, change);

/** A tin as it was: set as it was measured, then all that was drawn off it since. */
function setAgain(before: readonly ShelfItem[], tinId: string): ShelfChange[] | null {
  const tin = before.find(({ id }) => id === tinId);
  if (!tin) return null;
  const { drawn = [], ...measured } = tin;
  return [
    { type: 'tin_set', tin: measured as ShelfItem },
    ...drawn.map((drawing): ShelfChange => ({ type: 'tin_drawn', tinId, drawing })),
  ];
}

function drawAgain(before: readonly ShelfItem[], tinId: string, work: string): ShelfChange[] | null {
  const drawing = before.find(({ id }) => id === tinId)?.drawn?.find((own) => own.work === work);
  return drawing ? [{ type: 'tin_drawn', tinId, drawing }] : null;
}

/** A tin with another level was measured anew: what was drawn before no longer counts. */
function setTin(before: ShelfItem, { drawn: _drawn, ...tin }: ShelfItem): ShelfItem {
  const measured = tin.volume_ml !== before.volume_ml;
  return { ...tin, ...(measured || !before.drawn ? {} : { drawn: before.drawn }) } as ShelfItem;
}

/** A tin is opened by the first that is drawn off it. */
function draw(tin: ShelfItem, drawing: Drawing): ShelfItem {
  const opened = tin.opened_on ?? drawing.on;
  const drawn = [...(without(tin, drawing.work).drawn ?? []), drawing];
  const next = { ...tin, ...(opened ? { opened_on: opened } : {}), drawn };
  if (drawn.length <= LIMITS.drawn) return next;
  // The oldest can no longer be given back one by one: they are taken off the measured level for good.
  const [old, kept] = [drawn.slice(0, -LIMITS.drawn / 2), drawn.slice(-LIMITS.drawn / 2)];
  const level = levelOf({ ...tin, drawn: old });
  return { ...next, ...(level === undefined ? {} : { volume_ml: level }), drawn: kept };
}

const without = (tin: ShelfItem, work: string): ShelfItem =>
  tin.drawn ? { ...tin, drawn: tin.drawn.filter((drawing) => drawing.work !== work) } : tin;

/** What is left in a tin, ml: what was last measured less what was drawn since; none where it was never measured. */
export const levelOf = ({ volume_ml, drawn = [] }: ShelfItem): number | undefined =>
  volume_ml === undefined ? undefined : Math.max(0, Math.round(volume_ml - drawn.reduce((sum, { ml }) => sum + ml, 0)));

/** A tin with its level as its measured volume, as plans and files have it. */
export function withLevel({ drawn: _drawn, ...tin }: ShelfItem): ShelfItem {
  const level = levelOf({ ...tin, drawn: _drawn } as ShelfItem);
  return { ...tin, ...(level === undefined ? {} : { volume_ml: level }) } as ShelfItem;
}

export const isShelfChange = (change: { type: string }): change is ShelfChange => change.type in SHELF_CHANGES;

/** A piece with the shop's tins beside those its file came with, each at its level. */
export function withShelf(dossier: Dossier, tins: readonly ShelfItem[]): Dossier {
  const own = dossier.shelf ?? [];
  const others = tins.filter(({ id }) => !own.some((tin) => tin.id === id)).map(withLevel);
  return others.length > 0 ? { ...dossier, shelf: [...own, ...others] } : dossier;
}
