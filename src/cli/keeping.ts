import { exportShopFile, restoreShopFile, type PictureDecoder } from '@/server/keeping';
import { explainProblem } from '@/words';
import type { Io } from './run';
import { KEEPING_USAGE } from './usage';

interface KeepingProgram {
  migrations: string;
  decoder: PictureDecoder;
}

/** Runs one command about whole shops. Returns the exit code: 0 fine, 1 what cannot be done, 2 usage. */
export async function runKeepingCommand(
  [name, ...files]: readonly string[],
  io: Pick<Io, 'out' | 'err' | 'now'>,
  program: KeepingProgram,
): Promise<0 | 1 | 2> {
  const [from, to] = files;
  if (from === undefined || to === undefined || files.length > 2) {
    io.err(`usage: ${KEEPING_USAGE.trim()}`);
    return 2;
  }
  const done =
    name === 'export'
      ? await exportShopFile(from, to, program.migrations, io.now())
      : await restoreShopFile(from, to, program, io.now());
  if (!done.ok) {
    io.err(`${from}: ${explainProblem(done.problem)}`);
    return 1;
  }
  const { pieces, picturesMissing } = done.value;
  io.out(`${to} is made: ${pieces} pieces.`);
  if (picturesMissing > 0) io.err(`${picturesMissing} of their pictures were not found, or were damaged.`);
  return 0;
}
