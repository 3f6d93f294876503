import type { Vector } from '../vector/vector.js';

/** A box square to the vehicle that holds something: quick to tell what cannot meet. */
export interface Bounds {
  readonly low: Vector;
  readonly high: Vector;
}

/** The box round some points, wider by a margin to each side; mm. */
export function boundsOf(points: Iterable<Vector>, margin = 0): Bounds {
  const low: [number, number, number] = [Infinity, Infinity, Infinity];
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (const point of points)
    for (const axis of AXES) {
      low[axis] = Math.min(low[axis], point[axis] - margin);
      high[axis] = Math.max(high[axis], point[axis] + margin);
    }
  return { low, high };
}
const AXES = [0, 1, 2] as const;

/** Whether two boxes are farther from each other than `by`, mm: then what they hold is, too. */
export const apart = ({ low: a, high: b }: Bounds, { low: c, high: d }: Bounds, by = 0): boolean =>
  a[0] - by > d[0] ||
  c[0] - by > b[0] ||
  a[1] - by > d[1] ||
  c[1] - by > b[1] ||
  a[2] - by > d[2] ||
  c[2] - by > b[2];

/** Whether a point is farther than `by` out of a box, mm. */
export const outside = ([x, y, z]: Vector, { low, high }: Bounds, by = 0): boolean =>
  x < low[0] - by ||
  x > high[0] + by ||
  y < low[1] - by ||
  y > high[1] + by ||
  z < low[2] - by ||
  z > high[2] + by;
