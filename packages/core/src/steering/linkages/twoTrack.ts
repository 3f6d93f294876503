import { add, along, mirror, squareTo, turn, unit, type Vector } from '../../vector/vector.js';
import { armAimedAtRearAxle } from '../ackermann.js';
import { axisAtHeight } from '../../stance/steering.js';
import type { SteeredWheel } from '../../stance/dimension.js';
import type { Stance } from '../../stance/stance.js';
import type { Body, Link } from '../chain.js';
import type { Built, LinkagePart, LinkageSize, Sizes } from '../linkage.js';

/** What all linkages of two steered wheels share: an arm on each kingpin. */
export const ARM_SIZES: readonly LinkageSize[] = [
  {
    id: 'armLength',
    name: 'Steering arm',
    symbol: 'a',
    limits: [-400, 400],
    searched: true,
    meaning:
      'Kingpin axis to the rod’s ball, square to the axis; negative where the arm points ahead of the axle.',
    feel: 'Longer steers lighter and slower, and takes more room.',
  },
  {
    id: 'armAngle',
    name: 'Arm inward',
    symbol: 'q',
    quantity: 'angle',
    limits: [-60, 80],
    mayBeNone: true,
    searched: true,
    meaning:
      'Steering arm turned inward from straight back; of an arm that points ahead, outward from straight ahead.',
    feel: 'More of it turns the inside wheel further than the outside one.',
  },
  {
    id: 'armHeight',
    name: 'Arm above spindle',
    symbol: 'ah',
    limits: [-300, 400],
    searched: true,
    bumps: true,
    mayBeNone: true,
    meaning: 'Arm above the spindle, along the kingpin; negative when below.',
  },
];

export const hasTwo = (stance: Stance): boolean => stance.steered.length === 2;
export const leftOf = (stance: Stance): SteeredWheel => stance.steered[0]!;
export const handsOf = (stance: Stance) => stance.places[0]?.hands;

/** Half the distance between the steering axes at axle height; mm. */
export const halfPins = (stance: Stance): number =>
  Math.abs(axisAtHeight(leftOf(stance), leftOf(stance).centre[2])[1]);

/** An arm as long as its builders make it, aimed by the starting rule; sized by the distance between the kingpins. */
export function armStart(stance: Stance, ahead = false): Sizes {
  const long = Math.round(Math.min(110, Math.max(55, halfPins(stance) * 0.2)));
  return {
    armLength: ahead ? -long : long,
    armAngle: Math.round(armAimedAtRearAxle(2 * halfPins(stance), stance.values.wheelbase!) * 10) / 10,
    armHeight: 0,
  };
}

export const KNUCKLES = { frontLeft: 'left', frontRight: 'right' } as const;

/** Both wheels on their kingpins, each with its arm. */
export function knuckles(stance: Stance, sizes: Sizes) {
  const { axisPoint: point, axis } = leftOf(stance);
  const root = along(point, axis, sizes.armHeight!);
  const back = unit(squareTo([-1, 0, 0], axis));
  const end = along(root, turn(back, axis, sizes.armAngle!), sizes.armLength!);
  const left: Body = { as: 'turns', point, axis };
  const right: Body = { as: 'turns', point: mirror(point), axis: mirror(axis) };
  return {
    bodies: { left, right },
    end,
    points: {
      'steering.armRootLeft': { body: 'left', at: root },
      'steering.armRootRight': { body: 'right', at: mirror(root) },
      'steering.armLeft': { body: 'left', at: end },
      'steering.armRight': { body: 'right', at: mirror(end) },
    } satisfies Built['points'],
    parts: [
      part('armLeft', 'Left steering arm', 'arm', 'steering.armRootLeft', 'steering.armLeft'),
      part('armRight', 'Right steering arm', 'arm', 'steering.armRootRight', 'steering.armRight'),
    ],
  };
}

export const part = (
  id: string,
  name: string,
  as: LinkagePart['as'],
  from: string,
  to: string,
): LinkagePart => ({ id, name, as, from, to });

export const rod = (
  id: string,
  name: string,
  from: readonly [body: string, at: Vector],
  to: readonly [body: string, at: Vector],
): Extract<Link, { as: 'rod' }> => ({
  as: 'rod',
  id,
  name,
  from: { body: from[0], at: from[1] },
  to: { body: to[0], at: to[1] },
});

/** The rod that joins both arms, moved by the left one. */
export const trackRod = (left: Vector) =>
  rod('trackRod', 'Track rod', ['left', left], ['right', mirror(left)]);

/** Two holes in a plate on a shaft: so far from its axis, upward or ahead, and so far apart; the left one. */
export function holeOn(centre: Vector, axis: Vector, reach: number, spread: number): Vector {
  const up = squareTo([0, 0, 1], axis);
  const out = unit(Math.hypot(...up) > 0.2 ? up : squareTo([1, 0, 0], axis));
  return add(along(centre, out, reach), [0, spread / 2, 0]);
}

/** Both rods from a plate on a shaft to the arms. */
export function twoRods(hole: Vector, end: Vector) {
  return [
    rod('rodLeft', 'Left rod', ['column', hole], ['left', end]),
    rod('rodRight', 'Right rod', ['column', mirror(hole)], ['right', mirror(end)]),
  ] as const;
}

/** The two holes as points, and both rods and sides of the plate as parts; the plate stands at a named point. */
export function plateAndRods(at: string, side: string, hole: Vector) {
  return {
    points: {
      'steering.plateLeft': { body: 'column', at: hole },
      'steering.plateRight': { body: 'column', at: mirror(hole) },
    } satisfies Built['points'],
    parts: [
      part('plateLeft', `${side}, left`, 'arm', at, 'steering.plateLeft'),
      part('plateRight', `${side}, right`, 'arm', at, 'steering.plateRight'),
      part('rodLeft', 'Left rod', 'rod', 'steering.plateLeft', 'steering.armLeft'),
      part('rodRight', 'Right rod', 'rod', 'steering.plateRight', 'steering.armRight'),
    ],
  };
}
