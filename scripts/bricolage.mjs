/* The command line: bundled again whenever its sources have changed, so it is never stale. */
import { setFlagsFromString } from 'node:v8';
import { loadTypeScript } from './lib.mjs';

// A command is over before code compiled for speed would pay: without this a third of its time goes there.
setFlagsFromString('--interrupt-budget=500000');

const SOURCES = ['src/cli', 'src/core', 'src/contract', 'src/words', 'package-lock.json'];
if (process.argv[2] === 'export' || process.argv[2] === 'restore')
  loadTypeScript('src/cli/keeping-main.ts', [...SOURCES, 'src/server']);
else loadTypeScript('src/cli/main.ts', SOURCES);
