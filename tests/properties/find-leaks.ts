import { FINDING_CODES, OPERATION_FACTS, PRODUCT_CLASSES } from '@/core/knowledge';
import { HARD_RULES } from '@/core/systems/hard-rules';

/*
 * Nothing of the inside is said to people: no code, no name of a rule, no date as files have it, no number with more digits
 * than anybody would say. What the owner typed stays as it is.
 */

export const CODES = new Set<string>([
  ...PRODUCT_CLASSES,
  ...Object.keys(OPERATION_FACTS),
  ...FINDING_CODES,
  ...HARD_RULES.map(({ id }) => id),
]);
const LEAKS: [string, RegExp][] = [
  ['a code', /\b[a-z0-9]+(?:_[a-z0-9]+)+\b/g],
  ['a date of a file', /\b\d{4}-\d{2}-\d{2}/g],
  ['too many digits', /\b\d+\.\d{3,}/g],
  ['a word twice', /\b(\p{L}{3,}),? \1\b/giu],
  ['nothing', /\b(?:undefined|NaN|null|\[object)/g],
];

/** What leaks in a text, each with what it is. */
export const findLeaks = (text: string): string[] =>
  LEAKS.flatMap(([what, pattern]) => [...text.matchAll(pattern)].map(([found]) => `${what}: ${found}`));
