import { toDegrees, toRadians } from '../units/angle.js';

/**
 * Front-end geometry of any vehicle with one steered wheel in its middle plane. Lengths in mm, angles in degrees.
 * Head angle is from the ground, rearwards-up (90 = vertical); offset is the perpendicular distance of the front axle
 * ahead of the steering axis. Source: plane trigonometry; check values worked by hand in the tests.
 */

/** Ground trail (Rf cos H - o) / sin H: positive when the contact patch lies behind the axis' ground point. */
export function trail(radius: number, headAngle: number, offset: number): number {
  return mechanicalTrail(radius, headAngle, offset) / Math.sin(toRadians(headAngle));
}

/** Mechanical (normal) trail Rf cos H - o: contact patch to axis, square to the axis. */
export function mechanicalTrail(radius: number, headAngle: number, offset: number): number {
  return radius * Math.cos(toRadians(headAngle)) - offset;
}

/** Wheel flop t sin H cos H. */
export function wheelFlop(radius: number, headAngle: number, offset: number): number {
  return mechanicalTrail(radius, headAngle, offset) * Math.cos(toRadians(headAngle));
}

/** Offset that gives a wanted ground trail: Rf cos H - t sin H. */
export function offsetForTrail(radius: number, headAngle: number, wantedTrail: number): number {
  const angle = toRadians(headAngle);
  return radius * Math.cos(angle) - wantedTrail * Math.sin(angle);
}

/** Distance along the axis, from its ground point up to the foot of the axle: t cos H + Rf sin H. */
export function axleFoot(radius: number, headAngle: number, offset: number): number {
  const angle = toRadians(headAngle);
  return trail(radius, headAngle, offset) * Math.cos(angle) + radius * Math.sin(angle);
}

/** Height of the crown seat above the foot of the axle, along the axis, for a straight axle-to-crown measurement. */
export const crownAboveFoot = (axleToCrown: number, offset: number): number =>
  Math.sqrt(axleToCrown ** 2 - offset ** 2);

/** The straight axle-to-crown length of a fork that was measured along the steering axis. */
export const straightAxleToCrown = (alongAxis: number, offset: number): number =>
  Math.hypot(alongAxis, offset);

/** Rake as motorcycle builders read it, from the vertical, for a head angle from the ground; and back. */
export const rakeFromHeadAngle = (headAngle: number): number => 90 - headAngle;

/** Angle from the ground of the line through two side-view points (x forward, z up), rearwards-up. */
export function rearwardAngle(lower: { x: number; z: number }, upper: { x: number; z: number }): number {
  return toDegrees(Math.atan2(upper.z - lower.z, lower.x - upper.x));
}
