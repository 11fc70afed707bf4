/* Bundles the server; native and Node modules stay outside. */
import { buildSync } from 'esbuild';

buildSync({
  entryPoints: ['src/server/main.ts'],
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'cjs',
  packages: 'external',
  sourcemap: true,
  outfile: 'dist-server/main.cjs',
  logLevel: 'error',
});
