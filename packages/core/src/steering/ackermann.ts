import { toDegrees, toRadians } from '../units/angle.js';

/**
 * Outer wheel's angle at which both wheels' perpendiculars meet on the rear axle's line: cot(outer) - cot(inner) =
 * pin track / wheelbase. Gillespie, *Fundamentals of Vehicle Dynamics*.
 * @param inner degrees from straight ahead, not 0
 * @returns degrees
 */
export function idealOuter(pinTrack: number, wheelbase: number, inner: number): number {
  const cotangent = 1 / Math.tan(toRadians(inner)) + pinTrack / wheelbase;
  return toDegrees(Math.atan2(1, cotangent));
}

/**
 * Starting rule for steering arms: pointed at the middle of the rear axle, atan((T/2)/L). A start, not the answer.
 * @returns degrees inward of straight back
 */
export const armAimedAtRearAxle = (pinTrack: number, wheelbase: number): number =>
  toDegrees(Math.atan2(pinTrack / 2, wheelbase));

/**
 * A universal joint's driven angle: tan(out) = tan(in) cos(bend), counted from where the ears of the driving yoke
 * lie square to the plane of the bend: it is slowest there, and quickest a quarter turn on. Hooke's joint, any machine-theory text.
 * @param angle of the driving shaft, degrees
 * @param bend between the two shafts, degrees, under 90
 * @returns degrees, through as many turns as the driving shaft
 */
export function throughJoint(angle: number, bend: number): number {
  const turns = Math.round(angle / 180);
  const rest = toRadians(angle - turns * 180);
  return turns * 180 + toDegrees(Math.atan2(Math.sin(rest) * Math.cos(toRadians(bend)), Math.cos(rest)));
}

/** How fast the driven shaft turns against the driving one: between cos(bend) and 1 / cos(bend). */
export function jointRatio(angle: number, bend: number): number {
  const [a, b] = [toRadians(angle), toRadians(bend)];
  return Math.cos(b) / (1 - Math.sin(a) ** 2 * Math.sin(b) ** 2);
}
