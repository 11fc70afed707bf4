import { z } from 'zod';

/*
 * A record taken apart into its smallest facts: a field, or an item of a list whose items have names. Two who change
 * different facts of one record lose nothing; of two who change the same one, the later is kept.
 */

/** One fact: where it lies, and what it is; without a value it is taken away. */
export interface Fact {
  path: string[];
  value?: unknown;
}

/** What an item of the list at a path goes by; none where the list there is one fact as a whole. */
export type Keys = (path: readonly string[]) => ((item: unknown) => string) | undefined;

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The names of a list's items; those that would share one are told apart by their number. */
function nameItems(list: readonly unknown[], nameOf: (item: unknown) => string): string[] {
  const used = new Map<string, number>();
  return list.map((item) => {
    const name = nameOf(item);
    const count = (used.get(name) ?? 0) + 1;
    used.set(name, count);
    return count === 1 ? name : `${name}~${count}`;
  });
}

const asList = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);

/** Whether two values say the same, whatever the order of their fields; a field without a value is none. */
export function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((own, i) => isSame(own, b[i]));
  if (!isRecord(a) || !isRecord(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((name) => isSame(a[name], b[name]));
}

/** The facts in which two states of a record differ, such that `setFacts(before, …)` says what `after` says. */
export function listFacts(before: unknown, after: unknown, keys: Keys, path: readonly string[] = []): Fact[] {
  if (before === after) return [];
  const nameOf = keys(path);
  if (nameOf) {
    const [was, is] = [asList(before), asList(after)];
    const [old, fresh] = [nameItems(was, nameOf), nameItems(is, nameOf)];
    const gone = old.filter((name) => !fresh.includes(name)).map((name) => ({ path: [...path, name] }));
    const left = fresh.flatMap((name, i): Fact[] =>
      old.includes(name)
        ? listFacts(was[old.indexOf(name)], is[i], keys, [...path, name])
        : [{ path: [...path, name], value: is[i] }],
    );
    return [...gone, ...left];
  }
  if ((before === undefined || isRecord(before)) && (after === undefined || isRecord(after))) {
    const names = new Set([...Object.keys(before ?? {}), ...Object.keys(after ?? {})]);
    return [...names].flatMap((name) => listFacts(before?.[name], after?.[name], keys, [...path, name]));
  }
  if (isSame(before, after)) return [];
  return [after === undefined ? { path: [...path] } : { path: [...path], value: after }];
}

/** The fact is about an item that is no longer there. */
const GONE = Symbol('gone');

/**
 * A record with facts set in it; what they do not touch stays the same object. Records that a fact leaves empty go with it.
 * @returns the record, or the first fact whose item was taken away
 */
export function setFacts<T>(
  record: T,
  facts: readonly Fact[],
  keys: Keys,
): { ok: true; value: T } | { ok: false; fact: Fact } {
  let value: unknown = record;
  for (const fact of facts) {
    const next = setFact(value, [], fact.path, fact.value, keys);
    if (next === GONE) return { ok: false, fact };
    value = next ?? {};
  }
  return { ok: true, value: value as T };
}

function setFact(
  value: unknown,
  at: readonly string[],
  rest: readonly string[],
  told: unknown,
  keys: Keys,
): unknown | typeof GONE {
  const [name, ...deeper] = rest;
  if (name === undefined) return told;
  const nameOf = keys(at);
  if (nameOf) {
    const list = asList(value);
    const place = nameItems(list, nameOf).indexOf(name);
    if (place < 0 && deeper.length > 0) return GONE;
    if (place < 0) return told === undefined ? value : [...list, told];
    const item = setFact(list[place], [...at, name], deeper, told, keys);
    if (item === GONE) return GONE;
    return item === undefined ? list.filter((_, i) => i !== place) : list.map((own, i) => (i === place ? item : own));
  }
  const record = isRecord(value) ? value : {};
  const field = Object.hasOwn(record, name) ? record[name] : undefined;
  const next = setFact(field, [...at, name], deeper, told, keys);
  if (next === GONE) return GONE;
  if (next === undefined) {
    const left = Object.entries(record).filter(([own]) => own !== name);
    return left.length === 0 ? undefined : Object.fromEntries(left);
  }
  return { ...record, [name]: next };
}

/** What makes up for facts once they are set: the same places as they are in `before`. */
export function invertFacts(before: unknown, facts: readonly Fact[], keys: Keys): Fact[] {
  const seen = new Set<string>();
  return facts.flatMap(({ path }) => {
    const id = JSON.stringify(path);
    if (seen.has(id)) return [];
    seen.add(id);
    const value = findFact(before, path, keys);
    return [value === undefined ? { path } : { path, value }];
  });
}

/** What lies at a path; nothing where there is nothing. */
export function findFact(record: unknown, path: readonly string[], keys: Keys): unknown {
  let value = record;
  for (const [i, name] of path.entries()) {
    const nameOf = keys(path.slice(0, i));
    if (nameOf) value = asList(value)[nameItems(asList(value), nameOf).indexOf(name)];
    else value = isRecord(value) && Object.hasOwn(value, name) ? value[name] : undefined;
  }
  return value;
}

/** A body that brings facts: short paths of names that are no words of the language itself. */
export const factsSchema = z
  .array(
    z.object({
      path: z
        .array(
          z
            .string()
            .min(1)
            .max(160)
            .refine((name) => name !== '__proto__'),
        )
        .min(1)
        .max(8),
      value: z.unknown().optional(),
    }),
  )
  .min(1)
  .max(500);
