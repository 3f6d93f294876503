import { add, along, mirror, squareTo, unit, type Vector } from '../../vector/vector.js';
import type { Linkage, LinkageSize } from '../linkage.js';
import {
  ARM_SIZES,
  armStart,
  handsOf,
  hasTwo,
  KNUCKLES,
  knuckles,
  leftOf,
  part,
  rod,
  trackRod,
} from './twoTrack.js';

/** Across the vehicle: a stick turns about it; drawn back at the top it turns to the left. */
export const LEFT: Vector = [0, 1, 0];

export const STICK_LENGTH: LinkageSize = {
  id: 'stickLength',
  name: 'Grip above stick’s pivot',
  symbol: 'sl',
  limits: [60, 600],
  meaning: 'Middle of the grip above the line that the stick turns about.',
  feel: 'Longer is lighter and takes more room for the hands.',
};
/** A stick's pivot is seldom nearer to the ground, nor farther from the grip, mm. Common practice, no source. */
const PIVOT_OFF_GROUND = 150;
export const stickStart = (grip: Vector, pivot: number): number =>
  Math.round(Math.max(100, Math.min(pivot, grip[2] - PIVOT_OFF_GROUND)));

/** Trikes: a stick each side, each with a rod to its wheel; a track rod joins the wheels. */
export const SIDE_STICKS: Linkage = {
  id: 'side-sticks',
  name: 'Side-sticks with rods, and a track rod',
  about: 'A stick each side moves a second arm on its kingpin by a rod; a track rod joins the steering arms.',
  suits: (stance) => (hasTwo(stance) && handsOf(stance)?.on === 'sticks' ? 4 : undefined),
  driver: { name: 'left stick', unit: '°' },
  reach: 70,
  sizes: [
    ...ARM_SIZES,
    {
      id: 'sideArm',
      name: 'Stick’s arm on the kingpin',
      symbol: 'si',
      limits: [-250, 250],
      searched: true,
      meaning: 'Kingpin axis to the ball of the stick’s rod, square out inward; negative when outward.',
    },
    {
      id: 'stickReach',
      name: 'Rod below stick’s pivot',
      symbol: 'sr',
      limits: [-250, 250],
      searched: true,
      meaning: 'Ball of the stick’s rod below the stick’s pivot; negative when above it.',
      feel: 'Longer steers quicker.',
    },
    STICK_LENGTH,
  ],
  start: (stance) => {
    const hands = handsOf(stance);
    const stickLength = hands?.on === 'sticks' ? stickStart(hands.left, hands.pivot) : 200;
    return { ...armStart(stance), sideArm: 70, stickReach: 80, stickLength };
  },
  build: (stance, sizes) => {
    const hands = handsOf(stance);
    if (hands?.on !== 'sticks') throw new RangeError('There are no sticks.');
    const { bodies, end, points, parts } = knuckles(stance, sizes);
    const { axisPoint, axis } = leftOf(stance);
    const inward = unit(squareTo([0, -1, 0], axis));
    const ball = along(along(axisPoint, axis, sizes.armHeight!), inward, sizes.sideArm!);
    const pivot = add(hands.left, [0, 0, -sizes.stickLength!]);
    const low = add(pivot, [0, 0, -sizes.stickReach!]);
    return {
      chain: {
        driver: 'stickLeft',
        bodies: {
          // Drawn back at the top: right-handed about an axis to the right.
          stickLeft: { as: 'turns', point: pivot, axis: [0, -1, 0] },
          stickRight: { as: 'turns', point: mirror(pivot), axis: LEFT },
          ...bodies,
        },
        links: [
          rod('stickRodLeft', 'Left stick’s rod', ['stickLeft', low], ['left', ball]),
          trackRod(end),
          rod('stickRodRight', 'Right stick’s rod', ['right', mirror(ball)], ['stickRight', mirror(low)]),
        ],
        wheels: KNUCKLES,
      },
      points: {
        ...points,
        'steering.stickLeft': { body: 'stickLeft', at: hands.left },
        'steering.stickRight': { body: 'stickRight', at: mirror(hands.left) },
        'steering.stickPivotLeft': { body: undefined, at: pivot },
        'steering.stickPivotRight': { body: undefined, at: mirror(pivot) },
        'steering.stickRodLeft': { body: 'stickLeft', at: low },
        'steering.stickRodRight': { body: 'stickRight', at: mirror(low) },
        'steering.sideArmLeft': { body: 'left', at: ball },
        'steering.sideArmRight': { body: 'right', at: mirror(ball) },
      },
      parts: [
        ...parts,
        part('sideArmLeft', 'Left stick’s arm', 'arm', 'steering.armRootLeft', 'steering.sideArmLeft'),
        part('sideArmRight', 'Right stick’s arm', 'arm', 'steering.armRootRight', 'steering.sideArmRight'),
        part('stickLeft', 'Left stick', 'shaft', 'steering.stickRodLeft', 'steering.stickLeft'),
        part('stickRight', 'Right stick', 'shaft', 'steering.stickRodRight', 'steering.stickRight'),
        part('stickRodLeft', 'Left stick’s rod', 'rod', 'steering.stickRodLeft', 'steering.sideArmLeft'),
        part('stickRodRight', 'Right stick’s rod', 'rod', 'steering.stickRodRight', 'steering.sideArmRight'),
        part('trackRod', 'Track rod', 'rod', 'steering.armLeft', 'steering.armRight'),
      ],
    };
  },
};
