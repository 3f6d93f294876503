import { axisAtHeight } from '../../stance/steering.js';
import type { Stance } from '../../stance/stance.js';
import { add, along, mirror, turn, type Vector } from '../../vector/vector.js';
import type { Body } from '../chain.js';
import type { Linkage, LinkageSize } from '../linkage.js';
import { LEFT, STICK_LENGTH, stickStart } from './sideSticks.js';
import { handsOf, part, rod } from './twoTrack.js';

const wheelOf = (stance: Stance) => stance.steered[0]!;
const hasOne = (stance: Stance): boolean => stance.steered.length === 1;
const FORK = { front: 'fork' } as const;
const forkBody = (stance: Stance): Body => ({
  as: 'turns',
  point: wheelOf(stance).axisPoint,
  axis: wheelOf(stance).axis,
});

/** Where the steering axis comes to half the wheel's diameter and somewhat more: the crown, near enough to begin with. */
const crownHeight = (stance: Stance): number =>
  Math.round(stance.points.crown?.[2] ?? wheelOf(stance).radius * 2.1);

/** The column of bars that stand apart from the fork; undefined where the bars are on the steering axis. */
function ownColumn(stance: Stance): { readonly point: Vector; readonly up: Vector } | undefined {
  const hands = handsOf(stance);
  if (hands?.on !== 'bars' || !hands.axis) return undefined;
  const { point } = hands.axis;
  const onAxis = axisAtHeight(wheelOf(stance), point[2]);
  return Math.hypot(point[0] - onAxis[0], point[1] - onAxis[1]) > 100 ? hands.axis : undefined;
}

/** Bars on the steerer: they turn the fork as far as they are turned. */
export const BARS: Linkage = {
  id: 'bars',
  name: 'Bars on the fork',
  about: 'Bars and stem on the steerer: the fork turns as far as they do.',
  suits: (stance) =>
    hasOne(stance) && handsOf(stance)?.on !== 'sticks' && !ownColumn(stance) ? 3 : undefined,
  driver: { name: 'bars', unit: '°' },
  reach: 80,
  sizes: [],
  start: () => ({}),
  build: (stance) => ({
    chain: { driver: 'fork', bodies: { fork: forkBody(stance) }, links: [], wheels: FORK },
    points: {},
    parts: [],
  }),
};

const FORK_ARM: readonly LinkageSize[] = [
  {
    id: 'forkArm',
    name: 'Arm on the fork',
    symbol: 'fa',
    limits: [20, 300],
    searched: true,
    meaning: 'Steering axis to the rod’s ball, square to the axis, on the left.',
    feel: 'Longer steers lighter and slower.',
  },
  {
    id: 'forkArmAngle',
    name: 'Fork arm ahead of square',
    symbol: 'fq',
    quantity: 'angle',
    limits: [-80, 80],
    mayBeNone: true,
    searched: true,
    meaning: 'Arm on the fork turned forward from straight across; negative rearward.',
  },
  {
    id: 'forkArmHeight',
    name: 'Fork arm height',
    symbol: 'fh',
    limits: [50, 1500],
    meaning: 'Root of the arm on the fork above the ground.',
  },
];

/** The arm on the fork: its root on the axis, and its ball on the left. */
function forkArm(stance: Stance, sizes: Readonly<Record<string, number>>) {
  const wheel = wheelOf(stance);
  const root = axisAtHeight(wheel, sizes.forkArmHeight!);
  return { root, ball: along(root, turn(LEFT, wheel.axis, -sizes.forkArmAngle!), sizes.forkArm!) };
}

/** Front-box bicycles and long recumbents: bars on a column of their own, one long rod to the fork. */
export const PUSH_ROD: Linkage = {
  id: 'push-rod',
  name: 'One push-rod to the fork',
  about: 'Bars on a column of their own; an arm on it pushes an arm on the fork by one long rod.',
  suits: (stance) => (hasOne(stance) && ownColumn(stance) ? 4 : undefined),
  driver: { name: 'bars', unit: '°' },
  reach: 90,
  sizes: [
    {
      id: 'columnArm',
      name: 'Arm on the column',
      symbol: 'cr',
      limits: [20, 300],
      searched: true,
      meaning: 'Column’s axis to the rod’s ball, square to the axis, on the left.',
      feel: 'Longer steers quicker.',
    },
    {
      id: 'columnArmAngle',
      name: 'Column arm ahead of square',
      symbol: 'cq',
      quantity: 'angle',
      limits: [-80, 80],
      mayBeNone: true,
      searched: true,
      meaning: 'Arm on the column turned forward from straight across; negative rearward.',
    },
    {
      id: 'columnArmHeight',
      name: 'Column arm height',
      symbol: 'ch',
      limits: [50, 1500],
      meaning: 'Root of the arm on the column above the ground.',
    },
    ...FORK_ARM,
  ],
  start: (stance) => ({
    columnArm: 90,
    columnArmAngle: 0,
    columnArmHeight: 200,
    forkArm: 90,
    forkArmAngle: 0,
    forkArmHeight: crownHeight(stance),
  }),
  build: (stance, sizes) => {
    const column = ownColumn(stance)!;
    const foot = along(column.point, column.up, (sizes.columnArmHeight! - column.point[2]) / column.up[2]);
    const ball = along(foot, turn(LEFT, column.up, -sizes.columnArmAngle!), sizes.columnArm!);
    const arm = forkArm(stance, sizes);
    return {
      chain: {
        driver: 'column',
        bodies: { column: { as: 'turns', point: column.point, axis: column.up }, fork: forkBody(stance) },
        links: [rod('pushRod', 'Push-rod', ['column', ball], ['fork', arm.ball])],
        wheels: FORK,
      },
      points: {
        'steering.columnTop': { body: undefined, at: column.point },
        'steering.plate': { body: undefined, at: foot },
        'steering.columnArm': { body: 'column', at: ball },
        'steering.forkArmRoot': { body: undefined, at: arm.root },
        'steering.forkArm': { body: 'fork', at: arm.ball },
      },
      parts: [
        part('column', 'Column', 'shaft', 'steering.plate', 'steering.columnTop'),
        part('columnArm', 'Arm on the column', 'arm', 'steering.plate', 'steering.columnArm'),
        part('forkArm', 'Arm on the fork', 'arm', 'steering.forkArmRoot', 'steering.forkArm'),
        part('pushRod', 'Push-rod', 'rod', 'steering.columnArm', 'steering.forkArm'),
      ],
    };
  },
};

