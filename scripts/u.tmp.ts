import { measureShops, USUAL_SPREAD } from '../src/core/learning/simulate';
import { DISCOUNTS } from '../src/core/learning/discounts';
const seeds = Array.from({length:400},(_, i)=>i);
const D = DISCOUNTS as any;
for (const [cs, cc, ns, nc] of [[0.5,10,0.25,4],[0.7,14,0.35,6],[0.5,14,0.25,8],[0.8,20,0.4,10],[0.3,6,0.15,3],[0.9,10,0.6,5],[1,12,0.8,6]]) {
  D.sameClass.share=cs; D.sameClass.cap=cc; D.neighbour.share=ns; D.neighbour.cap=nc;
  const r = [4,12,40].map(m=>{const p=measureShops(seeds,USUAL_SPREAD,m,true), u=measureShops(seeds,USUAL_SPREAD,m,false); return `most ${m}: cov ${p.coverage.toFixed(3)} (${u.coverage.toFixed(3)}) regret ${p.regret.toFixed(4)} (${u.regret.toFixed(4)})`;});
  console.log(cs,cc,ns,nc, r.join(' | '));
}
