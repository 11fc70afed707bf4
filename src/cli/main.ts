import { readFileSync } from 'node:fs';
import { isPhotoCommand, runPhotoCommand } from './photos';
import { runCommand, type Io } from './run';

const io: Io = {
  readFile: (path) => readFileSync(path === '-' ? 0 : path, 'utf8'),
  out: (text) => process.stdout.write(`${text}\n`),
  err: (text) => process.stderr.write(`${text}\n`),
  now: () => new Date().toISOString(),
};

const args = process.argv.slice(2);
if (isPhotoCommand(args[0])) void runPhotoCommand(args, io).then((code) => (process.exitCode = code));
else process.exitCode = runCommand(args, io);
