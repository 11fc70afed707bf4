import { z } from 'zod';
import {
  fail,
  findFact,
  invertFacts,
  listFacts,
  setFacts,
  succeed,
  type Fact,
  type Keys,
  type Problem,
  type Result,
} from '../shared';
import { LIMITS } from './limits';
import { readWith } from './read';
import { goalSchema } from './goal-schema';
import { moneySchema } from './money-schema';
import {
  handoverSchema,
  hardwareSchema,
  partSchema,
  pieceFactsSchema,
  zoneSchema,
  type Defect,
  type Dossier,
} from './schema';

/* What is set on a piece field by field. Readings, tests, work and choices are records of their own and lie apart. */

/** Parts of a dossier that are made of facts, and how each is judged as a whole once facts were set in it. */
const SETTABLE = {
  piece: pieceFactsSchema,
  goal: goalSchema.optional(),
  money: moneySchema.optional(),
  handover: handoverSchema.optional(),
  parts: z.array(partSchema).max(LIMITS.parts).optional(),
  hardware: z.array(hardwareSchema).max(LIMITS.hardware).optional(),
} as const;
type Settable = keyof typeof SETTABLE;
const ROOTS = [...(Object.keys(SETTABLE) as Settable[]), 'zones'] as const;
const zoneWithoutReadings = zoneSchema.omit({ observations: true });

const KEYS: Keys = ([root, item, list, ...deeper]) => {
  if (root === 'parts' && list === undefined) return item === undefined ? idOf : undefined;
  if (root === 'hardware' && list === undefined) return item === undefined ? zoneOf : undefined;
  if (root !== 'zones' || deeper.length > 0) return undefined;
  if (item === undefined) return idOf;
  if (list === 'skipped_checks') return String;
  return list === 'defects' ? (defect) => (defect as Defect).id ?? (defect as Defect).code : undefined;
};
const idOf = (item: unknown): string => (item as { id: string }).id;
const zoneOf = (item: unknown): string => (item as { zone: string }).zone;

const inRoot = (dossier: Dossier, root: (typeof ROOTS)[number]): unknown =>
  root === 'piece' ? withoutId(dossier.piece) : dossier[root];
const withoutId = ({ id: _id, ...facts }: Dossier['piece']): Omit<Dossier['piece'], 'id'> => facts;

/** The facts in which a piece differs after a change, apart from its records. */
export const listPieceFacts = (before: Dossier, after: Dossier): Fact[] =>
  ROOTS.flatMap((root) =>
    before[root] === after[root] ? [] : listFacts(inRoot(before, root), inRoot(after, root), KEYS, [root]),
  );

export const invertPieceFacts = (before: Dossier, facts: readonly Fact[]): Fact[] => invertFacts(before, facts, KEYS);

/** Whether a path leads to something that is set as a fact; zones come and go whole, with all they have. */
function isSettable([root, item, field]: readonly string[]): boolean {
  if (item === undefined || !(ROOTS as readonly string[]).includes(root!)) return false;
  if (root === 'piece') return item !== 'id';
  return root !== 'zones' || (field !== undefined && field !== 'id' && field !== 'observations');
}

const said = (path: readonly string[]): string => path.join('.');
const under = (path: readonly string[], problem: Problem): Problem => ({
  ...problem,
  path: [said(path), problem.path].filter((own) => own !== '').join('.'),
});

/** The piece with facts set, or why they cannot be: what is left must be what a file may say. */
export function tryFacts(dossier: Dossier, facts: readonly Fact[]): Result<Dossier> {
  const strange = facts.find(({ path }) => !isSettable(path));
  if (strange) return fail('fact_unknown', said(strange.path));
  const zones = new Set(dossier.zones?.map(({ id }) => id));
  const lost = facts.find(({ path: [root, id] }) => root === 'zones' && !zones.has(id!));
  if (lost) return fail('zone_not_found', said(lost.path));
  const set = setFacts(dossier, facts, KEYS);
  if (!set.ok) return fail('fact_gone', said(set.fact.path));
  const misnamed = facts.find(
    ({ path, value }) => value !== undefined && findFact(set.value, path, KEYS) === undefined,
  );
  if (misnamed) return fail('fact_unknown', said(misnamed.path));
  return readTouched(dossier, set.value, facts, zones);
}

function readTouched(
  before: Dossier,
  after: Dossier,
  facts: readonly Fact[],
  zones: ReadonlySet<string>,
): Result<Dossier> {
  const next: Dossier = { ...after };
  for (const root of Object.keys(SETTABLE) as Settable[]) {
    if (!facts.some(({ path }) => path[0] === root)) continue;
    const read = readWith<unknown>(SETTABLE[root], inRoot(after, root));
    if (!read.ok) return { ok: false, problem: under([root], read.problem) };
    if (root === 'piece') next.piece = { ...(read.value as Dossier['piece']), ...idIn(before.piece) };
    else if (read.value === undefined) delete next[root];
    else Object.assign(next, { [root]: read.value });
  }
  const touched = (root: string): Set<string> =>
    new Set(facts.flatMap(({ path: [own, id] }) => (own === root ? [id!] : [])));
  const homeless = [
    ...(next.parts ?? []).filter(({ id }) => touched('parts').has(id)),
    ...(next.hardware ?? []).filter(({ zone }) => touched('hardware').has(zone)),
  ].find(({ zone }) => !zones.has(zone));
  if (homeless) return fail('zone_not_found', 'zone');
  const changed = touched('zones');
  if (changed.size === 0) return succeed(next);
  const read: NonNullable<Dossier['zones']> = [];
  for (const zone of after.zones ?? []) {
    if (!changed.has(zone.id)) {
      read.push(zone);
      continue;
    }
    const { observations, ...facts } = zone;
    const own = readWith(zoneWithoutReadings, facts);
    if (!own.ok) return { ok: false, problem: under(['zones', zone.id], own.problem) };
    const stranger = findStranger(own.value, zones);
    if (stranger) return { ok: false, problem: stranger };
    read.push({ ...own.value, ...(observations ? { observations } : {}) });
  }
  return succeed({ ...next, zones: read });
}

const idIn = ({ id }: Dossier['piece']): { id?: string } => (id === undefined ? {} : { id });

/** A zone may be read like another that is there, and not like itself. */
export function findStranger(
  { id, like }: { id: string; like?: string | undefined },
  zones: ReadonlySet<string>,
): Problem | null {
  if (like === undefined || (like !== id && zones.has(like))) return null;
  return fail('unknown_zone', 'like', { zone: like, allowed: [...zones].filter((own) => own !== id) }).problem;
}
