import { loadTypeScript } from './lib.mjs';
await loadTypeScript('scripts/t.tmp.ts', ['src/core','scripts/t.tmp.ts']);
