import path from 'node:path';
import { makePictureDecoder } from '@/server/keeping';
import { runKeepingCommand } from './keeping';

/* A program of its own: the commands about whole shops bring the database, which no other command should wait for. */
const decoder = makePictureDecoder(() => path.join(__dirname, 'decode-picture.cjs'));
void runKeepingCommand(
  process.argv.slice(2),
  {
    out: (text) => process.stdout.write(`${text}\n`),
    err: (text) => process.stderr.write(`${text}\n`),
    now: () => new Date().toISOString(),
  },
  // The bundle lies in a folder of the project's own.
  { migrations: path.join(__dirname, '../src/server/db/migrations'), decoder },
)
  .finally(decoder.close)
  .then((code) => (process.exitCode = code));
