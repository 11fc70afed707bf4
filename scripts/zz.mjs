import { loadTypeScript } from './lib.mjs';
const { measureCore, measureReading, measureWholePieces } = loadTypeScript('scripts/bench-core.ts');
const { measurePrice } = loadTypeScript('scripts/bench-price.ts');
const { measureTrouble } = loadTypeScript('scripts/bench-trouble.ts');
for (const f of [measureReading, measureWholePieces, measureTrouble, measurePrice, measureCore])
  for (const r of f()) console.log([r.name, r.value, r.unit, r.target, r.reference].join(' | '));
