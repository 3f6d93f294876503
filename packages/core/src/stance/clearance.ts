import { toDegrees } from '../units/angle.js';
import type { Place } from './dimension.js';

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
  const at = (x: number) =>
    slopeUnder(rear, rearRadius, { x, z: height }) + slopeUnder(front, frontRadius, { x, z: height });
  // The sum has one lowest place between the axles: golden section.
  const share = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [rear.x, front.x];
  for (let round = 0; round < 40; round += 1) {
    const [a, b] = [high - share * (high - low), low + share * (high - low)];
    if (at(a) < at(b)) high = b;
    else low = a;
  }
  return at((low + high) / 2);
}
