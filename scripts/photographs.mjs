/* `npm run photographs`: pictures to try the readers on, in data/photographs. */
import { loadTypeScript } from './lib.mjs';

loadTypeScript('scripts/photographs.ts', ['scripts/photographs.ts', 'src/core', 'package-lock.json']);
