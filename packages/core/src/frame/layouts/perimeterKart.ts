import { coped, flattened, type Layout } from './layout.js';
import { rectangle } from './shapes.js';
import { sketch } from './sketch.js';

/** Off the middle at the seat and at the pedals; half the tube; mm. */
const RAIL = { wide: 300, narrow: 215, half: 15 };
const MAIN = 'round-30x2';

/**
 * Perimeter kart: round side rails that narrow for the feet, three cross tubes, stub tubes with kingpin plates, three rear
 * hangers in line, seat stays, column and bumper tubes. No more braces than it has: the frame is meant to flex.
 */
export const PERIMETER_KART: Layout = {
  id: 'perimeter-kart',
  name: 'Perimeter kart',
  about: 'Bent side rails, three cross tubes, yokes and hangers.',
  kinds: ['kart'],
  sets: ['kart'],
  wants: 'steering axes beside its side rails, near its front cross tube',
  datum: 'Rear axle on the centre line',
  schools: ['table', 'plan', 'none'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options);
    s.group('main', 'Main frame');
    s.group('seat', 'Seat and column');
    s.group('bumpers', 'Bumpers');
    s.group('plates', 'Plates');
    const group = 'main';
    const z = s.point('floorMiddle')[2] + RAIL.half;
    const axle = s.point('rearAxle');
    const front = s.point('frontAxle');
    const kingpin = s.point('kingpin');
    const seat = s.point('seat');
    const pedals = s.point('pedals');
    const wide = Math.min(RAIL.wide, s.point('rearLeftAxle')[1] - stance.wheels.rear.width / 2 - 60);
    const narrow = Math.min(RAIL.narrow, wide - 60);
    const rear = s.beside('railRear', 'Side rail, rear end', 'rearAxle', [axle[0] - 75, wide, z]);
    const out = s.beside('railOut', 'Side rail, outer corner', 'seat', [seat[0] + 360, wide, z]);
    const inn = s.beside('railIn', 'Side rail, inner corner', 'frontAxle', [front[0] - 200, narrow, z]);
    const nose = s.beside('railFront', 'Side rail, front end', 'pedals', [pedals[0] + 40, narrow, z]);
    s.tube('sideRails', 'Side rail', [rear, nose], MAIN, {
      bends: [
        [out, 120],
        [inn, 120],
      ],
      mirrored: true,
      group,
    });
    const cross = (id: string, name: string, node: string) =>
      s.tube(id, name, [node, s.other(node)], MAIN, {
        start: coped('sideRails:left'),
        end: coped('sideRails:right'),
        group,
      });
    cross(
      'rearCross',
      'Rear cross tube',
      s.onMember('rearCrossAt', 'Rear cross tube', 'sideRails', 'start', 25),
    );
    cross(
      'axleCross',
      'Cross tube before the axle',
      s.onMember('axleCrossAt', 'Cross tube before the axle', 'sideRails', 'start', 150),
    );
    cross(
      'seatCross',
      'Seat cross tube',
      s.beside('seatCrossAt', 'Seat cross tube', 'seat', [seat[0] + 330, wide, z]),
    );
    cross(
      'frontCross',
      'Front cross tube',
      s.onMember('frontCrossAt', 'Front cross tube', 'sideRails', 'end', 25),
    );
    const rail = s.beside('hangerRailRear', 'Hanger rail, rear end', 'rearAxle', [axle[0] - 50, 120, z]);
    const railFore = s.beside('hangerRailFront', 'Hanger rail, front end', 'rearAxle', [
      axle[0] + 75,
      120,
      z,
    ]);
    s.tube('hangerRail', 'Hanger rail', [rail, railFore], MAIN, {
      start: coped('rearCross'),
      end: coped('axleCross'),
      group,
    });
    const root = s.node('stubRoot', 'Stub tube at the side rail', {
      on: 'square',
      member: 'sideRails',
      node: s.beside('stubAim', 'Beside the kingpin', 'kingpin', [kingpin[0], narrow, z]),
    });
    const tip = s.beside('stubTip', 'Stub tube at the kingpin plates', 'kingpin', [
      kingpin[0],
      kingpin[1] - 24,
      kingpin[2],
    ]);
    s.tube('stubs', 'Stub tube', [root, tip], MAIN, {
      start: coped('sideRails'),
      end: { cut: 'plate', plate: 'yokes', allowance: 0 },
      mirrored: true,
      group,
    });
    const brace = s.shareOf('stubBraceTip', 'Stub brace at the stub tube', 'stubs', 0.72);
    const braceRoot = s.onMember('stubBraceRoot', 'Stub brace at the side rail', 'sideRails', 'end', 330);
    s.tube('stubBraces', 'Stub brace', [braceRoot, brace], 'round-20x1.5', {
      start: coped('sideRails'),
      end: coped('stubs'),
      mirrored: true,
      group,
    });
    // Bent to a C: two ears square to the kingpin, at its caster and inclination.
    s.plate('yokes', 'Yoke', tip, 5, rectangle(50, 150), {
      mirrored: true,
      turn: -(stance.values.caster ?? 12),
      tilt: stance.values.kingpinInclination ?? 11,
      holes: [
        { at: [0, 60], diameter: 10.2 },
        { at: [0, -60], diameter: 10.2 },
      ],
      bendLines: [
        { from: [-25, 37], to: [25, 37], angle: 90, radius: 4 },
        { from: [-25, -37], to: [25, -37], angle: -90, radius: 4 },
      ],
      group: 'plates',
    });
    const hanger = (id: string, name: string, y: number, mirrored: boolean) => {
      const at = s.beside(`${id}At`, name, 'rearAxle', [axle[0], y, axle[2]]);
      const down = z + RAIL.half - axle[2];
      s.plate(
        id,
        name,
        at,
        6,
        [
          [-55, down],
          [55, down],
          [50, 20],
          [30, 48],
          [-30, 48],
          [-50, 20],
        ],
        { mirrored, holes: [{ at: [0, 0], diameter: 62 }], group: 'plates' },
      );
    };
    hanger('hangers', 'Axle hanger', wide, true);
    hanger('thirdHanger', 'Third axle hanger', 120, false);
    const stayFoot = s.beside('seatStayFoot', 'Seat stay at the side rail', 'seat', [seat[0] - 80, wide, z]);
    const stayTop = s.beside('seatStayTop', 'Seat stay at the seat', 'seat', [
      seat[0] - 110,
      205,
      seat[2] + 270,
    ]);
    s.tube('seatStays', 'Seat stay', [stayFoot, stayTop], 'round-20x2', {
      start: coped('sideRails'),
      end: flattened(35),
      mirrored: true,
      group: 'seat',
    });
    const strutFoot = s.beside('seatStrutFoot', 'Seat strut at the side rail', 'seat', [
      seat[0] + 270,
      wide,
      z,
    ]);
    const strutTop = s.beside('seatStrutTop', 'Seat strut at the seat', 'seat', [
      seat[0] + 240,
      205,
      seat[2] + 45,
    ]);
    s.tube('seatStruts', 'Front seat strut', [strutFoot, strutTop], 'round-20x2', {
      start: coped('sideRails'),
      end: flattened(35),
      mirrored: true,
      group: 'seat',
    });
    const foot = s.point('columnFoot');
    const wheel = s.point('steeringWheel');
    const along = 0.52;
    const bearing: [number, number, number] = [
      foot[0] + (wheel[0] - foot[0]) * along,
      16,
      foot[2] + (wheel[2] - foot[2]) * along - 18,
    ];
    const columnTop = s.beside('columnTop', 'Column support at the bearing', 'steeringWheel', bearing);
    const columnFoot = s.between(
      'columnSupportFoot',
      'Column support at the front cross tube',
      'frontCrossAt',
      'frontCrossAtRight',
      0.38,
    );
    s.tube('columnSupports', 'Column support', [columnFoot, columnTop], 'round-20x1.5', {
      start: coped('frontCross'),
      end: flattened(40),
      mirrored: true,
      group: 'seat',
    });
    const nosePoint = s.point('nose');
    const barFoot = s.onMember('bumperFoot', 'Front bumper at the side rail', 'sideRails', 'end', 70);
    const barCorner = s.beside('bumperCorner', 'Front bumper, corner', 'nose', [
      nosePoint[0] - 10,
      narrow - 20,
      z + 85,
    ]);
    s.tube('frontBumper', 'Front bumper', [barFoot, s.other(barFoot)], 'round-20x1.5', {
      start: coped('sideRails:left'),
      end: coped('sideRails:right'),
      bends: [
        [barCorner, 70],
        [s.other(barCorner), 70],
      ],
      group: 'bumpers',
    });
    return s.done();
  },
};
