import { axleFoot, crownAboveFoot, trail } from '../singleTrack.js';
import type { State } from '../dimension.js';
import { toRadians } from '../../units/angle.js';
import type { Vector } from '../../vector/vector.js';

/** The numbers that fix a bicycle's side view. Lengths mm, angles degrees. */
export const BICYCLE_STATE = [
  'rearRadius',
  'frontRadius',
  'headAngle',
  'forkOffset',
  'axleToCrown',
  'lowerStack',
  'headTubeLength',
  'chainstayLength',
  'bottomBracketDrop',
  'seatTubeAngle',
  'seatTubeLength',
  'wheelbase',
  'crankLength',
  'toeAllowance',
] as const;
export type BicycleState = Readonly<Record<(typeof BICYCLE_STATE)[number], number>>;

/** Half the distance between the middles of the two shoes. Common practice, no source. */
export const SHOE_MIDDLE = 120;

/** The state read as a bicycle's; the solver hands over plain records with every entry filled. */
export const asBicycle = (state: State): BicycleState => state as BicycleState;

export const frontTrail = (b: BicycleState): number => trail(b.frontRadius, b.headAngle, b.forkOffset);

/** BB from the rear axle: x = sqrt(CS^2 - drop^2), z = Rr - drop. */
export function bottomBracket(b: BicycleState): { x: number; z: number } {
  return {
    x: Math.sqrt(b.chainstayLength ** 2 - b.bottomBracketDrop ** 2),
    z: b.rearRadius - b.bottomBracketDrop,
  };
}

/** Point on the steering axis at a distance up from where it meets the ground. */
export function onSteeringAxis(b: BicycleState, distance: number): { x: number; z: number } {
  const angle = toRadians(b.headAngle);
  return { x: b.wheelbase + frontTrail(b) - distance * Math.cos(angle), z: distance * Math.sin(angle) };
}

/** Distances up the steering axis from its ground point. */
export function axisStations(b: BicycleState): { foot: number; crown: number; lower: number; upper: number } {
  const foot = axleFoot(b.frontRadius, b.headAngle, b.forkOffset);
  const crown = foot + crownAboveFoot(b.axleToCrown, b.forkOffset);
  const lower = crown + b.lowerStack;
  return { foot, crown, lower, upper: lower + b.headTubeLength };
}

export function seatTubeTop(b: BicycleState): { x: number; z: number } {
  const angle = toRadians(b.seatTubeAngle);
  const foot = bottomBracket(b);
  return { x: foot.x - b.seatTubeLength * Math.cos(angle), z: foot.z + b.seatTubeLength * Math.sin(angle) };
}

/** Horizontal and vertical from the BB to the top centre of the head tube. */
export function reachAndStack(b: BicycleState): { reach: number; stack: number } {
  const top = onSteeringAxis(b, axisStations(b).upper);
  const foot = bottomBracket(b);
  return { reach: top.x - foot.x, stack: top.z - foot.z };
}

export function bicyclePoints(b: BicycleState): Readonly<Record<string, Vector>> {
  const { foot, crown, lower, upper } = axisStations(b);
  const point = ({ x, z }: { x: number; z: number }): Vector => [x, 0, z];
  return {
    rearAxle: [0, 0, b.rearRadius],
    frontAxle: [b.wheelbase, 0, b.frontRadius],
    rearContact: [0, 0, 0],
    frontContact: [b.wheelbase, 0, 0],
    axisGround: point(onSteeringAxis(b, 0)),
    axleFoot: point(onSteeringAxis(b, foot)),
    crown: point(onSteeringAxis(b, crown)),
    headTubeLower: point(onSteeringAxis(b, lower)),
    headTubeUpper: point(onSteeringAxis(b, upper)),
    bottomBracket: point(bottomBracket(b)),
    seatTubeTop: point(seatTubeTop(b)),
  };
}
