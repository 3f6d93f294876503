import { along, type Vector } from '../../vector/vector.js';
import type { Linkage } from '../linkage.js';
import {
  ARM_SIZES,
  armStart,
  handsOf,
  hasTwo,
  holeOn,
  KNUCKLES,
  knuckles,
  leftOf,
  part,
  plateAndRods,
  twoRods,
} from './twoTrack.js';

const UP: Vector = [0, 0, 1];

/** Trikes: a bar that turns on an upright pivot under the seat, a rod from it to each arm. */
export const UNDER_SEAT_BAR: Linkage = {
  id: 'under-seat-bar',
  name: 'Under-seat bar and two rods',
  about: 'A bar on an upright pivot in the middle, with two holes and a rod from each to its steering arm.',
  suits: (stance) => (hasTwo(stance) && handsOf(stance)?.on === 'sticks' ? 3 : undefined),
  driver: { name: 'bar', unit: '°' },
  reach: 80,
  sizes: [
    ...ARM_SIZES,
    {
      id: 'pivotAhead',
      name: 'Pivot ahead of front axle',
      symbol: 'va',
      limits: [-800, 400],
      mayBeNone: true,
      searched: true,
      meaning: 'The bar’s pivot ahead of the front axle; negative when behind it.',
    },
    {
      id: 'pivotHeight',
      name: 'Rods’ height at the bar',
      symbol: 'vh',
      limits: [20, 800],
      meaning: 'The bar’s two holes above the ground.',
    },
    {
      id: 'holeAhead',
      name: 'Holes ahead of pivot',
      symbol: 'ha',
      limits: [-200, 200],
      searched: true,
      meaning: 'Line of the two holes ahead of the bar’s pivot; negative when behind it.',
      feel: 'Further from the pivot steers quicker.',
    },
    {
      id: 'holeSpread',
      name: 'Holes apart',
      symbol: 'hs',
      limits: [0, 300],
      mayBeNone: true,
      searched: true,
      meaning: 'Middle of one hole in the bar to the middle of the other.',
    },
  ],
  start: (stance) => {
    const { axisPoint } = leftOf(stance);
    return {
      ...armStart(stance),
      pivotAhead: -Math.round(armStart(stance).armLength! * 0.4),
      pivotHeight: Math.round(axisPoint[2]),
      holeAhead: -50,
      holeSpread: 60,
    };
  },
  build: (stance, sizes) => {
    const { bodies, end, points, parts } = knuckles(stance, sizes);
    const pivot: Vector = [stance.values.wheelbase! + sizes.pivotAhead!, 0, sizes.pivotHeight!];
    const hole = holeOn(pivot, UP, sizes.holeAhead!, sizes.holeSpread!);
    const held = plateAndRods('steering.pivot', 'Bar', hole);
    return {
      chain: {
        driver: 'column',
        bodies: { column: { as: 'turns', point: pivot, axis: UP }, ...bodies },
        links: twoRods(hole, end),
        wheels: KNUCKLES,
      },
      points: {
        ...points,
        'steering.pivot': { body: undefined, at: pivot },
        'steering.pivotTop': { body: undefined, at: along(pivot, UP, 60) },
        ...held.points,
      },
      parts: [
        ...parts,
        part('pivot', 'Pivot', 'shaft', 'steering.pivot', 'steering.pivotTop'),
        ...held.parts,
      ],
    };
  },
};
