/* The command line: bundled again whenever its sources have changed, so it is never stale. */
import { setFlagsFromString } from 'node:v8';
import { bundleIfChanged, COMPILE_LATE, loadTypeScript, runTypeScript } from './lib.mjs';

setFlagsFromString(COMPILE_LATE);

const SOURCES = ['src/cli', 'src/core', 'src/contract', 'src/words', 'package-lock.json'];
if (process.argv[2] === 'export' || process.argv[2] === 'restore') {
  // Pictures of a zip are decoded in a process of their own.
  bundleIfChanged('src/server/decode-picture.ts', ['src/server', 'src/core', 'package-lock.json']);
  loadTypeScript('src/cli/keeping-main.ts', [...SOURCES, 'src/server']);
} else runTypeScript('src/cli/main.ts', SOURCES);
