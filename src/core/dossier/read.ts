import type { z } from 'zod';
import { fail, readJson, succeed, type Problem, type Result } from '../shared';
import { findFuture } from './dates';
import { DOSSIER_FORMAT, dossierSchema, type Dossier } from './schema';

/**
 * Checks a parsed JSON value against `bricolage.dossier/1`. The value is refused whole: the first problem in document
 * order comes back with its path (`zones[1].observations[0].result`) and, for codes, the allowed values. With `now`, an
 * ISO instant, so is what says it happened more than a day after it.
 */
export function readDossier(value: unknown, now?: string): Result<Dossier> {
  if (isDeeperThan(value, MOST_DEEP)) return fail('too_deep', '', { max: MOST_DEEP });
  if (typeof value === 'object' && value !== null && 'format' in value && value.format !== DOSSIER_FORMAT) {
    const found = typeof value.format === 'string' ? value.format : typeof value.format;
    return fail('wrong_format', 'format', { found, allowed: [DOSSIER_FORMAT] });
  }
  const read = readWith(dossierSchema, value);
  const future = read.ok && now !== undefined ? findFuture(read.value, now) : null;
  return future ? { ok: false, problem: future } : read;
}

/** No record of ours is nested this deep; what is would break the programs that walk it. */
export const MOST_DEEP = 100;

/** Whether arrays and objects lie in each other more than so many levels deep. Goes level by level, not by recursion. */
export function isDeeperThan(value: unknown, most: number): boolean {
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth += 1) {
    const next: unknown[] = [];
    for (const own of level) {
      if (typeof own !== 'object' || own === null) continue;
      if (depth >= most) return true;
      for (const inner of Object.values(own)) if (typeof inner === 'object' && inner !== null) next.push(inner);
    }
    level = next;
  }
  return false;
}

/** As `readDossier`, from text or UTF-8. */
export function parseDossier(text: string | Uint8Array, now?: string): Result<Dossier> {
  const value = readJson(text);
  return value.ok ? readDossier(value.value, now) : value;
}

/** Runs any schema of the contract and turns its first issue into a problem. */
export function readWith<T>(schema: z.ZodType<T>, value: unknown): Result<T> {
  const parsed = schema.safeParse(value);
  if (parsed.success) return succeed(parsed.data);
  const issue = parsed.error.issues[0];
  return {
    ok: false,
    problem: issue ? describeIssue(issue, isMissing(value, issue.path)) : { code: 'wrong_type', path: '', params: {} },
  };
}

function formatPath(path: readonly PropertyKey[]): string {
  return path.reduce<string>((text, key) => {
    if (typeof key === 'number') return `${text}[${key}]`;
    return text === '' ? String(key) : `${text}.${String(key)}`;
  }, '');
}

type Issue = z.core.$ZodIssue;

function isMissing(root: unknown, path: readonly PropertyKey[]): boolean {
  let value: unknown = root;
  for (const key of path) {
    if (typeof value !== 'object' || value === null) return true;
    value = (value as Record<PropertyKey, unknown>)[key];
  }
  return value === undefined;
}

function describeIssue(issue: Issue, missing: boolean): Problem {
  const path = formatPath(issue.path);
  switch (issue.code) {
    case 'invalid_type':
      return missing
        ? { code: 'missing_field', path, params: { expected: issue.expected } }
        : { code: 'wrong_type', path, params: { expected: issue.expected } };
    case 'invalid_value':
      return missing
        ? { code: 'missing_field', path, params: { expected: 'code', allowed: issue.values.map(String) } }
        : { code: 'unknown_code', path, params: { allowed: issue.values.map(String) } };
    case 'too_small':
      if (issue.origin === 'string') return { code: 'empty_text', path, params: {} };
      return { code: 'out_of_range', path, params: { [issue.inclusive ? 'min' : 'above']: Number(issue.minimum) } };
    case 'too_big':
      if (issue.origin === 'string') return { code: 'too_long', path, params: { max: Number(issue.maximum) } };
      return { code: 'out_of_range', path, params: { [issue.inclusive ? 'max' : 'below']: Number(issue.maximum) } };
    case 'invalid_format':
      return { code: 'bad_pattern', path, params: { pattern: patternOf(issue) } };
    case 'custom': {
      const { problem, ...params } = (issue.params ?? {}) as Problem['params'];
      return { code: (problem ?? 'wrong_type') as Problem['code'], path, params };
    }
    case 'invalid_union':
    case 'not_multiple_of':
    case 'unrecognized_keys':
    case 'invalid_key':
    case 'invalid_element':
      return { code: 'wrong_type', path, params: { expected: issue.message } };
  }
}

/** The form that is wanted, as a code. */
function patternOf(issue: Extract<Issue, { code: 'invalid_format' }>): 'moment' | 'date' | 'time' | 'colour' | 'id' {
  if (issue.format === 'datetime') return 'moment';
  if (issue.format === 'date') return 'date';
  const pattern = String(issue.pattern ?? '');
  return pattern.includes('#') ? 'colour' : pattern.includes(':') ? 'time' : 'id';
}
