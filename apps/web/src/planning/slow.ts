import {
  checkList,
  checkResults,
  checked,
  clearances,
  details,
  fit,
  sweptFindings,
  work,
  workFindings,
  type Stage,
} from '@larchwood/core';

/** Stages of the plan that take longer than a frame, by name. A new one is one line. */
export const SLOW = {
  checkList,
  checkResults,
  checked,
  clearances,
  details,
  fit,
  sweptFindings,
  work,
  workFindings,
} as const;
export type SlowName = keyof typeof SLOW;
export type Slow<N extends SlowName> = (typeof SLOW)[N] extends Stage<infer T> ? T : never;
