import { along, add, scale, subtract, turn, type Vector } from '../../vector/vector.js';
import type { Place, SteeredWheel } from '../dimension.js';
import { rootBetween } from '../../numeric/root.js';

/** Half the distance between the middles of the two shoes. Common practice, no source. */
export const SHOE_MIDDLE = 120;

/**
 * Fore-aft gap from the shoe's toe, crank level and forward, to the tyre when the bars are turned until the tyre's
 * rear edge stands in line with the shoe. Negative: they overlap. The wheel is a thin disc of the rolling radius,
 * turned exactly about the steering axis; the shoe's middle is 120 mm off the middle plane [common practice].
 */
export function toeClearance(wheel: SteeredWheel, toe: Place): number {
  // The rear edge moves steadily outward as the bars turn.
  const steer = rootBetween((turned) => Math.abs(rearEdge(wheel, turned, toe.z)[1]) - SHOE_MIDDLE, 0, 80);
  return rearEdge(wheel, steer, toe.z)[0] - toe.x;
}

/** Rearmost point of the turned wheel's rim circle at a height above ground. */
function rearEdge(
  { axis, axisPoint, centre: straight, radius }: SteeredWheel,
  steer: number,
  height: number,
): Vector {
  const centre = add(axisPoint, turn(subtract(straight, axisPoint), axis, steer));
  const rearward = turn([-1, 0, 0], axis, steer);
  const upward = turn([0, 0, 1], axis, steer);
  // centre.z + R (rearward.z cos a + upward.z sin a) = height, on the rear half
  const reach = Math.hypot(rearward[2], upward[2]);
  const lift = Math.max(-1, Math.min(1, (height - centre[2]) / (radius * reach)));
  const a = Math.asin(lift) - Math.atan2(rearward[2], upward[2]);
  const spoke = add(scale(rearward, Math.cos(a)), scale(upward, Math.sin(a)));
  return along(centre, spoke, radius);
}
