/* `npm run formats`: writes the JSON Schema of the dossier, made from its one definition, to docs/formats. */
import { buildSync } from 'esbuild';
import { writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { root } from './lib.mjs';

const outfile = path.join(root, '.cache/formats.cjs');
buildSync({
  entryPoints: [path.join(root, 'src/core/dossier/json-schema.ts')],
  bundle: true,
  platform: 'node',
  format: 'cjs',
  outfile,
  logLevel: 'error',
});
const { makeDossierJsonSchema } = createRequire(import.meta.url)(outfile);
writeFileSync(
  path.join(root, 'docs/formats/dossier-1.schema.json'),
  `${JSON.stringify(makeDossierJsonSchema(), null, 2)}\n`,
);
