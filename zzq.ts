import { readFileSync } from 'node:fs';
import { planBuild, readDocumentText, surroundingsOf } from '@larchwood/core';
import { KIT } from './apps/headless/src/kit.js';
import { modellerFrom } from './packages/outputs/src/step/modeller.js';
const read = readDocumentText(readFileSync(`demo/${process.argv[2]}.larchwood.json`, 'utf8')); if (!read.ok) throw 1;
const planned = planBuild(read.document); if (!planned.ok) throw 1;
const { plan } = planned;
await modellerFrom(KIT.modeller);
const { frameStep } = await import('./packages/outputs/src/step/frameStep.js');
const { pieceSolid } = await import('./packages/outputs/src/step/solids.js');
const { toolsOf } = await import('./packages/outputs/src/step/tools.js');
const around = surroundingsOf(plan.frame);
let all = 0;
for (const piece of plan.frame.pieces) { const cut = [...plan.cuts, ...plan.given].find((c) => c.piece === piece.id)!; if (piece.side === 'right') continue;
  const t = performance.now(); const s = pieceSolid(piece, cut, plan.holes.find((h) => h.piece === piece.id)?.bores ?? [], around); const d = performance.now() - t; all += d;
  if (d > 200) console.log(d.toFixed(0), piece.mark, piece.name, cut.ends.flatMap((e) => toolsOf(piece, e, around, 0)).length, s.facets ?? '', plan.holes.find((h) => h.piece === piece.id)?.bores.length ?? 0); }
console.log('solids', all);
let t = performance.now(); frameStep(plan, { name: 'x', date: 'y' }); console.log('again + write', performance.now() - t);
t = performance.now(); frameStep(plan, { name: 'x', date: 'y' }); console.log('write', performance.now() - t);
