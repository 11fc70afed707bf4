/* The command line: bundled on each start (tens of milliseconds), so it is never stale. */
import { loadTypeScript } from './lib.mjs';

await loadTypeScript('src/cli/main.ts');
