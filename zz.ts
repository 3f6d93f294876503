import { createBuild, changeBrief, planBuild, KINDS } from '@larchwood/core';
const R = (stature: number) => ({ name: 'A', stature, mass: 80 });
for (const k of KINDS) for (const s of k.startingSets) for (const st of [1550, 1750, 1950]) {
  const b = createBuild({name:'x',kind:k.id,startingSet:k.startingSets[0]!.id}); if(!b.ok) throw 1;
  const d = changeBrief(changeBrief(b.value,{startingSet:s.id}),{riders:[R(st)]});
  const p = planBuild(d); if(!p.ok) { console.log(k.id,s.id,st,'refused',p.refusals[0]!.message); continue; }
  const fs = p.plan.findings.filter(f=>f.severity!=='note');
  if (fs.length) console.log(k.id,s.id,st,d.frame.origin?.pattern, fs.map(f=>f.severity+':'+f.code+'@'+f.where.ref+JSON.stringify(Object.values(f.values).filter(v=>typeof v==='number').map(v=>Math.round(Number(v)*10)/10))).join('  '));
}