/** Delta trikes: a stick each side, a rod from each to a cross arm on the fork. */
export const STICKS_TO_FORK: Linkage = {
  id: 'sticks-to-fork',
  name: 'Side-sticks with rods to the fork',
  about: 'A stick each side of the seat, and a rod from each to its end of a cross arm on the fork.',
  suits: (stance) => (hasOne(stance) && handsOf(stance)?.on === 'sticks' ? 4 : undefined),
  driver: { name: 'left stick', unit: '°' },
  reach: 70,
  sizes: [
    ...FORK_ARM,
    {
      id: 'stickReach',
      name: 'Rod above stick’s pivot',
      symbol: 'sr',
      limits: [-250, 250],
      searched: true,
      meaning: 'Ball of the rod above the stick’s pivot; negative when below it.',
      feel: 'Longer steers quicker.',
    },
    STICK_LENGTH,
  ],
  start: (stance) => {
    const hands = handsOf(stance);
    const stickLength = hands?.on === 'sticks' ? stickStart(hands.left, hands.pivot) : 200;
    return { forkArm: 110, forkArmAngle: 0, forkArmHeight: crownHeight(stance), stickReach: 90, stickLength };
  },
  build: (stance, sizes) => {
    const hands = handsOf(stance);
    if (hands?.on !== 'sticks') throw new RangeError('There are no sticks.');
    const pivot = add(hands.left, [0, 0, -sizes.stickLength!]);
    const ball = add(pivot, [0, 0, sizes.stickReach!]);
    const { root, ball: left } = forkArm(stance, sizes);
    const right = mirror(left);
    return {
      chain: {
        driver: 'stickLeft',
        bodies: {
          stickLeft: { as: 'turns', point: pivot, axis: mirror(LEFT) },
          stickRight: { as: 'turns', point: mirror(pivot), axis: LEFT },
          fork: forkBody(stance),
        },
        links: [
          rod('stickRodLeft', 'Left stick’s rod', ['stickLeft', ball], ['fork', left]),
          rod('stickRodRight', 'Right stick’s rod', ['fork', right], ['stickRight', mirror(ball)]),
        ],
        wheels: FORK,
      },
      points: {
        'steering.stickLeft': { body: 'stickLeft', at: hands.left },
        'steering.stickRight': { body: 'stickRight', at: mirror(hands.left) },
        'steering.stickPivotLeft': { body: undefined, at: pivot },
        'steering.stickPivotRight': { body: undefined, at: mirror(pivot) },
        'steering.stickRodLeft': { body: 'stickLeft', at: ball },
        'steering.stickRodRight': { body: 'stickRight', at: mirror(ball) },
        'steering.forkArmRoot': { body: undefined, at: root },
        'steering.forkArmLeft': { body: 'fork', at: left },
        'steering.forkArmRight': { body: 'fork', at: right },
      },
      parts: [
        part('stickLeft', 'Left stick', 'shaft', 'steering.stickPivotLeft', 'steering.stickLeft'),
        part('stickRight', 'Right stick', 'shaft', 'steering.stickPivotRight', 'steering.stickRight'),
        part('forkArmLeft', 'Fork arm, left', 'arm', 'steering.forkArmRoot', 'steering.forkArmLeft'),
        part('forkArmRight', 'Fork arm, right', 'arm', 'steering.forkArmRoot', 'steering.forkArmRight'),
        part('stickRodLeft', 'Left stick’s rod', 'rod', 'steering.stickRodLeft', 'steering.forkArmLeft'),
        part('stickRodRight', 'Right stick’s rod', 'rod', 'steering.stickRodRight', 'steering.forkArmRight'),
      ],
    };
  },
};
