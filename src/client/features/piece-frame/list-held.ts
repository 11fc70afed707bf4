/** A field of a change by its name, and what was entered. */
export interface HeldField {
  name: string;
  value: string;
}

/** Names that say nothing to whoever entered the change: its own and those of records. */
const INSIDE = /^(?:type|id|.*Id|work|seed)$/;

/**
 * What a change holds, field by field in its order, whatever kind it is: text, figures, choices, however deep they lie.
 * `{ type: 'goal_set', goal: { colour: '#FFFFFF' } }` holds one field, `colour`.
 */
export function listHeld(value: unknown, name = ''): HeldField[] {
  if (value === null || value === undefined) return [];
  if (Array.isArray(value)) return value.flatMap((own) => listHeld(own, name));
  if (typeof value === 'object')
    return Object.entries(value)
      .filter(([key]) => !INSIDE.test(key))
      .flatMap(([key, own]) => listHeld(own, key));
  return [{ name: name.replaceAll('_', ' '), value: String(value) }];
}
