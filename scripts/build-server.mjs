/* Bundles the server; native and Node modules stay outside. */
import { buildSync } from 'esbuild';

buildSync({
  entryPoints: ['src/server/main.ts', 'src/server/decode-picture.ts', 'src/server/keep-apart.ts'],
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'cjs',
  packages: 'external',
  sourcemap: true,
  outdir: 'dist-server',
  outExtension: { '.js': '.cjs' },
  logLevel: 'error',
});
