import { readFileSync, readdirSync } from 'node:fs';
import { planBuild, readDocument, fixtureDetails, SCHOOLS, KINDS, createBuild, standardProfile, BuildSchema } from '@larchwood/core';
import { mutated, randomFrom } from './testing/mutations.js';
const random = randomFrom(Number(process.argv[2] ?? 1)); const N = Number(process.argv[3] ?? 500);
const docs: any[] = readdirSync('demo').filter(f=>f.endsWith('.json')).map(f=>{const r=readDocument(JSON.parse(readFileSync('demo/'+f,'utf8'))); if(!r.ok) throw 1; return r.document;});
for (const k of KINDS) for (const s of k.startingSets) { const b=createBuild({name:'x',kind:k.id,startingSet:s.id}); if(b.ok) docs.push(b.value); }
for (const d of docs) { d.fixture = { ...d.fixture, profiles: SCHOOLS.map(s=>({...standardProfile(s), sizes:Object.fromEntries(s.sizes.filter(x=>typeof x.standard==='number').map(x=>[x.id,x.standard])), scales:Object.fromEntries(s.scales.map(x=>[x.id,{...x.standard}])), choices:Object.fromEntries(s.choices.map(x=>[x.id,x.standard])), stock: Object.fromEntries(s.stock.map(x=>[x.id,x.standard])) })) }; }
function bad(v: any, at = '', out: string[] = [], seen = new Set()): string[] {
  if (typeof v === 'number') { if (!Number.isFinite(v)) out.push(at); return out; }
  if (v && typeof v === 'object') { if (seen.has(v)) return out; seen.add(v); if (ArrayBuffer.isView(v)) { for (const x of v as any) if(!Number.isFinite(x)) { out.push(at); break; } return out; } for (const k of Object.keys(v)) bad(v[k], at + '/' + k, out, seen); }
  return out;
}
let accepted = 0, planned = 0; const fails = new Map<string, number>(); let slow=0;
const note = (k: string, info: string) => { if (!fails.has(k)) console.log('FAIL', k, info); fails.set(k, (fails.get(k) ?? 0) + 1); };
for (let i = 0; i < N; i++) {
  const d = docs[Math.floor(random()*docs.length)]!;
  const { document: m, log } = mutated(d, BuildSchema as any, random, 1 + Math.floor(random()*4));
  const school = SCHOOLS[Math.floor(random()*SCHOOLS.length)]!.id; m.brief.school = random() < 0.5 ? m.brief.school : school;
  let r; try { r = readDocument(m); } catch (e) { note('READ ' + String(e).slice(0,60), log); continue; }
  if (!r.ok) { if (process.argv[4]) console.log(log, r.faults[0]); continue; } accepted++;
  try {
    const t0=performance.now();
    const p = planBuild(r.document); if (performance.now()-t0>2000) { console.log('SLOW', Math.round(performance.now()-t0), log); slow++; } if (!p.ok) continue; planned++;
    const b = bad(p.plan); if (b.length) note('NAN ' + b[0]!.replace(/\d+/g,'#').slice(0,60) , m.kind+' '+log + ' | ' + b.slice(0,3));
    const t1=performance.now();
    const det = fixtureDetails({document: r.document, ...p.plan}); const b2 = bad(det); if (b2.length) note('NAN2 ' + b2[0]!.replace(/\d+/g,'#').slice(0,60), m.kind+' '+log);
    if (performance.now()-t1>3000) { console.log('SLOWD', Math.round(performance.now()-t1), log); slow++; }
  } catch (e) { note('THROW ' + (e as Error).stack!.split('\n').slice(0,4).join(' '), m.kind+' '+log); }
}
console.log({ accepted, planned, slow, fails: [...fails].map(([k,n])=>n+' '+k.slice(0,150)) });
