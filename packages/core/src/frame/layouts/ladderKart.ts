import { capped, coped, copedBeside, mitred, onPlate, type Layout } from './layout.js';
import { rectangle, tab } from './shapes.js';
import { sketch } from './sketch.js';

/** Rails: off the middle, height and width of their section; mm. */
const RAIL = { half: 250, height: 75, width: 25, section: 'box-25x75x1.6' };
/** How far each nose rail comes in, and over what length. */
const NOSE = { in: 120, long: 520, behind: 330 };

/**
 * Ladder kart: two rectangular rails on edge with a tapered nose, cross members between them, axle bearing plates with
 * sleeves at their bolts, stub arms with kingpin plates, motor and brake plates.
 */
export const LADDER_KART: Layout = {
  id: 'ladder-kart',
  name: 'Ladder kart',
  about: 'Rectangular rails on edge, cross members, a tapered nose.',
  kinds: ['kart', 'buggy'],
  sets: ['ladder'],
  datum: 'Rear axle on the centre line',
  schools: ['table', 'plan', 'none'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options, 'mild-steel');
    s.group('main', 'Rails and cross members');
    s.group('plates', 'Plates');
    const group = 'main';
    const floor = s.point('floorMiddle')[2];
    const axle = s.point('rearAxle');
    const front = s.point('frontAxle');
    const kingpin = s.point('kingpin');
    const seat = s.point('seat');
    const half = Math.min(RAIL.half, s.point('rearLeftAxle')[1] - stance.wheels.rear.width / 2 - 45);
    const z = floor + RAIL.height / 2;
    const noseX = front[0] - NOSE.behind;
    const rear = s.beside('railRear', 'Rail, rear end', 'rearAxle', [axle[0] - 110, half, z]);
    const corner = s.beside('railCorner', 'Rail, nose corner', 'frontAxle', [noseX, half, z]);
    const tip = s.beside('noseTip', 'Nose rail, front end', 'frontAxle', [
      noseX + NOSE.long,
      half - NOSE.in,
      z,
    ]);
    s.tube('rails', 'Rail', [rear, corner], RAIL.section, {
      start: capped(2),
      end: mitred('noseRails'),
      mirrored: true,
      group,
    });
    s.tube('noseRails', 'Nose rail', [corner, tip], RAIL.section, {
      start: mitred('rails'),
      end: capped(2),
      mirrored: true,
      group,
    });
    const cross = (id: string, name: string, point: string, x: number, section: string, host = 'rails') => {
      const y = host === 'rails' ? half : half - (NOSE.in * (x - noseX)) / NOSE.long;
      const at = s.beside(`${id}At`, name, point, [x, y, z]);
      s.tube(id, name, [at, s.other(at)], section, {
        start: coped(`${host}:left`),
        end: coped(`${host}:right`),
        group,
      });
    };
    cross('rearCross', 'Rear cross member', 'rearAxle', axle[0] - 80, RAIL.section);
    cross('axleCross', 'Cross member before the axle', 'rearAxle', axle[0] + 170, RAIL.section);
    cross('seatCross', 'Seat cross member', 'seat', seat[0] + 60, 'box-25x25x2');
    cross('kneeCross', 'Cross member before the seat', 'seat', seat[0] + 380, 'box-25x25x2');
    cross('pedalCross', 'Pedal cross member', 'frontAxle', noseX + 110, 'box-25x25x2', 'noseRails');
    cross('noseCross', 'Front cross member', 'frontAxle', noseX + NOSE.long - 60, RAIL.section, 'noseRails');
    const armX = front[0];
    const armRoot = s.beside('armRoot', 'Stub arm at the nose rail', 'kingpin', [
      armX,
      half - (NOSE.in * (armX - noseX)) / NOSE.long,
      z + 8,
    ]);
    const armTip = s.beside('armTip', 'Stub arm at the kingpin plate', 'kingpin', [
      armX,
      kingpin[1] - 28,
      z + 8,
    ]);
    s.tube('stubArms', 'Stub arm', [armRoot, armTip], 'box-40x40x3', {
      start: copedBeside('noseRails'),
      end: onPlate('kingpinPlates'),
      mirrored: true,
      group,
    });
    s.plate('kingpinPlates', 'Kingpin plate', armTip, 6, rectangle(60, 110, 0, kingpin[2] - z - 8), {
      tilt: 0,
      mirrored: true,
      holes: [
        { at: [0, kingpin[2] - z - 8 + 40], diameter: 12.2 },
        { at: [0, kingpin[2] - z - 8 - 40], diameter: 12.2 },
      ],
      bendLines: [],
      group: 'plates',
    });
    const bearing = s.beside('bearingAt', 'Axle bearing plate', 'rearLeftAxle', [
      axle[0],
      half + RAIL.width / 2 + 2.5,
      axle[2],
    ]);
    const down = floor - axle[2];
    s.plate(
      'bearingPlates',
      'Axle bearing plate',
      bearing,
      5,
      [
        [-70, down + 5],
        [70, down + 5],
        [70, down + 60],
        [50, 50],
        [-50, 50],
        [-70, down + 60],
      ],
      {
        mirrored: true,
        holes: [
          { at: [0, 0], diameter: 62 },
          { at: [-50, down + 25], diameter: 10.2 },
          { at: [50, down + 25], diameter: 10.2 },
        ],
        group: 'plates',
      },
    );
    for (const [id, name, x] of [
      ['sleeveRear', 'Crush sleeve, rear bolt', -50],
      ['sleeveFront', 'Crush sleeve, front bolt', 50],
    ] as const) {
      const outer = s.beside(`${id}Outer`, name, 'rearLeftAxle', [
        axle[0] + x,
        half + RAIL.width / 2,
        floor + 25,
      ]);
      const inner = s.node(`${id}Inner`, `${name}, inner end`, {
        on: 'node',
        node: outer,
        offset: [0, -RAIL.width, 0],
      });
      s.tube(id, name, [outer, inner], 'round-14x1', { mirrored: true, group, through: ['rails'] });
    }
    const motor = s.beside('motorPlateAt', 'Motor plate', 'rearAxle', [
      axle[0] + 70,
      half - 110,
      floor + RAIL.height + 3,
    ]);
    s.plate('motorPlate', 'Motor plate', motor, 6, rectangle(200, 190), {
      plane: 'plan',
      holes: [
        { at: [-70, -60], diameter: 8.5 },
        { at: [70, -60], diameter: 8.5 },
        { at: [-70, 60], diameter: 8.5 },
        { at: [70, 60], diameter: 8.5 },
      ],
      group: 'plates',
    });
    const brake = s.beside('brakeAt', 'Brake bracket', 'rearAxle', [axle[0] + 95, 60, axle[2]]);
    s.plate('brakeBracket', 'Brake bracket', brake, 6, tab(70, 40), {
      holes: [{ at: [0, 0], diameter: 8.5 }],
      group: 'plates',
    });
    return s.done();
  },
};
