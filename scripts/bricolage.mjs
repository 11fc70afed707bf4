/* The command line: bundled again whenever its sources have changed, so it is never stale. */
import { loadTypeScript } from './lib.mjs';

loadTypeScript('src/cli/main.ts', ['src/cli', 'src/core', 'src/contract', 'src/words', 'package-lock.json']);
