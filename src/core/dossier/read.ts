import type { z } from 'zod';
import { fail, succeed, type Problem, type Result } from '../shared';
import { DOSSIER_FORMAT, dossierSchema, type Dossier } from './schema';

/**
 * Checks a parsed JSON value against `bricolage.dossier/1`. The value is refused whole: the first problem in document
 * order comes back with its path (`zones[1].observations[0].result`) and, for codes, the allowed values.
 */
export function readDossier(value: unknown): Result<Dossier> {
  if (typeof value === 'object' && value !== null && 'format' in value && value.format !== DOSSIER_FORMAT) {
    return fail('wrong_format', 'format', { found: String(value.format), allowed: [DOSSIER_FORMAT] });
  }
  return readWith(dossierSchema, value);
}

/** As `readDossier`, from text. */
export function parseDossier(text: string): Result<Dossier> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return fail('not_json', '', { detail: error instanceof Error ? error.message : '' });
  }
  return readDossier(value);
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

export function formatPath(path: readonly PropertyKey[]): string {
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
      return { code: 'out_of_range', path, params: { min: boundary(issue.minimum, issue.inclusive, 'more than') } };
    case 'too_big':
      if (issue.origin === 'string') return { code: 'too_long', path, params: { max: Number(issue.maximum) } };
      return { code: 'out_of_range', path, params: { max: boundary(issue.maximum, issue.inclusive, 'less than') } };
    case 'invalid_format':
      return { code: 'bad_pattern', path, params: { pattern: PATTERN_WORDS[issue.format] ?? patternOf(issue) } };
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

const boundary = (limit: number | bigint, inclusive: boolean | undefined, word: string): string | number =>
  inclusive === false ? `${word} ${Number(limit)}` : Number(limit);

const PATTERN_WORDS: Readonly<Record<string, string>> = {
  datetime: 'a date and time such as 2026-05-02T10:00:00Z',
  date: 'a date such as 2026-06-20',
};

function patternOf(issue: Issue): string {
  const pattern = 'pattern' in issue ? String(issue.pattern) : '';
  if (pattern.includes('#')) return 'a colour such as #F3EFE6';
  return 'letters, digits, dots and dashes, 64 at most';
}
