import { explainProblem } from '@/words';
import { fail, type Problem, type ProblemCode } from '@/core/shared';

/** A database that cannot be used, with why and the cure in people's words. The file is left as it is. */
export class DatabaseFault extends Error {
  readonly problem: Problem;

  constructor(code: ProblemCode, params: Problem['params']) {
    const { problem } = fail(code, '', params);
    super(explainProblem(problem));
    this.problem = problem;
  }
}

type Meaning = readonly [RegExp, ProblemCode];

/** What SQLite's own words for a failure, and those of the file system, mean to the owner. */
const WHILE_RUNNING: readonly Meaning[] = [
  [/^SQLITE_(CORRUPT|NOTADB)/, 'database_damaged'],
  [/^SQLITE_(BUSY|LOCKED)/, 'database_in_use'],
  [/^SQLITE_(READONLY|PERM)/, 'database_read_only'],
  [/^(SQLITE_FULL|ENOSPC|EDQUOT)/, 'disk_full'],
];
const AT_START: readonly Meaning[] = [
  ...WHILE_RUNNING,
  // The folder is made first: what the file system says of it counts too.
  [/^(SQLITE_(CANTOPEN|IOERR)|EACCES|EROFS|ENOENT|ENOTDIR|EEXIST|ENAMETOOLONG)/, 'database_not_opened'],
];

/** The fault that a failure to open a file stands for; other errors are passed on as they are. */
export function toFault(error: unknown, file: string): unknown {
  const code = findMeaning(AT_START, error);
  return code ? new DatabaseFault(code, { file }) : error;
}

/** What kept a running server from reading or writing, where the owner can do something about it. */
export function findStorageProblem(error: unknown): Problem | null {
  const code = findMeaning(WHILE_RUNNING, error);
  return code ? fail(code).problem : null;
}

function findMeaning(meanings: readonly Meaning[], error: unknown): ProblemCode | undefined {
  const code = typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
  return meanings.find(([pattern]) => pattern.test(code))?.[1];
}
