import path from 'node:path';
import { runKeepingCommand } from './keeping';

/* A program of its own: the commands about whole shops bring the database, which no other command should wait for. */
void runKeepingCommand(
  process.argv.slice(2),
  {
    out: (text) => process.stdout.write(`${text}\n`),
    err: (text) => process.stderr.write(`${text}\n`),
    now: () => new Date().toISOString(),
  },
  // The bundle lies in a folder of the project's own.
  path.join(__dirname, '../src/server/db/migrations'),
).then((code) => (process.exitCode = code));
