import {
  balanced,
  blocks,
  details,
  planBuild,
  Planner,
  segmentsOf,
  USUAL_WORK,
  work,
  workFindings,
} from '@larchwood/core';
import { demoBuilds, median } from './demo.js';

/** Each demo's order of work: from nothing, after one step was moved, and its order of welding. */
export function orders(): void {
  for (const { name, document } of demoBuilds()) {
    const begun = () => {
      const planner = new Planner();
      planBuild(document, planner);
      planner.ask(details, document);
      return planner;
    };
    const whole = medianOf(5, begun, (planner) => planner.ask(workFindings, document));
    const own = document.work ?? USUAL_WORK;
    const next = {
      ...document,
      work: {
        ...own,
        moves: [...own.moves, { step: `load:${document.frame.members.at(-1)!.id}`, after: 'get' }],
      },
    };
    const edit = medianOf(
      5,
      () => {
        const planner = begun();
        planner.ask(workFindings, document);
        return planner;
      },
      (planner) => planner.ask(workFindings, next),
    );
    const planner = begun();
    const { seams, steps } = planner.ask(work, document);
    const { shut, barred } = planner.ask(blocks, document);
    const segments = segmentsOf(seams.filter(({ to }) => to[0] !== 'cap'));
    const weld = median(1, () => balanced(segments));
    console.log(
      `${name}: ${steps.length} steps, ${seams.length} seams; order, blocks and ways in ${whole.toFixed(0)} ms, after one move ${edit.toFixed(0)} ms, welds of ${segments.length} stretches ${weld.toFixed(0)} ms; ${shut.length} shut in, ${barred.length} barred`,
    );
  }
}

function medianOf<T>(rounds: number, before: () => T, run: (ready: T) => unknown): number {
  const times = Array.from({ length: rounds }, () => {
    const ready = before();
    const since = performance.now();
    run(ready);
    return performance.now() - since;
  });
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)]!;
}
