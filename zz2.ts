// own fork touring; random stances
import { createBuild, changeBrief, planBuild, KINDS, findKind } from '@larchwood/core';
const b = createBuild({name:'x',kind:'bicycle',startingSet:'touring'}); if(!b.ok) throw 1;
for (const [a,o] of [[383,47],[370,45],[395,50],[400,52],[410,43],[377,51]]) {
  const d = changeBrief(b.value,{shelf:[{name:'fork',sort:'fork',gives:{axleToCrown:a!,forkOffset:o!}} as never], riders:[{name:'A',stature:1800,mass:80}]});
  const p = planBuild(d); if(!p.ok) { console.log('ref',p.refusals); continue; }
  console.log(a,o,p.plan.findings.map(f=>f.severity+':'+f.code+'@'+f.where.ref+JSON.stringify(f.values)));
}
