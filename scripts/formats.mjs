/* `npm run formats`: writes the JSON Schema of the dossier, made from its one definition, to docs/formats. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { loadTypeScript, root } from './lib.mjs';

const { makeDossierJsonSchema } = loadTypeScript('src/core/dossier/json-schema.ts');
writeFileSync(
  path.join(root, 'docs/formats/dossier-1.schema.json'),
  `${JSON.stringify(makeDossierJsonSchema(), null, 2)}\n`,
);
