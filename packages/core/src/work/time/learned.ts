import { median } from 'd3-array';
import type { Done } from '@larchwood/format';
import type { Sort, Step } from '../step.js';

/** A step that was timed: its usual hours, and what it took. */
export interface Timed {
  readonly sort: Sort;
  readonly usual: number;
  readonly took: number;
}
/** Fewer than so many say nothing yet. */
export const ENOUGH = 3;

/** What was timed of an order of work. */
export const timedOf = (steps: readonly Step[], done: readonly Done[] = []): readonly Timed[] => {
  const byId = new Map(steps.map((step) => [step.id, step]));
  return done.flatMap(({ step: id, hours }) => {
    const step = byId.get(id);
    return step && hours !== undefined && hours > 0 && step.hours > 0
      ? [{ sort: step.sort, usual: step.hours, took: hours }]
      : [];
  });
};

/**
 * How much longer than usual work of a sort takes here: the middle one of what was timed, so that one bad evening does not
 * count; 1 until three were timed.
 */
export function paceOf(
  timed: readonly Timed[],
  sort: Sort,
): { readonly factor: number; readonly count: number } {
  const ratios = timed.filter((each) => each.sort === sort).map(({ usual, took }) => took / usual);
  return { factor: ratios.length < ENOUGH ? 1 : median(ratios)!, count: ratios.length };
}
