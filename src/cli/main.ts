import { readFileSync } from 'node:fs';
import { runCommand, type Io } from './run';

const io: Io = {
  readFile: (path) => readFileSync(path === '-' ? 0 : path, 'utf8'),
  out: (text) => process.stdout.write(`${text}\n`),
  err: (text) => process.stderr.write(`${text}\n`),
};

process.exitCode = runCommand(process.argv.slice(2), io);
