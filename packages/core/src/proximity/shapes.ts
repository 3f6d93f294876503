import type { Vector } from '../vector/vector.js';

/** A rod with round ends; a ball where both ends are one. */
export interface Rod {
  readonly as: 'rod';
  readonly from: Vector;
  readonly to: Vector;
  readonly radius: number;
}
/** A wheel with rounded shoulders: a thinner disc, swollen by `round`. */
export interface Disc {
  readonly as: 'disc';
  readonly centre: Vector;
  /** Unit vector along the axle. */
  readonly spindle: Vector;
  /** Of the thinner disc. */
  readonly radius: number;
  readonly half: number;
  readonly round: number;
}
export interface Box {
  readonly as: 'box';
  readonly centre: Vector;
  /** Unit vectors, square to each other. */
  readonly axes: readonly [Vector, Vector, Vector];
  /** Half sizes along them. */
  readonly half: Vector;
}
/** The ground below wheels that have moved: a plane, level across. */
export interface Ground {
  readonly as: 'ground';
  readonly rear: Vector;
  readonly front: Vector;
}
/** What may come near to something; mm, in the vehicle's axes. */
export type Shape = Rod | Disc | Box | Ground;

/** Square to the vehicle. */
export const UPRIGHT_AXES: Box['axes'] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

export const rodFrom = (from: Vector, to: Vector, radius: number): Rod => ({ as: 'rod', from, to, radius });
export const ballAt = (at: Vector, radius: number): Rod => rodFrom(at, at, radius);
export const boxAt = (centre: Vector, half: Vector, axes: Box['axes'] = UPRIGHT_AXES): Box => ({
  as: 'box',
  centre,
  half,
  axes,
});
