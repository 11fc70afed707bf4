import { byWorth, measurePractice } from '@/core/survey/practice';
import { CHECKS } from '@/core/knowledge';
const n = Number(process.argv[2] ?? 2000);
const t=Date.now();
const s = measurePractice(n, byWorth, (process.argv[3] ?? 'each') as 'each');
const { bands, ...rest } = s;
console.log(JSON.stringify(rest), (Date.now()-t)/1000);
if (process.argv[4]) for (const b of bands) console.log(b.forecasts, b.meanP.toFixed(3), b.share.toFixed(3));
