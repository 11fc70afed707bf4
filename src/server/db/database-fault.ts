import { explainProblem } from '@/contract';
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

/** What SQLite's own words for a failure mean to the owner. */
const BY_CODE: readonly (readonly [RegExp, ProblemCode])[] = [
  [/^SQLITE_(CORRUPT|NOTADB)/, 'database_damaged'],
  [/^SQLITE_(BUSY|LOCKED)/, 'database_in_use'],
  [/^SQLITE_(READONLY|PERM)/, 'database_read_only'],
  [/^SQLITE_FULL/, 'disk_full'],
  // The folder is made first: what the file system says of it counts too.
  [/^(SQLITE_(CANTOPEN|IOERR)|EACCES|EROFS|ENOENT|ENOTDIR|EEXIST|ENAMETOOLONG)/, 'database_not_opened'],
];

/** The fault a failure of SQLite stands for; other errors are passed on as they are. */
export function toFault(error: unknown, file: string): unknown {
  const code = typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
  const known = BY_CODE.find(([pattern]) => pattern.test(code));
  return known ? new DatabaseFault(known[1], { file }) : error;
}
