import { median } from 'd3-array';

/** A pull that was logged: how far it was pulled, and what stayed when it was let go; mm. */
export interface PullLogged {
  readonly lever: string;
  readonly pulled: number;
  readonly stayed: number;
}
/** Fewer than so many say nothing yet. */
export const ENOUGH_PULLS = 3;

/**
 * How far one way of pulling springs back in this workshop, mm: the middle one of what was logged. Beyond its limit a tube
 * gives back what it took up to there, however far it was pulled. Source: unloading of a beam past its yield point.
 * @returns undefined until three were logged
 */
export function springsBack(log: readonly PullLogged[], lever: string): number | undefined {
  const back = log.filter((each) => each.lever === lever).map(({ pulled, stayed }) => pulled - stayed);
  return back.length < ENOUGH_PULLS ? undefined : median(back);
}
