import type { SteeredWheel } from '../stance/dimension.js';
import { contactOf, turnedWheel } from '../stance/steering.js';
import { toDegrees, toRadians } from '../units/angle.js';
import type { Vector } from '../vector/vector.js';
import type { SteeringStep } from './sweep.js';

/** A steered wheel in a turn. */
export interface WheelInTurn {
  readonly id: string;
  readonly contact: Vector;
  /** Heading over the ground, degrees to the left. */
  readonly heading: number;
  /** Where its perpendicular meets the rear axle's line, mm to the left; none straight ahead. */
  readonly centre: number | undefined;
  /** It is dragged sideways by so many degrees: heading less the way it has to go. */
  readonly scrub: number;
  readonly width: number;
}
/** The vehicle in a turn, on level ground, upright, at walking pace. */
export interface Turn {
  /** Where it turns about, on the rear axle's line, mm to the left; none straight ahead. */
  readonly centre: number | undefined;
  readonly wheels: readonly WheelInTurn[];
  /** Outer edge of the outermost tyre from there, mm. */
  readonly kerb: number | undefined;
}

/** A wheel turned by less than this goes straight ahead, degrees. */
const STRAIGHT = 1e-4;

/**
 * The turn that a step of the steering makes. With two wheels that do not agree, the vehicle is taken to turn about the
 * place that halves their bends: the sum of the wheels' curvatures stays.
 */
export function turnOf(wheels: readonly SteeredWheel[], step: SteeringStep): Turn {
  const standing = wheels.map((wheel) => {
    const { heading } = step.wheels[wheel.id]!;
    const contact = contactOf(turnedWheel(wheel, step.wheels[wheel.id]!.steer));
    const curve = Math.tan(toRadians(heading)) / contact[0];
    const centre = Math.abs(heading) < STRAIGHT ? undefined : contact[1] + 1 / curve;
    return { id: wheel.id, contact, heading, centre, width: wheel.width };
  });
  // Curvature of the rear axle's middle, from each wheel.
  const curves = standing.map(({ centre }) => (centre === undefined ? 0 : 1 / centre));
  const curve = curves.reduce((sum, each) => sum + each, 0) / curves.length;
  const centre = Math.abs(curve) < 1e-9 ? undefined : 1 / curve;
  return {
    centre,
    wheels: standing.map((wheel) => ({
      ...wheel,
      scrub: wheel.heading - (centre === undefined ? 0 : headingAbout(wheel.contact, centre)),
    })),
    kerb:
      centre === undefined
        ? undefined
        : Math.max(
            ...standing.map(
              ({ contact, width, heading }) =>
                Math.hypot(contact[0], contact[1] - centre) +
                (width / 2) * Math.cos(toRadians(heading - headingAbout(contact, centre))),
            ),
          ),
  };
}

/** Heading of a point that goes round a centre on the rear axle's line, degrees to the left. */
export const headingAbout = (at: Vector, centre: number): number => {
  const out = centre - at[1];
  return out === 0 ? 90 : toDegrees(Math.atan(at[0] / out));
};

/**
 * How far the outer wheel is from where it ought to be for the inner one: turned too far is positive, degrees. Toe that
 * stands straight ahead is taken out.
 * @param straight the step straight ahead
 */
export function ackermannError(
  wheels: readonly SteeredWheel[],
  step: SteeringStep,
  straight: SteeringStep,
): number {
  if (wheels.length < 2) return 0;
  const turned = wheels.map((wheel) => ({
    contact: contactOf(turnedWheel(wheel, step.wheels[wheel.id]!.steer)),
    by: step.wheels[wheel.id]!.heading - straight.wheels[wheel.id]!.heading,
  }));
  const [a, b] = turned as [(typeof turned)[0], (typeof turned)[0]];
  const left = a.by + b.by > 0;
  const [inner, outer] = left === a.contact[1] > b.contact[1] ? [a, b] : [b, a];
  if (Math.abs(inner.by) < STRAIGHT) return 0;
  const centre = inner.contact[1] + inner.contact[0] / Math.tan(toRadians(inner.by));
  const ideal = headingAbout(outer.contact, centre);
  return (outer.by - ideal) * (left ? 1 : -1);
}
