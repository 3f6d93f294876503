import { clearancesOf, findKind, fitRange, planBuild, releases, stanceOf, without } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { demoBuilds, median } from './demo.js';

/** Median and 95th percentile of `work`, once warm; ms. Each round changes a held dimension, so that nothing is the same. */
function measure(
  document: BuildDocument,
  work: (document: BuildDocument) => { readonly ok: boolean },
): { median: number; late: number } {
  const times: number[] = [];
  const { held } = document.stance;
  const moved = ['headAngle', 'rake', 'caster', 'trail', 'wheelFlop', 'wheelbase'].find((id) => id in held)!;
  for (let round = 0; round < 600; round += 1) {
    const next = {
      ...document,
      stance: { ...document.stance, held: { ...held, [moved]: held[moved]! + (round % 40) * 0.01 } },
    };
    const start = performance.now();
    const result = work(next);
    if (round >= 200) times.push(performance.now() - start);
    if (!result.ok) throw new Error(`${document.name}: refused at ${moved} ${next.stance.held[moved]}`);
  }
  times.sort((a, b) => a - b);
  return { median: times[times.length >> 1]!, late: times[Math.floor(times.length * 0.95)]! };
}

/** The same vehicle with every reading that can be held in place of another: the most that the solver has to find. */
function exchanged(document: BuildDocument): BuildDocument {
  const kind = findKind(document.kind)!;
  const solved = stanceOf(document);
  if (!solved.ok) throw new Error(document.name);
  const { state, values } = solved.stance;
  let held = solved.stance.held;
  for (const id of kind.readings) {
    const [best] = releases(kind, state, held, id).filter(({ perUnit }) => Math.abs(perUnit) < 20);
    if (best) held = { ...without(held, best.id), [id]: values[id]! };
  }
  return {
    ...document,
    stance: { held: without(held, ...kind.given) as Record<string, number>, near: state },
  };
}

export function planInNode(): void {
  for (const { name, document } of demoBuilds()) {
    const whole = measure(document, (each) => planBuild(each));
    const stance = measure(document, stanceOf);
    const other = exchanged(document);
    const { state, given } = findKind(document.kind)!;
    const free = state.filter((id) => !(id in other.stance.held) && !given.includes(id)).length;
    const hard = measure(other, stanceOf);
    const hardPlan = measure(other, (each) => planBuild(each));
    const planned = planBuild(document);
    if (!planned.ok) throw new Error(name);
    const sweep = median(15, () => clearancesOf(document, planned.plan));
    const fit = median(5, () => fitRange(document));
    console.log(
      `${name}: whole plan ${whole.median.toFixed(2)} ms median, ${whole.late.toFixed(2)} ms at 95 %; ` +
        `stance ${stance.median.toFixed(3)} ms; with ${free} entries to find ${hard.median.toFixed(3)} ms median, ${hard.late.toFixed(3)} ms at 95 %, its plan ${hardPlan.median.toFixed(2)} ms; ` +
        `sweep of ${planned.plan.stance.places.length} rider(s) ${sweep.toFixed(1)} ms, who fits ${fit.toFixed(1)} ms`,
    );
  }
}
