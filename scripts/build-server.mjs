/* Bundles the server; native and Node modules stay outside. */
import { buildSync } from 'esbuild';

buildSync({
  entryPoints: ['main', 'decode-picture', 'keep-apart', 'judge-apart'].map((name) => `src/server/${name}.ts`),
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
