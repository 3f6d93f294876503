import { checkList, checkResults, planBuild, Planner, readingOf } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { demoBuilds, median } from './demo.js';

/** So many readings a stage has at most, in the bench. */
const READINGS = 60;

/** Each demo's measuring list, with its order, and what came out of sixty readings of one stage. */
export function checks(): void {
  for (const { name, document } of demoBuilds()) {
    const bare = { ...document, measured: [] };
    const first = new Planner();
    planBuild(bare, first);
    const { points, measures } = first.ask(checkList, bare);
    // Own measures from the first point to others make up the number.
    const frame = measures.filter(({ whole }) => !whole);
    const ids = Object.keys(points);
    const own = ids.slice(1, 1 + Math.max(0, READINGS - frame.length)).map((to, index) => ({
      ...{
        id: `own:${index}`,
        name: to.slice(0, 100),
        as: 'distance' as const,
        from: ids[0]!,
        to,
        tolerance: 2,
      },
    }));
    const full: BuildDocument = { ...bare, checks: { own, tolerances: {}, preset: {} } };
    const planner = new Planner();
    planBuild(full, planner);
    const list = median(3, () => {
      const fresh = new Planner();
      planBuild(full, fresh);
      const since = performance.now();
      fresh.ask(checkList, full);
      return performance.now() - since;
    });
    const all = planner.ask(checkList, full);
    const read = (turn: number): BuildDocument => ({
      ...full,
      measured: all.measures
        .filter(({ whole }) => !whole)
        .map((measure, index) => ({
          ...{ stage: 'off' as const, measure: measure.id },
          value: readingOf(measure, (id) => all.points[id]!.at) + (((index * 7 + turn) % 5) - 2) * 0.1,
        })),
    });
    let turn = 0;
    planner.ask(checkResults, read(turn));
    const fit = median(9, () => planner.ask(checkResults, read((turn += 1))));
    console.log(
      `${name}: ${read(0).measured!.length} readings of ${ids.length} points; list and order in ${list.toFixed(0)} ms, fit, verdicts and advice in ${fit.toFixed(0)} ms`,
    );
  }
}
