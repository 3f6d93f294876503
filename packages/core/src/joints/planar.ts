import type { Outline } from '../frame/outline.js';
import { toDegrees } from '../units/angle.js';
import type { Vector } from '../vector/vector.js';
import type { Edge } from './edge.js';

/** What a saw needs for a cut in one plane. Degrees. */
export interface SawAngles {
  /** Between the cut and a square one. */
  readonly offSquare: number;
  /** Of the line on the match line's face, off square; and on the next face round. Signed. */
  readonly onMatchFace: number;
  readonly onNextFace: number;
  /** With the match line's face up on the saw: the table turned by the miter, the blade tilted by the bevel. */
  readonly miter: number;
  readonly bevel: number;
}

/**
 * Saw angles of a plane whose normal is given along the outward axis, to the match line, and across.
 * Source: plane trigonometry; blade plane turned about the upright and then tilted.
 */
export function sawOf([a, u, v]: Vector): SawAngles | undefined {
  const size = Math.hypot(a, u, v);
  if (Math.abs(a) < 1e-6 * size) return undefined;
  const sign = a < 0 ? -1 : 1;
  const [na, nu, nv] = [Math.abs(a) / size, (sign * u) / size, (sign * v) / size];
  return {
    offSquare: toDegrees(Math.acos(Math.min(1, na))),
    onMatchFace: toDegrees(Math.atan2(nv, na)),
    onNextFace: toDegrees(Math.atan2(nu, na)),
    miter: toDegrees(Math.atan2(nv, na)),
    bevel: toDegrees(Math.asin(Math.max(-1, Math.min(1, nu)))),
  };
}

/** How a saw is set for a cut in one plane: degrees, without their sides. */
export interface SawSetting {
  /** The table turned, off square. */
  readonly miter: number;
  /** The blade tilted from upright. */
  readonly bevel: number;
  /** Which face lies up: the match line's, or the next one round. */
  readonly up: 'match' | 'next';
}

/** A blade tilted by less stands upright, degrees. */
const UPRIGHT = 0.05;

/**
 * The simplest setting that makes a cut: what leans one way only is laid so that the blade stands upright, and a round tube is
 * rolled there.
 * @returns none of an end that no saw cuts
 */
export function sawSettingOf({
  saw,
  outline,
}: {
  readonly saw?: SawAngles;
  readonly outline: Pick<Outline, 'round'>;
}): SawSetting | undefined {
  if (!saw) return undefined;
  const [miter, bevel] = [Math.abs(saw.miter), Math.abs(saw.bevel)];
  if (outline.round || bevel < UPRIGHT) return { miter: saw.offSquare, bevel: 0, up: 'match' };
  return miter < UPRIGHT ? { miter: saw.offSquare, bevel: 0, up: 'next' } : { miter, bevel, up: 'match' };
}

/** How far from flat a cast edge may be and still count as cut in one plane, mm. */
const FLAT = 0.02;

/** Normal of the plane in which a whole edge lies, along the outward axis, to the match line and across; if it does. */
export function planeOf({ outer, missed }: Edge, outline: Outline): Vector | undefined {
  if (missed > 0) return undefined;
  const [top, right, bottom, left] = [0, 90, 180, 270] as const;
  const slopeU = (outer[top]! - outer[bottom]!) / (outline.u[top]! - outline.u[bottom]!);
  const slopeV = (outer[right]! - outer[left]!) / (outline.v[right]! - outline.v[left]!);
  const middle = (outer[top]! + outer[bottom]!) / 2;
  for (let line = 0; line < outer.length; line += 1) {
    const flat = middle + slopeU * outline.u[line]! + slopeV * outline.v[line]!;
    if (Math.abs(outer[line]! - flat) > FLAT) return undefined;
  }
  return [1, -slopeU, -slopeV];
}
