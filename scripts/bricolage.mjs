/* The command line: bundled with esbuild on each start (tens of milliseconds), so it is never stale. */
import { buildSync } from 'esbuild';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const outfile = `${root}.cache/bricolage.cjs`;
buildSync({
  entryPoints: [`${root}src/cli/main.ts`],
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'cjs',
  outfile,
  logLevel: 'error',
});
createRequire(import.meta.url)(outfile);
