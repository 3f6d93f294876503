import { rootBetween } from '../numeric/root.js';
import { FLUSH } from './lines.js';

/** Steps along a line are no shorter than this, mm: a dip of that length is less deep than 0.00001 mm. */
const LEAST_STEP = 0.02;
const MOST_STEPS = 1000;

/** Where a line came to a body; whether it only passed by it, flush. */
export interface Met {
  at: number;
  passed: boolean;
}
const result: Met = { at: NaN, passed: false };

/**
 * Walks along a line until it meets a body, by a bound of how far away that is: never more than the distance, and negative
 * just inside it. Source: sphere tracing, Hart 1996; from memory.
 * @param away bound of the distance at a place along the line, mm
 * @returns one and the same object each time: NaN where the line neither meets the body nor passes it flush
 */
export function march(away: (t: number) => number, from: number, to: number): Readonly<Met> {
  result.at = NaN;
  result.passed = false;
  let t = from;
  let nearest = FLUSH;
  if (!(to >= from)) return result;
  let value = away(t);
  // A line that sets out inside the body has met another part of the host before.
  if (!(value > -1e-9)) return result;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    if (value < nearest) {
      nearest = value;
      result.at = t;
      result.passed = true;
    }
    const next = t + Math.max(value, LEAST_STEP);
    if (!(next <= to)) break;
    const there = away(next);
    if (there <= 0) {
      result.at = rootBetween(away, t, next);
      result.passed = false;
      return result;
    }
    t = next;
    value = there;
  }
  return result;
}
