import { toDegrees } from '../units/angle.js';
import { add, along, cross, dot, scale, subtract, turn, unit, type Vector } from '../vector/vector.js';
import type { SteeredWheel } from './dimension.js';

/** A wheel at one angle of its steering axis; mm and degrees. */
export interface Steered {
  /** Turned about the steering axis, to the left seen from above. */
  readonly steer: number;
  /** Heading of the wheel over the ground, to the left. */
  readonly heading: number;
  /** Lean of the wheel's top away from the middle of the vehicle; of a single wheel, to the left. */
  readonly camber: number;
  /** Contact patch below where it was straight ahead; positive lifts that corner of the frame. */
  readonly drop: number;
  /** Patch behind the axis, along the wheel's heading. */
  readonly trail: number;
}

const UP: Vector = [0, 0, 1];

/** Direction from a disc's centre to its lowest point. */
export function downInPlane(spindle: Vector): Vector {
  return unit(subtract(scale(spindle, spindle[2]), UP));
}

/** Lowest point of a wheel taken as a thin disc: its contact patch. */
export const contactOf = (wheel: Pick<SteeredWheel, 'centre' | 'spindle' | 'radius'>): Vector =>
  along(wheel.centre, downInPlane(wheel.spindle), wheel.radius);

/** Where the steering axis comes to a height. */
export const axisAtHeight = (wheel: Pick<SteeredWheel, 'axis' | 'axisPoint'>, height: number): Vector =>
  along(wheel.axisPoint, wheel.axis, (height - wheel.axisPoint[2]) / wheel.axis[2]);

/** The wheel turned exactly about its steering axis by so many degrees, to the left; the frame held still. */
export const turnedWheel = (wheel: SteeredWheel, steer: number): SteeredWheel => ({
  ...wheel,
  centre: add(wheel.axisPoint, turn(subtract(wheel.centre, wheel.axisPoint), wheel.axis, steer)),
  spindle: turn(wheel.spindle, wheel.axis, steer),
});

/**
 * What becomes of the contact patch when the wheel is turned about its steering axis. Thin disc, rigid tyre.
 * @param steer degrees, to the left
 */
export function steered(wheel: SteeredWheel, steer: number): Steered {
  const { centre, spindle } = turnedWheel(wheel, steer);
  const contact = contactOf({ centre, spindle, radius: wheel.radius });
  const forward = unit(cross(spindle, UP));
  const axis = axisAtHeight(wheel, contact[2]);
  const outward = wheel.centre[1] < 0 ? -1 : 1;
  return {
    steer,
    heading: toDegrees(Math.atan2(forward[1], forward[0])),
    camber: -outward * toDegrees(Math.asin(spindle[2])),
    drop: contactOf(wheel)[2] - contact[2],
    trail: dot(subtract(axis, contact), forward),
  };
}

/**
 * The wheel through a sweep of its steering axis, both ends included.
 * @param wheel its axle and steering axis, mm
 * @param from degrees, left positive
 * @param to degrees
 * @param step degrees, above 0
 */
export function steeringSweep(wheel: SteeredWheel, from: number, to: number, step: number): Steered[] {
  const count = Math.round((to - from) / step);
  return Array.from({ length: count + 1 }, (_, index) => steered(wheel, from + index * step));
}
