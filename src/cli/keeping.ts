import { exportShopFile, restoreShopFile } from '@/server/keeping';
import { explainProblem } from '@/words';
import type { Io } from './run';
import { KEEPING_USAGE } from './usage';

/** Runs one command about whole shops. Returns the exit code: 0 fine, 1 what cannot be done, 2 usage. */
export async function runKeepingCommand(
  [name, ...files]: readonly string[],
  io: Pick<Io, 'out' | 'err' | 'now'>,
  migrations: string,
): Promise<0 | 1 | 2> {
  const [from, to] = files;
  if (from === undefined || to === undefined || files.length > 2) {
    io.err(`usage: ${KEEPING_USAGE.trim()}`);
    return 2;
  }
  const make = name === 'export' ? exportShopFile : restoreShopFile;
  const done = await make(from, to, migrations, io.now());
  if (!done.ok) {
    io.err(`${from}: ${explainProblem(done.problem)}`);
    return 1;
  }
  io.out(`${to} is made${done.value ? `: ${done.value.pieces} pieces` : ''}.`);
  return 0;
}
