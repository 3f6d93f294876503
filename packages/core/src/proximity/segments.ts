import { along, dot, length, subtract, type Vector } from '../vector/vector.js';

/** A straight from one point to another; a point where both are one. */
export interface Segment {
  readonly from: Vector;
  readonly to: Vector;
}
/** Where two segments come nearest. */
export interface Nearest {
  /** mm. */
  readonly distance: number;
  /** On each, and how far along it as a share of it. */
  readonly onA: Vector;
  readonly onB: Vector;
  readonly shareA: number;
  readonly shareB: number;
}

/** Under this a segment is a point, mm squared. */
const POINT = 1e-18;
/** Sine squared under which two segments run alongside each other. */
const ALONGSIDE = 1e-13;

/**
 * The nearest points of two segments. Where they run alongside each other, one of the many.
 * Source: Ericson, Real-Time Collision Detection (2005), 5.1.9.
 */
export function nearestOfSegments({ from: p, to: q }: Segment, { from: r, to: s }: Segment): Nearest {
  const [d1, d2, w] = [subtract(q, p), subtract(s, r), subtract(p, r)];
  const [a, e, f] = [dot(d1, d1), dot(d2, d2), dot(d2, w)];
  let [t, u] = [0, 0];
  if (a <= POINT && e > POINT) u = share(f / e);
  else if (a > POINT) {
    const c = dot(d1, w);
    if (e <= POINT) t = share(-c / a);
    else {
      const b = dot(d1, d2);
      const flat = a * e - b * b;
      t = flat > ALONGSIDE * a * e ? share((b * f - c * e) / flat) : 0;
      u = (b * t + f) / e;
      if (u < 0) [u, t] = [0, share(-c / a)];
      else if (u > 1) [u, t] = [1, share((b - c) / a)];
    }
  }
  const [onA, onB] = [along(p, d1, t), along(r, d2, u)];
  return { distance: length(subtract(onA, onB)), onA, onB, shareA: t, shareB: u };
}

/** Distance from a point to a segment, mm. */
export const distanceToSegment = (point: Vector, segment: Segment): number =>
  nearestOfSegments({ from: point, to: point }, segment).distance;

const share = (value: number): number => Math.min(1, Math.max(0, value));
