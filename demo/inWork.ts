import {
  blocks,
  fixedPlan,
  numbersOf,
  planBuild,
  Planner,
  USUAL_WORK,
  wantedVents,
  withStepMoves,
  withVents,
  work,
  type Step,
} from '@larchwood/core';
import type { BuildDocument, Done, WorkData } from '@larchwood/format';

/** How far each demo build is: the last step that is done, all of them, or none. */
const UNTIL: Readonly<Record<string, string>> = {
  'ferry-road-tourer': 'all',
  'paddock-kart': 'all',
  'lock-keeper': 'check:front',
  'orchard-ladder': 'set:Piece-1L-rail-left',
  'heron-hill-125': 'get',
};
/** One builder welds on the fixture, one in short tacks. */
const WELDING: Readonly<Record<string, 'on' | 'stitch'>> = {
  'alder-wood-buggy': 'on',
  'market-delta': 'stitch',
};
/** Where the builder knows better than the usual order: the neck goes in before its braces close it in. */
const MOVES: Readonly<Record<string, WorkData['moves']>> = {
  'quay-carrier': [{ step: 'load:neckBraces', after: 'load:neck' }],
};
/** What was drawn otherwise when its pieces were cut: one dimension, and by how much. */
const LATE: Readonly<Record<string, readonly [string, number]>> = {
  'lock-keeper': ['chainstayLength', -1.2],
};
/** A morning of a made-up year, and so long between two steps. */
const FIRST = Date.UTC(2026, 9, 3, 8);
const BETWEEN = 37 * 60_000;

/** The build with its closed tubes vented, what would shut a seam in cured, and what is done of it. */
export function inWork(file: string, document: BuildDocument): BuildDocument {
  const planned = planBuild(document);
  if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
  const vented = withVents(document, wantedVents(fixedPlan(document, planned.plan).frame, planned.plan.cuts));
  const begun: BuildDocument = {
    ...vented,
    work: {
      ...USUAL_WORK,
      moves: MOVES[file] ?? [],
      ...(WELDING[file] ? { welding: WELDING[file] } : {}),
    },
  };
  const planner = new Planner();
  let next = begun;
  for (let round = 0; round < ROUNDS; round += 1) {
    const { shut, barred } = planner.ask(blocks, next);
    const moves = next.work!.moves.length;
    const cured = [...shut, ...barred]
      .map(({ cure }) => ({ ...next, work: withStepMoves(next.work!, cure) }))
      .find((each) => {
        const { breaches } = planner.ask(work, each);
        return each.work.moves.length > moves && breaches.every(({ taste }) => taste);
      });
    if (!cured) break;
    next = cured;
  }
  const { steps } = planner.ask(work, next);
  const last = UNTIL[file] === 'all' ? steps.length : steps.findIndex(({ id }) => id === UNTIL[file]);
  const { [file]: late } = LATE;
  const before = late ? planner.ask(work, withHeld(next, late)).steps : steps;
  const asDone = new Map(before.map((step) => [step.id, step]));
  const done = steps.slice(0, last + 1).map((step, index) => tick(asDone.get(step.id) ?? step, index));
  return done.length > 0 ? { ...next, done } : next;
}
const ROUNDS = 12;

const withHeld = (document: BuildDocument, [id, by]: readonly [string, number]): BuildDocument => {
  const { held } = document.stance;
  return { ...document, stance: { ...document.stance, held: { ...held, [id]: held[id]! + by } } };
};

const tick = (step: Step, index: number): Done => ({
  ...{ step: step.id, of: step.of, done: true },
  ...(numbersOf(step) ? { was: numbersOf(step)! } : {}),
  on: new Date(FIRST + index * BETWEEN).toISOString(),
});
