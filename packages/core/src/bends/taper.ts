import { toDegrees } from '../units/angle.js';

/** A rail whose wall is sawn and closed so that it tapers. Lengths mm, angles degrees. */
export interface Taper {
  readonly angle: number;
  /** Of the sawn edge: the closed wall, or the strip that covers it, is as long. */
  readonly edge: number;
  /** Stands in the slot while it is welded, so that it does not pull shut: the slot’s width less its clearance. */
  readonly spreader: number;
}

/** A spreader comes out again when it is so much thinner than its slot, mm. Common practice, no source. */
export const SPREADER_CLEARANCE = 0.3;

/**
 * The cut of a tapered nose: so wide at the end of the rail over such a length.
 * Source: tan of the angle = width / length.
 */
export function taperOf(width: number, length: number, slot: number): Taper {
  return {
    angle: toDegrees(Math.atan2(width, length)),
    edge: Math.hypot(width, length),
    spreader: Math.max(0, slot - SPREADER_CLEARANCE),
  };
}
