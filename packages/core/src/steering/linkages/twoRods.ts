import type { Linkage } from '../linkage.js';
import { besideArms, columnOf, onColumn, PLATE_UP, pointsAhead } from './column.js';
import {
  ARM_SIZES,
  armStart,
  hasTwo,
  holeOn,
  KNUCKLES,
  knuckles,
  leftOf,
  part,
  plateAndRods,
  twoRods,
} from './twoTrack.js';

/** Karts: a plate on the column's foot, a rod from it to each arm. */
export const TWO_RODS: Linkage = {
  id: 'two-rods',
  name: 'Two rods to a plate on the column',
  about: 'A plate on the column’s foot with two holes, and a rod from each to its steering arm.',
  // Beside the middle the two rods would be of two lengths, and steer each side another way.
  suits: (stance) =>
    hasTwo(stance) && columnOf(stance)?.foot[1] === 0 ? (stance.postures ? 2 : 4) : undefined,
  driver: { name: 'steering wheel', unit: '°' },
  reach: 150,
  sizes: [
    ...ARM_SIZES,
    {
      id: 'plateReach',
      name: 'Holes from column',
      symbol: 'pr',
      limits: [-200, 200],
      searched: true,
      meaning:
        'Line of the two holes from the column’s axis, in the plate: up; negative when below the column.',
      feel: 'Further from the column steers quicker.',
    },
    {
      id: 'plateSpread',
      name: 'Holes apart',
      symbol: 'ps',
      limits: [0, 300],
      mayBeNone: true,
      searched: true,
      meaning:
        'Middle of one hole in the plate to the middle of the other; none for one bolt through both rods.',
    },
    PLATE_UP,
  ],
  start: (stance) => {
    const column = columnOf(stance)!;
    const { axisPoint } = leftOf(stance);
    const arm = armStart(stance, pointsAhead(column, axisPoint));
    const ahead = arm.armLength! < 0;
    const plateUp = besideArms(column, axisPoint[0] - arm.armLength!);
    return { ...arm, plateReach: ahead ? 60 : -60, plateSpread: ahead ? 20 : 50, plateUp };
  },
  build: (stance, sizes) => {
    const column = columnOf(stance)!;
    const { bodies, end, points, parts } = knuckles(stance, sizes);
    const plate = onColumn(column, sizes.plateUp!);
    const hole = holeOn(plate, column.up, sizes.plateReach!, sizes.plateSpread!);
    const held = plateAndRods('steering.plate', 'Plate', hole);
    return {
      chain: {
        driver: 'column',
        bodies: { column: { as: 'turns', point: column.foot, axis: column.up }, ...bodies },
        links: twoRods(hole, end),
        wheels: KNUCKLES,
      },
      points: {
        ...points,
        'steering.columnTop': { body: undefined, at: column.top },
        'steering.plate': { body: undefined, at: plate },
        ...held.points,
      },
      parts: [
        ...parts,
        part('column', 'Column', 'shaft', 'steering.plate', 'steering.columnTop'),
        ...held.parts,
      ],
    };
  },
};
