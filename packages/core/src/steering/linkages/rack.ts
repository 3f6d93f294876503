import { mirror, type Vector } from '../../vector/vector.js';
import type { Linkage } from '../linkage.js';
import { columnOf } from './column.js';
import { ARM_SIZES, armStart, hasTwo, halfPins, KNUCKLES, knuckles, leftOf, part, rod } from './twoTrack.js';

/** Pinion from the nearer of the rack's balls, at the least; mm. Common practice, no source. */
const HOUSING = 60;

/** A rack across the vehicle that a pinion slides, a rod from each end to its arm. */
export const RACK: Linkage = {
  id: 'rack',
  name: 'Rack and pinion',
  about:
    'A rack across the vehicle, moved by a pinion on the column; a rod from each end to its steering arm.',
  suits: (stance) => (hasTwo(stance) && columnOf(stance) ? (stance.postures ? 4 : 2) : undefined),
  driver: { name: 'steering wheel', unit: '°' },
  reach: 900,
  sizes: [
    ...ARM_SIZES,
    {
      id: 'rackAhead',
      name: 'Rack ahead of front axle',
      symbol: 'ka',
      limits: [-400, 400],
      mayBeNone: true,
      searched: true,
      meaning: 'Line of the rack’s two ends ahead of the front axle; negative when behind it.',
    },
    {
      id: 'rackHeight',
      name: 'Rack height',
      symbol: 'kh',
      limits: [20, 1200],
      searched: true,
      bumps: true,
      meaning: 'Line of the rack’s two ends above the ground.',
      feel: 'Level with the arms’ rods, bumps steer least.',
    },
    {
      id: 'rackWidth',
      name: 'Rack, ball to ball',
      symbol: 'kw',
      limits: [50, 1500],
      searched: true,
      meaning: 'Middle of one of the rack’s balls to the middle of the other.',
    },
    {
      id: 'rackPerTurn',
      name: 'Rack travel a turn',
      symbol: 'kt',
      limits: [10, 300],
      meaning: 'How far the rack slides in one whole turn of the steering wheel.',
      feel: 'More steers quicker.',
    },
  ],
  start: (stance) => {
    const arm = armStart(stance);
    return {
      ...arm,
      rackAhead: -Math.round(arm.armLength!),
      rackHeight: Math.round(leftOf(stance).axisPoint[2]),
      rackWidth: Math.round(halfPins(stance) * 0.6),
      rackPerTurn: 90,
    };
  },
  build: (stance, sizes) => {
    const column = columnOf(stance)!;
    const { bodies, end, points, parts } = knuckles(stance, sizes);
    const ball: Vector = [
      stance.values.wheelbase! + sizes.rackAhead!,
      sizes.rackWidth! / 2,
      sizes.rackHeight!,
    ];
    // The pinion sits where the column comes to the rack, as near as its housing lets it.
    const reach = Math.max(0, ball[1] - HOUSING);
    const pinion: Vector = [ball[0], Math.max(-reach, Math.min(reach, column.foot[1])), ball[2]];
    return {
      chain: {
        driver: 'column',
        bodies: {
          column: { as: 'turns', point: column.foot, axis: column.up },
          // It is put in so that it steers the way the wheel is turned.
          rack: { as: 'slides', axis: [0, sizes.armLength! > 0 ? -1 : 1, 0] },
          ...bodies,
        },
        links: [
          { as: 'pinion', from: 'column', to: 'rack', perTurn: sizes.rackPerTurn! },
          rod('rodLeft', 'Left rod', ['rack', ball], ['left', end]),
          rod('rodRight', 'Right rod', ['rack', mirror(ball)], ['right', mirror(end)]),
        ],
        wheels: KNUCKLES,
      },
      points: {
        ...points,
        'steering.columnTop': { body: undefined, at: column.top },
        'steering.pinion': { body: undefined, at: pinion },
        'steering.rackLeft': { body: 'rack', at: ball },
        'steering.rackRight': { body: 'rack', at: mirror(ball) },
      },
      parts: [
        ...parts,
        part('column', 'Column', 'shaft', 'steering.pinion', 'steering.columnTop'),
        part('rack', 'Rack', 'arm', 'steering.rackLeft', 'steering.rackRight'),
        part('rodLeft', 'Left rod', 'rod', 'steering.rackLeft', 'steering.armLeft'),
        part('rodRight', 'Right rod', 'rod', 'steering.rackRight', 'steering.armRight'),
      ],
    };
  },
};
