import type { Linkage } from '../linkage.js';
import { along, squareTo, turn, unit } from '../../vector/vector.js';
import { besideArms, columnOf, onColumn, PLATE_UP, pointsAhead } from './column.js';
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
  rod,
  trackRod,
} from './twoTrack.js';

const ROD_PART = part('trackRod', 'Track rod', 'rod', 'steering.armLeft', 'steering.armRight');

/** Trikes with bars on the kingpins: the arms are joined by one rod. */
export const TRACK_ROD: Linkage = {
  id: 'track-rod',
  name: 'Bars on the kingpins, one track rod',
  about: 'A bar on each kingpin; one rod joins the two steering arms.',
  suits: (stance) => (hasTwo(stance) ? (handsOf(stance)?.on === 'wheel' ? 0 : 2) : undefined),
  driver: { name: 'left bar', unit: '°' },
  reach: 75,
  sizes: ARM_SIZES,
  start: (stance) => armStart(stance),
  build: (stance, sizes) => {
    const { bodies, end, points, parts } = knuckles(stance, sizes);
    return {
      chain: { driver: 'left', bodies, links: [trackRod(end)], wheels: KNUCKLES },
      points,
      parts: [...parts, ROD_PART],
    };
  },
};

/** A drop arm on the column moves the left arm by a drag link; a track rod joins the two. */
export const DRAG_LINK: Linkage = {
  id: 'drag-link',
  name: 'Drag link and track rod',
  about: 'One arm on the column moves the left wheel by a drag link; a track rod takes the right one along.',
  suits: (stance) => (hasTwo(stance) && columnOf(stance) ? 1 : undefined),
  driver: { name: 'steering wheel', unit: '°' },
  reach: 150,
  sizes: [
    ...ARM_SIZES,
    {
      id: 'dragAt',
      name: 'Drag link on the arm',
      symbol: 'da',
      limits: [-400, 400],
      meaning:
        'Kingpin axis to the drag link’s ball, along the left steering arm’s line; negative ahead of the axle.',
    },
    {
      id: 'dropArm',
      name: 'Arm on the column',
      symbol: 'dr',
      limits: [-250, 250],
      searched: true,
      meaning: 'Column’s axis to the drag link’s ball, up; negative when below the column.',
      feel: 'Longer steers quicker.',
    },
    PLATE_UP,
  ],
  start: (stance) => {
    const column = columnOf(stance)!;
    const { axisPoint } = leftOf(stance);
    const arm = armStart(stance, pointsAhead(column, axisPoint));
    const dragAt = Math.round(arm.armLength! * 0.7);
    const plateUp = besideArms(column, axisPoint[0] - dragAt);
    return { ...arm, dragAt, dropArm: dragAt < 0 ? 70 : -70, plateUp };
  },
  build: (stance, sizes) => {
    const column = columnOf(stance)!;
    const { bodies, end, points, parts } = knuckles(stance, sizes);
    const { axisPoint, axis } = leftOf(stance);
    const back = unit(squareTo([-1, 0, 0], axis));
    const drag = along(
      along(axisPoint, axis, sizes.armHeight!),
      turn(back, axis, sizes.armAngle!),
      sizes.dragAt!,
    );
    const foot = onColumn(column, sizes.plateUp!);
    const drop = holeOn(foot, column.up, sizes.dropArm!, 0);
    return {
      chain: {
        driver: 'column',
        bodies: { column: { as: 'turns', point: column.foot, axis: column.up }, ...bodies },
        links: [rod('dragLink', 'Drag link', ['column', drop], ['left', drag]), trackRod(end)],
        wheels: KNUCKLES,
      },
      points: {
        ...points,
        'steering.columnTop': { body: undefined, at: column.top },
        'steering.plate': { body: undefined, at: foot },
        'steering.drop': { body: 'column', at: drop },
        'steering.drag': { body: 'left', at: drag },
      },
      parts: [
        ...parts,
        part('column', 'Column', 'shaft', 'steering.plate', 'steering.columnTop'),
        part('drop', 'Arm on the column', 'arm', 'steering.plate', 'steering.drop'),
        part('dragLink', 'Drag link', 'rod', 'steering.drop', 'steering.drag'),
        ROD_PART,
      ],
    };
  },
};
