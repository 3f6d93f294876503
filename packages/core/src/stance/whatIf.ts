import type { Kind, State } from './dimension.js';
import { solveStance, type Held } from './solve.js';

export interface WhatIfPoint {
  readonly across: number;
  /** Every dimension at that value; undefined where no vehicle comes of it. */
  readonly values: Readonly<Record<string, number>> | undefined;
}

/**
 * The vehicle with one held dimension taken through a range, all other held ones kept.
 * @param across id of a held dimension; its value runs from `from` to `to` in `count` equal steps
 */
export function whatIf(
  kind: Kind,
  held: Held,
  near: State,
  range: { readonly across: string; readonly from: number; readonly to: number; readonly count: number },
): WhatIfPoint[] {
  return Array.from({ length: range.count + 1 }, (_, index) => {
    const across = range.from + ((range.to - range.from) * index) / range.count;
    const solved = solveStance(kind, { ...held, [range.across]: across }, near);
    return { across, values: solved.ok ? solved.values : undefined };
  });
}
