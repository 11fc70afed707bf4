import type { z } from 'zod';
import type { Problem, Result } from './problem';

/**
 * All about one kind of change: how it is sent and read, what it does, and what undoes it. Server and client run the same
 * record; a kind without its record does not compile.
 */
export interface ChangeRecord<State, Change, AnyChange = Change> {
  /**
   * The method and the path below that of what is changed. A parameter is a field of the change, or the key of the record
   * that a field carries: with `observation` carried, `:observation` is `change.observation.id`.
   */
  route: readonly ['put' | 'patch' | 'delete', string];
  /** What the request brings. */
  carries?: CarriedRecord;
  apply: (state: State, change: Change) => State;
  /** Why it cannot be made on this state; null where it can. */
  refuses?: (state: State, change: Change) => Problem | null;
  /** What makes up for it where it is made on `before`; null where it stands as it was said and cannot be undone. */
  invert: (before: State, change: Change) => AnyChange[] | null;
}

export interface CarriedRecord {
  /** The field of the change. */
  field: string;
  schema: z.ZodType;
  /** The field of the record that the path names, `id` unless it has another. */
  key?: string;
  /** The body is an object with the field in it, not the value itself: lists travel so. */
  named?: true;
}

/** A change that may be refused by what it would leave: asked and then made, it is worked out once. */
export function byAttempt<State, Change>(
  attempt: (state: State, change: Change) => Result<State>,
): Required<Pick<ChangeRecord<State, Change>, 'apply' | 'refuses'>> {
  let last: { state: State; change: Change; made: Result<State> } | null = null;
  const make = (state: State, change: Change): Result<State> => {
    if (last?.state !== state || last.change !== change) last = { state, change, made: attempt(state, change) };
    return last.made;
  };
  return {
    apply: (state, change) => {
      const made = make(state, change);
      return made.ok ? made.value : state;
    },
    refuses: (state, change) => {
      const made = make(state, change);
      return made.ok ? null : made.problem;
    },
  };
}

/** The body of the request of a change, whose paths are those a problem names; none where nothing is carried. */
export function bodyOf({ carries }: { carries?: CarriedRecord }, change: object): unknown {
  if (!carries) return undefined;
  const own = (change as Record<string, unknown>)[carries.field];
  return carries.named ? { [carries.field]: own } : own;
}

/** The list with a record put in the place of the one with its id, or added. */
export function putById<T extends { id?: unknown }>(list: readonly T[] | undefined, entry: T): T[] {
  const current = list ?? [];
  return current.some((other) => other.id === entry.id)
    ? current.map((other) => (other.id === entry.id ? entry : other))
    : [...current, entry];
}
