import { createBuild, planBuild, KINDS, pieceMesh, plateMesh, meshVolume, readDocument } from '@larchwood/core';
import { readFileSync, readdirSync } from 'node:fs';
function open({ positions, indices }: any) { const at=(i:number)=>[0,1,2].map(a=>positions[3*i+a].toFixed(3)).join(); const m=new Map<string,number>(); for(let i=0;i<indices.length;i+=3) for(const [a,b] of [[0,1],[1,2],[2,0]]) { const p=at(indices[i+a!]),q=at(indices[i+b!]); if(p===q) continue; const k=p<q?p+' '+q:q+' '+p; m.set(k,(m.get(k)??0)+(p<q?1:-1)); } return [...m].filter(([,c])=>c!==0).length; }
const docs: any[] = [];
for (const k of KINDS) for (const s of k.startingSets) { const b=createBuild({name:k.id+' '+s.id,kind:k.id,startingSet:s.id}); if(b.ok) docs.push(b.value); }
for (const f of readdirSync('demo').filter(f=>f.endsWith('.json'))) { const r=readDocument(JSON.parse(readFileSync('demo/'+f,'utf8'))); if(r.ok) docs.push(r.document); }
for (const every of [1, 5, 10]) { let n=0, o=0, w=0; const bad:string[]=[];
for (const d of docs) { const p=planBuild(d); if(!p.ok) continue; const cuts=new Map([...p.plan.cuts,...p.plan.given].map(c=>[c.piece,c]));
 for (const x of p.plan.frame.pieces) { const c=cuts.get(x.id)!; const m=pieceMesh(x,c,every); n++; const op=open(m); if(op) {o++; bad.push(d.name+' '+x.name+' open '+op);} const r=meshVolume(m)*x.density/1e9/c.mass; if(Math.abs(r-1)>0.004*(every>1?every/2:1)){w++; bad.push(d.name+' '+x.name+' '+x.section.shape+' '+c.ends.map(e=>e.cut)+' '+r.toFixed(4));} }
 for (const pl of p.plan.frame.plates) { const m=plateMesh(pl); const op=open(m); const r=meshVolume(m)*7850/1e9/pl.mass; if (op || Math.abs(r-1)>0.005) bad.push(d.name+' plate '+pl.name+' '+op+' '+r.toFixed(3)); } }
console.log(every, n, 'open', o, 'weight', w, bad.slice(0,12)); }
