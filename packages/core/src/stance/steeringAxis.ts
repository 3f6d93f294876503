import { toRadians } from '../units/angle.js';
import type { Vector } from '../vector/vector.js';
import type { Place } from './dimension.js';
import { axleFoot, trail } from './singleTrack.js';
import type { ClampState, ForkState, SteeredState } from './states.js';

/** The two lengths that say where the wheel hangs on the steering axis; each front end comes by them in its own way. */
export interface Hung {
  /** Axle ahead of the axis, square to it. */
  readonly offset: number;
  /** Seat of the lower bearing above the axle's foot, along the axis. */
  readonly crownAboveFoot: number;
}

/** Unit vector up the steering axis. */
export function axisUp(headAngle: number): Vector {
  const angle = toRadians(headAngle);
  return [-Math.cos(angle), 0, Math.sin(angle)];
}

/** Distances up the steering axis from where it meets the ground. */
export function axisStations(s: SteeredState, { offset, crownAboveFoot }: Hung) {
  const foot = axleFoot(s.frontRadius, s.headAngle, offset);
  const crown = foot + crownAboveFoot;
  const lower = crown + s.lowerStack;
  return { foot, crown, lower, upper: lower + s.headTubeLength };
}

/** Point on the steering axis at a distance up from the ground. */
export function onAxis(s: SteeredState, { offset }: Pick<Hung, 'offset'>, distance: number): Place {
  const up = axisUp(s.headAngle);
  return {
    x: s.wheelbase + trail(s.frontRadius, s.headAngle, offset) + distance * up[0],
    z: distance * up[2],
  };
}

export const headTubeTop = (s: SteeredState, hung: Hung): Place =>
  onAxis(s, hung, axisStations(s, hung).upper);

export const forkOf = (s: ForkState): Hung => ({ offset: s.forkOffset, crownAboveFoot: s.crownAboveFoot });

export const clampFork = (s: ClampState): Hung => ({
  offset: s.clampOffset + s.forkLength * Math.sin(toRadians(s.clampTilt)) + s.axleLead,
  crownAboveFoot: s.forkLength * Math.cos(toRadians(s.clampTilt)),
});
