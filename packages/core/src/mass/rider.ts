import { CENTRE_OF_MASS, SEGMENT_MASS } from '../rider/body.js';
import type { Figure } from '../rider/figure.js';
import { add, scale, subtract, type Vector } from '../vector/vector.js';

export interface Weight {
  /** kg. */
  readonly mass: number;
  readonly at: Vector;
}

const between = (from: Vector, to: Vector, share: number): Vector =>
  add(from, scale(subtract(to, from), share));

/** The segments of a rider with their masses, kg, where they are. Source: Winter, after Dempster. */
export function riderWeights({ hip, shoulder, head, legs, arms }: Figure, mass: number): Weight[] {
  const of = (share: number, at: Vector): Weight => ({ mass: mass * share, at });
  const limbs = (['left', 'right'] as const).flatMap((side) => {
    const [leg, arm] = [legs[side], arms[side]];
    return [
      of(SEGMENT_MASS.thigh, between(leg.hip, leg.knee, CENTRE_OF_MASS.thigh)),
      of(SEGMENT_MASS.shank, between(leg.knee, leg.ankle, CENTRE_OF_MASS.shank)),
      of(SEGMENT_MASS.foot, between(leg.ankle, leg.toe, CENTRE_OF_MASS.foot)),
      of(SEGMENT_MASS.upperArm, between(arm.shoulder, arm.elbow, CENTRE_OF_MASS.upperArm)),
      of(SEGMENT_MASS.forearm, between(arm.elbow, arm.wrist, CENTRE_OF_MASS.forearm)),
      // The grip lies where the hand's centre of mass is.
      of(SEGMENT_MASS.hand, arm.grip),
    ];
  });
  return [
    of(SEGMENT_MASS.headAndNeck, head),
    of(SEGMENT_MASS.trunk, between(hip, shoulder, CENTRE_OF_MASS.trunk)),
    ...limbs,
  ];
}

/** Total mass and its centre; the origin where there is no mass. */
export function together(weights: readonly Weight[]): Weight {
  let mass = 0;
  let moment: Vector = [0, 0, 0];
  for (const weight of weights) {
    mass += weight.mass;
    moment = add(moment, scale(weight.at, weight.mass));
  }
  return { mass, at: mass > 0 ? scale(moment, 1 / mass) : [0, 0, 0] };
}
