import { readFileSync, readdirSync } from 'node:fs';
import { planBuild, readDocument, fixtureDetails, SCHOOLS } from '@larchwood/core';
let seed = Number(process.argv[2] ?? 1); const rnd = () => { seed = (seed * 1664525 + 1013904223) % 4294967296; return seed / 4294967296; };
const docs = readdirSync('demo').filter(f=>f.endsWith('.json')).map(f=>readFileSync('demo/'+f,'utf8'));
const STR = ['constructor','__proto__','toString','a','hasOwnProperty','valueOf'];
function paths(v: any, at: (string|number)[] = [], out: (string|number)[][] = []) { if (v && typeof v==='object') for (const k of Object.keys(v)) { if (k==='origin') continue; const p=[...at,k]; out.push(p); paths(v[k],p,out);} return out; }
function bad(v: any, at = '', out: string[] = [], seen = new Set()): string[] {
  if (typeof v === 'number') { if (!Number.isFinite(v)) out.push(at); return out; }
  if (v && typeof v === 'object') { if (seen.has(v)) return out; seen.add(v); if (ArrayBuffer.isView(v)) { for (const x of v as any) if(!Number.isFinite(x)) { out.push(at); break; } return out; } for (const k of Object.keys(v)) bad(v[k], at + '/' + k, out, seen); }
  return out;
}
const N = Number(process.argv[3] ?? 1000); let accepted = 0, planned = 0; const fails = new Map<string, number>();
const note = (k: string, info: string) => { if (!fails.has(k)) console.log('FAIL', k, info); fails.set(k, (fails.get(k) ?? 0) + 1); };
for (let i = 0; i < N; i++) {
  const d = JSON.parse(docs[Math.floor(rnd()*docs.length)]!);
  const all = paths(d); const n = 1 + Math.floor(rnd()*3); const log: string[] = [];
  for (let m = 0; m < n; m++) {
    const p = all[Math.floor(rnd()*all.length)]!; let o = d; for (const k of p.slice(0,-1)) { o = o?.[k]; } if (!o || typeof o !== 'object') continue; const k = p.at(-1)!; const v = o[k];
    if (typeof v === 'number') { const c = rnd(); o[k] = c<0.2?0:c<0.3?-v:c<0.5?v*1000*rnd():c<0.6?1e-9:c<0.8?v+(rnd()-0.5)*50:Math.floor(rnd()*10); }
    else if (typeof v === 'string') { const strs = all.map(q=>{let x:any=d; for(const y of q) x=x?.[y]; return x;}).filter(x=>typeof x==='string'); o[k] = rnd()<0.3 ? STR[Math.floor(rnd()*STR.length)] : strs[Math.floor(rnd()*strs.length)]; }
    else if (typeof v === 'boolean') o[k] = !v;
    else if (Array.isArray(v)) { if (rnd()<0.3) o[k]=[]; else if (v.length) { if (rnd()<0.5) v.splice(Math.floor(rnd()*v.length),1); else v.push(JSON.parse(JSON.stringify(v[Math.floor(rnd()*v.length)]))); } }
    else if (rnd()<0.5) delete o[k];
    log.push(p.join('/')+'='+JSON.stringify(o[k])?.slice(0,60));
  }
  let r; try { r = readDocument(d); } catch (e) { note('READ ' + String(e).slice(0,60), log.join(' ; ')); continue; }
  if (!r.ok) continue; accepted++;
  try {
    const school = SCHOOLS[Math.floor(rnd()*SCHOOLS.length)]!.id;
    const document = rnd() < 0.5 ? r.document : { ...r.document, brief: { ...r.document.brief, school } };
    const p = planBuild(document); if (!p.ok) continue; planned++;
    const b = bad(p.plan); if (b.length) note('NAN ' + b[0]!.replace(/\d+/g,'#') , log.join(' ; ') + ' | ' + b.slice(0,3));
    const det = fixtureDetails({document, ...p.plan}); const b2 = bad(det); if (b2.length) note('NAN2 ' + b2[0]!.replace(/\d+/g,'#'), log.join(' ; '));
  } catch (e) { note('THROW ' + (e as Error).stack!.split('\n').slice(0,3).join(' '), log.join(' ; ')); }
}
console.log({ accepted, planned, fails: [...fails] });
