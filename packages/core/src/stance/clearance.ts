import { toDegrees } from '../units/angle.js';
import type { Place } from './dimension.js';
import { rootBetween } from '../numeric/root.js';

/**
 * Angle of the steepest slope that a tyre can roll on to without the point touching it: tangent below the tyre through
 * the point. 90 when the point lies within the tyre's reach. The point is ahead of the axle in its own direction.
 * Source: plane geometry; the angles are those that ISO 612 names.
 */
export function slopeUnder(axle: Place, radius: number, point: Place): number {
  const ahead = Math.abs(point.x - axle.x);
  const above = point.z - axle.z;
  const span = Math.hypot(ahead, above);
  if (span <= radius) return 90;
  return Math.min(90, toDegrees(Math.atan2(above, ahead) + Math.asin(radius / span)));
}

/**
 * Break-over: angle between the two planes that touch a tyre each and meet below a level floor, at the worst place
 * between the axles.
 */
export function breakOver(
  rear: Place,
  rearRadius: number,
  front: Place,
  frontRadius: number,
  height: number,
): number {
  const x = ridge(rear, rearRadius, front, frontRadius, height);
  return slopeUnder(rear, rearRadius, { x, z: height }) + slopeUnder(front, frontRadius, { x, z: height });
}

/** Where along a level floor a ridge touches it first: x, mm. */
export function ridge(
  rear: Place,
  rearRadius: number,
  front: Place,
  frontRadius: number,
  height: number,
): number {
  const low = rear.x + reachAt(height, rear, rearRadius);
  const high = front.x - reachAt(height, front, frontRadius);
  if (!(high - low > 2 * CLEAR)) return (low + high) / 2;
  // The sum has one lowest place between the tyres, where one slope flattens as fast as the other steepens.
  const flattening = (x: number) =>
    slopeGrowth(x - rear.x, height - rear.z, rearRadius) -
    slopeGrowth(front.x - x, height - front.z, frontRadius);
  return rootBetween(flattening, low + CLEAR, high - CLEAR);
}

/** How close to a tyre the worst place is looked for, mm. */
const CLEAR = 0.5;

/** How far from its axle a tyre reaches at a height, level; mm. */
const reachAt = (height: number, axle: Place, radius: number): number =>
  Math.sqrt(Math.max(0, radius ** 2 - (height - axle.z) ** 2));

/** Change of the tangent's slope for a point moved away from the axle, rad/mm: the derivative of `slopeUnder`. */
function slopeGrowth(ahead: number, above: number, radius: number): number {
  const span = ahead ** 2 + above ** 2;
  return -(above + (radius * ahead) / Math.sqrt(Math.max(1e-12, span - radius ** 2))) / span;
}
