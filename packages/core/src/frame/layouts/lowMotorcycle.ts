import { BESIDE, headAndPivot, PLATE } from './motorcycleParts.js';
import { capped, coped, copedBeside, type Layout } from './layout.js';
import { sketch } from './sketch.js';

/** Rails off the middle; mm. */
const RAIL = { half: 175, box: 40 };

/**
 * Low feet-forward motorcycle: two square rails under the seat, flat cross members, pivot plates, a hoop behind the seat
 * back, and four column supports up to a long head tube.
 */
export const LOW_MOTORCYCLE_FRAME: Layout = {
  id: 'low-motorcycle',
  name: 'Low feet-forward motorcycle',
  about: 'Twin low rails, a seat-back hoop, column supports to a long head tube.',
  kinds: ['low-motorcycle'],
  datum: 'Pivot axis',
  schools: ['table', 'plan', 'none'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options, 'mild-steel');
    s.group('main', 'Rails');
    s.group('hoops', 'Hoop and column');
    s.group('plates', 'Plates');
    const pivot = s.point('pivot');
    const seat = s.point('seat');
    const top = s.point('seatTop');
    const floor = s.point('floorMiddle')[2];
    const head = s.point('headTubeLower');
    const z = floor + RAIL.box / 2;
    const clear = s.point('frontAxle')[0] - stance.wheels.front.radius - 130;
    const frontX = Math.min(head[0] - 130, clear);
    headAndPivot(s, RAIL.half + RAIL.box / 2 + PLATE / 2, 'round-40x3');
    const rear = s.beside('railRear', 'Rail, rear end', 'pivot', [pivot[0] - 130, RAIL.half, z]);
    const front = s.beside('railFront', 'Rail, front end', 'pivot', [frontX, RAIL.half, z]);
    s.tube('rails', 'Rail', [rear, front], 'box-40x40x2', {
      start: capped(2),
      end: capped(2),
      mirrored: true,
      group: 'main',
    });
    const cross = (id: string, name: string, x: number) => {
      const at = s.beside(`${id}At`, name, 'pivot', [x, RAIL.half, z]);
      s.tube(id, name, [at, s.other(at)], 'box-40x40x2', {
        start: coped('rails:left'),
        end: coped('rails:right'),
        group: 'main',
      });
    };
    cross('rearCross', 'Cross member at the pivot', pivot[0] - 40);
    cross('seatCross', 'Cross member under the seat', seat[0] + 290);
    cross('footCross', 'Cross member before the seat', (seat[0] + 290 + frontX) / 2);
    cross('frontCross', 'Cross member in front', frontX - 25);
    const plateAt = s.onStance('pivotPlateAt', 'Pivot plate', 'pivot', [
      0,
      RAIL.half + RAIL.box / 2 + PLATE / 2,
      0,
    ]);
    const down = z - RAIL.box / 2 - pivot[2];
    s.plate(
      'pivotPlates',
      'Pivot plate',
      plateAt,
      PLATE,
      [
        [-80, down],
        [110, down],
        [110, down + RAIL.box],
        [38, 30],
        [-30, 36],
        [-80, down + RAIL.box],
      ],
      { mirrored: true, holes: [{ at: [0, 0], diameter: 40.2 }], group: 'plates' },
    );
    const hoopX = Math.min(pivot[0] - 60, seat[0] + 20);
    const foot = s.beside('hoopFoot', 'Hoop, foot', 'seat', [hoopX, RAIL.half, z]);
    const low = s.beside('hoopLow', 'Hoop, lower corner', 'seat', [hoopX - 30, RAIL.half + 8, seat[2] + 60]);
    const high = s.beside('hoopHigh', 'Hoop, upper corner', 'seatTop', [
      top[0] - 35,
      RAIL.half - 15,
      top[2] + 10,
    ]);
    s.tube('hoop', 'Seat-back hoop', [foot, s.other(foot)], 'round-38x2', {
      start: coped('rails:left'),
      end: coped('rails:right'),
      bends: [
        [low, 150],
        [high, 110],
        [s.other(high), 110],
        [s.other(low), 150],
      ],
      group: 'hoops',
    });
    const aim = s.beside('hoopBraceAim', 'Behind the hoop brace', 'seat', [hoopX, RAIL.half, z + 175]);
    const braceTop = s.node('hoopBraceTop', 'Hoop brace at the hoop', {
      on: 'square',
      member: 'hoop',
      node: aim,
    });
    const braceFoot = s.beside('hoopBraceFoot', 'Hoop brace at the rail', 'seat', [
      hoopX + 230,
      RAIL.half,
      z,
    ]);
    s.tube('hoopBraces', 'Hoop brace', [braceFoot, braceTop], 'round-25x2', {
      start: coped('rails'),
      end: coped('hoop'),
      mirrored: true,
      group: 'hoops',
    });
    const bridge = s.shareOf('backBridgeAt', 'Seat-back bridge', 'hoop', 0.27);
    s.tube('backBridge', 'Seat-back bridge', [bridge, s.other(bridge)], 'round-25x1.5', {
      start: coped('hoop'),
      end: coped('hoop'),
      group: 'hoops',
    });
    const lowHead = s.shareOf('lowerAtHead', 'Column support at the head tube, lower', 'headTube', 0.34, [
      0,
      BESIDE.of25,
      0,
    ]);
    const highHead = s.shareOf('upperAtHead', 'Column support at the head tube, upper', 'headTube', 0.74, [
      0,
      BESIDE.of25,
      0,
    ]);
    const lowFoot = s.beside('lowerFoot', 'Column support at the rail, front', 'pivot', [
      frontX - 100,
      RAIL.half,
      z,
    ]);
    const highFoot = s.beside('upperFoot', 'Column support at the rail, rear', 'pivot', [
      frontX - 245,
      RAIL.half,
      z,
    ]);
    for (const [id, name, from, to] of [
      ['lowerSupports', 'Column support, front', lowFoot, lowHead],
      ['upperSupports', 'Column support, rear', highFoot, highHead],
    ] as const)
      s.tube(id, name, [from, to], 'round-25.4x2.1', {
        start: coped('rails'),
        end: copedBeside('headTube'),
        mirrored: true,
        group: 'hoops',
      });
    const steady = s.shareOf('steadyAt', 'Cross tube between the supports', 'upperSupports', 0.55);
    s.tube('steady', 'Cross tube between the supports', [steady, s.other(steady)], 'round-22x1.5', {
      start: coped('upperSupports:left'),
      end: coped('upperSupports:right'),
      group: 'hoops',
    });
    return s.done();
  },
};
