import { measureSoak } from './soak.mjs';
await measureSoak((name, value, unit, target, ref) => console.log(name, '|', value, unit, '|', target, '|', ref));
