import { headAndPivot, PLATE, pivotPlates } from './motorcycleParts.js';
import { capped, coped, copedBeside, slotted, type Layout } from './layout.js';
import { gusset, tab } from './shapes.js';
import { sketch } from './sketch.js';

/** Half the width of the seat loop, mm. */
const HALF = 110;

/**
 * Motorcycle backbone: one large tube that the head and the pivot tube pass through, axle plates beside the pivot, a seat
 * loop bent in one piece, a seat-post bridge, and sleeves where cables pass through the backbone.
 */
export const BACKBONE: Layout = {
  id: 'backbone',
  name: 'Motorcycle backbone',
  about: 'One large tube from the head to the pivot, a seat loop behind.',
  kinds: ['motorcycle'],
  datum: 'Pivot axis',
  schools: ['spine', 'table', 'plan', 'none'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options, 'mild-steel');
    s.group('main', 'Main frame');
    s.group('seat', 'Seat frame');
    s.group('plates', 'Plates');
    const group = 'main';
    const pivot = s.point('pivot');
    const head = s.point('headTubeUpper');
    const seat = s.point('seat');
    headAndPivot(s, HALF - 20, 'round-40x3');
    const high = Math.min(seat[2] - 30, head[2] - 150);
    s.shareOf('headMiddle', 'Backbone’s axis at the head tube', 'headTube', 0.5);
    const corner = s.beside('backboneCorner', 'Backbone, corner', 'pivot', [pivot[0] + 15, 0, high]);
    const front = s.between('backboneFront', 'Backbone, front end', 'headMiddle', corner, -0.12);
    const foot = s.onStance('backboneFoot', 'Backbone, foot', 'pivot', [0, 0, -45]);
    s.tube('backbone', 'Backbone', [front, foot], 'round-76.1x2.6', {
      start: capped(2.5),
      end: capped(2.5),
      bends: [[corner, 230]],
      group,
      through: ['headTube', 'pivotTube'],
    });
    pivotPlates(
      s,
      HALF - 20,
      [
        [-40, -35],
        [40, -35],
        [44, 20],
        [20, 95],
        [-55, 105],
        [-40, 30],
      ],
      40.2,
    );
    const left = s.onMember(
      'loopAtBackbone',
      'Seat loop at the backbone',
      'backbone',
      'start',
      400,
      [0, 24, 0],
    );
    const [x, , z] = s.at(left);
    const side = s.beside('loopSide', 'Seat loop, front corner', 'seat', [
      x - 130,
      HALF,
      Math.max(z + 10, seat[2] - 45),
    ]);
    const rear = s.beside('loopRear', 'Seat loop, rear corner', 'seat', [
      Math.min(seat[0] - 210, 60),
      HALF,
      seat[2] - 35,
    ]);
    s.tube('seatLoop', 'Seat loop', [left, s.other(left)], 'round-25x1.5', {
      start: copedBeside('backbone'),
      end: copedBeside('backbone'),
      bends: [
        [side, 100],
        [rear, 75],
        [s.other(rear), 75],
        [s.other(side), 100],
      ],
      group: 'seat',
    });
    const loop = s.shareOf('bridgeAt', 'Seat bridge', 'seatLoop', 0.2);
    s.tube(
      'seatBridge',
      'Seat bridge',
      [loop, s.node('bridgeRight', 'Seat bridge, right', { on: 'mirror', node: loop })],
      'round-22x1.5',
      {
        start: coped('seatLoop'),
        end: coped('seatLoop'),
        group: 'seat',
      },
    );
    const top = s.shareOf('strutTop', 'Seat strut at the loop', 'seatLoop', 0.3);
    const low = s.onStance('strutFoot', 'Seat strut at the axle plate', 'pivot', [-38, HALF - 20, 85]);
    s.tube('seatStruts', 'Seat strut', [low, top], 'round-22x1.5', {
      start: slotted(14, PLATE, 30),
      end: coped('seatLoop'),
      mirrored: true,
      group: 'seat',
    });
    for (const [id, name, at] of [
      ['sleeveFront', 'Cable sleeve, front', 170],
      ['sleeveRear', 'Cable sleeve, rear', 330],
    ] as const) {
      const end = s.onMember(`${id}At`, name, 'backbone', 'start', at, [0, 41, 0]);
      s.tube(id, name, [end, s.other(end)], 'round-16x1', { group, through: ['backbone'] });
    }
    const tabAt = s.onMember('engineTabAt', 'Engine tab', 'backbone', 'start', 250, [0, 20, -75]);
    s.plate('engineTabs', 'Engine tab', tabAt, 5, tab(40, 34), {
      turn: 90,
      mirrored: true,
      holes: [{ at: [0, 0], diameter: 10.2 }],
      group: 'plates',
    });
    const under = s.onMember('headGussetAt', 'Gusset at the head', 'backbone', 'start', 120, [0, 0, -37]);
    s.plate('headGusset', 'Head gusset', under, 4, gusset(-70, -60), { turn: 12, group: 'plates' });
    return s.done();
  },
};
