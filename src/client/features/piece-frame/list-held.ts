/** A field of a change by its name, and what was entered; `at` where that is a moment, an ISO instant. */
export interface HeldField {
  name: string;
  value: string;
  at?: string;
}

/** Names that say nothing to whoever entered the change: its own and those of records. */
const INSIDE = /^(?:type|id|.*Id|work|seed)$/;

const INSTANT = /^\d{4}-\d{2}-\d{2}T[\d:.]+Z$/;
/** Answers and classes as they are stored: words with lines between them. */
const CODE = /^[a-z0-9]+(?:_[a-z0-9]+)+$/;

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
  const [text, label] = [String(value), name.replaceAll('_', ' ')];
  if (INSTANT.test(text)) return [{ name: label, value: text, at: text }];
  return [{ name: label, value: CODE.test(text) ? text.replaceAll('_', ' ') : text }];
}
