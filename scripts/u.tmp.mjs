import { loadTypeScript } from './lib.mjs';
await loadTypeScript('scripts/u.tmp.ts', ['src/core','scripts/u.tmp.ts']);
