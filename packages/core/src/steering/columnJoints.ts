import type { Limits, Made } from '@larchwood/format';
import type { RiderPlace } from '../rider/place.js';
import { toDegrees } from '../units/angle.js';
import { distance, dot, subtract, unit, type Vector } from '../vector/vector.js';
import { jointRatio, throughJoint } from './ackermann.js';
import type { Built, Linkage, Sizes } from './linkage.js';

/** A universal joint runs rough above this between its shafts, and is not built for more; degrees. Common practice, no source. */
export const STEEP = { look: 30, stop: 45 } as const;
/** A shaft that leans off its own line by less needs no joint, degrees. Common practice, no source. */
const STRAIGHT = 3;

/** Limits of what a column's joints are sized by: a count, and degrees. */
export const JOINT_LIMITS = {
  joints: [0, 2],
  bend: [0, 60],
  phase: [-90, 90],
  yoke: [-90, 90],
} as const satisfies Readonly<Record<string, Limits>>;

/** The first yoke's ears across the plane of the bend: the lower end turns slowest about straight ahead, and alike to both sides. */
export const YOKE_ACROSS = 90;

/** Column from the hands to its lower end; mm. None where the hands are on something else. */
export function columnEnds({ points }: Built): readonly [top: Vector, foot: Vector] | undefined {
  const [top, foot] = [points['steering.columnTop'], points['steering.plate'] ?? points['steering.pinion']];
  return top && foot && distance(top.at, foot.at) > 1 ? [top.at, foot.at] : undefined;
}

/**
 * Riders with their steering wheel's column as far down as the linkage takes it; as the stance has it where no linkage is
 * begun, or where that was sized for a wheel elsewhere.
 */
export function withColumns(
  places: readonly RiderPlace[],
  steering: { readonly own: boolean; readonly built: Built } | undefined,
): readonly RiderPlace[] {
  const ends = steering?.own ? columnEnds(steering.built) : undefined;
  const [driver] = places;
  if (!ends || driver?.hands.on !== 'wheel' || distance(ends[0], driver.hands.centre) > 1) return places;
  return [{ ...driver, hands: { ...driver.hands, columnFoot: ends[1] } }, ...places.slice(1)];
}

/** A column from the ground, degrees. */
export const leanOf = ([top, foot]: readonly [top: Vector, foot: Vector]): number =>
  toDegrees(Math.atan2(top[2] - foot[2], Math.abs(top[0] - foot[0])));

/** Between the line that the hands turn about and the line to the lower end, degrees. */
function bendNeeded(built: Built): number {
  const ends = columnEnds(built);
  const body = built.chain.bodies[built.chain.driver];
  if (!ends || body?.as !== 'turns') return 0;
  const cosine = Math.abs(dot(unit(subtract(ends[0], ends[1])), body.axis));
  return toDegrees(Math.acos(Math.min(1, cosine)));
}

/** Joints that a column needs to come from the hands to its lower end: how many, and the bend at each; degrees. */
export function jointsNeeded(built: Built): { readonly joints: number; readonly bend: number } {
  const bend = bendNeeded(built);
  const joints = bend < STRAIGHT ? 0 : bend <= STEEP.look ? 1 : 2;
  return { joints, bend: joints === 0 ? 0 : Math.round(bend / joints) };
}

/** How far the second joint's driving yoke is turned, for the first one's driven angle; degrees. */
const onSecond = (first: number, { phase }: Sizes): number =>
  // The middle shaft's yokes lie in one plane: where the driven one lies in the bend, so does the second joint's driving one.
  first + 90 + phase!;

/**
 * How far a column's lower end turns with the hands, none for none: through none, one or two universal joints.
 * @param sizes joints, their bend, the yokes out of phase, and how far the ears of the first yoke are turned out of the plane of the bend straight ahead; degrees
 * @returns the lower end's turn for the hands', degrees
 */
export function throughColumn(sizes: Sizes): (hands: number) => number {
  const { bend, yoke } = sizes;
  const count = Math.round(sizes.joints!);
  if (count === 0) return (hands) => hands;
  const whole = (angle: number): number => {
    const first = throughJoint(angle + yoke! - 90, bend!);
    return count === 1 ? first : throughJoint(onSecond(first, sizes), bend!);
  };
  const straight = whole(0);
  return (hands) => whole(hands) - straight;
}

/** How unevenly the lower end turns: fastest and slowest against the hands, and the most that it is ahead or behind; degrees. */
export function unevenness(sizes: Sizes): {
  readonly least: number;
  readonly most: number;
  readonly error: number;
} {
  const count = Math.round(sizes.joints!);
  if (count === 0) return { least: 1, most: 1, error: 0 };
  const turned = throughColumn({ ...sizes, yoke: YOKE_ACROSS });
  let [least, most, error] = [Infinity, 0, 0];
  for (let angle = 0; angle <= 360; angle += 1) {
    const ratio = jointRatio(angle, sizes.bend!);
    const second = onSecond(throughJoint(angle, sizes.bend!), sizes);
    const whole = count === 1 ? ratio : ratio * jointRatio(second, sizes.bend!);
    [least, most, error] = [
      Math.min(least, whole),
      Math.max(most, whole),
      Math.max(error, Math.abs(turned(angle) - angle)),
    ];
  }
  return { least, most, error };
}

/** Those of a column's sizes that its joints have, within their limits: a file may hold any. */
const jointSizes = (sizes: Sizes): Readonly<Record<keyof typeof JOINT_LIMITS, number>> => {
  const of = (id: keyof typeof JOINT_LIMITS) => {
    const [low, high] = JOINT_LIMITS[id];
    return Math.min(high, Math.max(low, sizes[id]!));
  };
  return { joints: of('joints'), bend: of('bend'), phase: of('phase'), yoke: of('yoke') };
};

/** The body that the hands turn, above the joints of a column. */
const HANDS = 'hands';

/**
 * A linkage whose column has universal joints: the hands turn above them, and the rest by what the joints make of it. The
 * linkage itself where the build makes no column, or one without joints.
 * @param made parts that the build makes
 */
export function withColumnJoints(linkage: Linkage, made: readonly Made[]): Linkage {
  const column = made.find(({ what }) => what === 'column');
  if (!column) return linkage;
  return {
    ...linkage,
    build: (stance, sizes) => {
      const built = linkage.build(stance, sizes);
      const { chain } = built;
      const driver = chain.bodies[chain.driver]!;
      const joints = jointSizes({ ...jointsNeeded(built), phase: 0, yoke: YOKE_ACROSS, ...column.sizes });
      if (driver.as !== 'turns' || !columnEnds(built) || Math.round(joints.joints) === 0) return built;
      return {
        ...built,
        chain: {
          ...chain,
          driver: HANDS,
          bodies: { [HANDS]: driver, ...chain.bodies },
          links: [
            { as: 'shaft', from: HANDS, to: chain.driver, turned: throughColumn(joints) },
            ...chain.links,
          ],
        },
      };
    },
  };
}
