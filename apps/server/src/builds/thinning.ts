/** What thinning must know of a revision. */
export interface Entry {
  readonly number: number;
  readonly savedAt: Date;
  /** Named, printed from, cut from or compared with: kept for good. */
  readonly kept: boolean;
}

const DAY = 24 * 3600 * 1000;
/**
 * All are kept for so many days, a frame's time on the bench, then the last of each day, and after so many the last of each
 * month. Common practice, no source.
 */
export const ALL_FOR = 30;
export const DAILY_FOR = 365;

/**
 * Numbers of the revisions of one build that may go. The first, the newest and those that were named or used stay.
 * @param entries in any order
 */
export function thinned(entries: readonly Entry[], now: Date): number[] {
  const newestFirst = [...entries].sort((a, b) => b.number - a.number);
  const last = newestFirst.length - 1;
  const spans = new Set<string>();
  return newestFirst.flatMap(({ number, savedAt, kept }, place) => {
    const days = (now.getTime() - savedAt.getTime()) / DAY;
    const span = savedAt.toISOString().slice(0, days > DAILY_FOR ? 7 : 10);
    const first = !spans.has(span);
    spans.add(span);
    return kept || place === 0 || place === last || days <= ALL_FOR || first ? [] : [number];
  });
}
