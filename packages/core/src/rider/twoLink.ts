import { toDegrees } from '../units/angle.js';
import { add, along, dot, length, scale, subtract, type Vector } from '../vector/vector.js';

/** Two links between two places: a thigh and a shank, or an arm. */
export interface TwoLink {
  /** The knee or the elbow. */
  readonly joint: Vector;
  /** Where the second link ends: the place wanted, or as near to it as the links come. */
  readonly end: Vector;
  /** How much too far off the place is, mm; negative when it is too near; 0 when it is reached. */
  readonly beyond: number;
}

/**
 * Two-link inverse kinematics by the law of cosines.
 * @param bend direction to which the joint goes; only its part square to the line counts
 */
export function twoLink(from: Vector, to: Vector, upper: number, lower: number, bend: Vector): TwoLink {
  const span = subtract(to, from);
  const size = length(span);
  const line: Vector = size > 1e-9 ? scale(span, 1 / size) : [1, 0, 0];
  const reached = Math.min(upper + lower, Math.max(Math.abs(upper - lower), size, 1e-9));
  const foot = (upper ** 2 - lower ** 2 + reached ** 2) / (2 * reached);
  const height = Math.sqrt(Math.max(0, upper ** 2 - foot ** 2));
  const across = subtract(bend, scale(line, dot(bend, line)));
  const sideways = scale(across, 1 / Math.max(1e-9, length(across)));
  return {
    joint: add(along(from, line, foot), scale(sideways, height)),
    end: along(from, line, reached),
    beyond: size - reached,
  };
}

/** Degrees that stand for each millimetre out of reach, so that a solver finds its way back. */
const PER_MM = 0.25;

/**
 * Angle at the joint for a span between the ends, degrees: 180 is straight. Beyond reach it goes on rising by a quarter
 * of a degree a millimetre, and below the least span it goes on falling, so that it always tells which way to go.
 * Source: law of cosines.
 */
export function jointAngle(upper: number, lower: number, span: number): number {
  const [least, most] = [Math.abs(upper - lower), upper + lower];
  if (span >= most) return 180 + (span - most) * PER_MM;
  if (span <= least) return (span - least) * PER_MM;
  return toDegrees(Math.acos((upper ** 2 + lower ** 2 - span ** 2) / (2 * upper * lower)));
}
