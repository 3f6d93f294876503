import { headTube } from './bicycleParts.js';
import { capped, coped, copedBeside, type Layout } from './layout.js';
import { gusset, rectangle } from './shapes.js';
import { sketch } from './sketch.js';

/** Rails off the middle, at least; and beside the tyre; mm [common practice]. */
const HALF = 55;
const BESIDE_TYRE = 8;
const BOX = 25;

/**
 * Stand-up scooter in square stock: two rails under the deck and beside the rear wheel, a front beam, a neck cut to fit the
 * beam and the head tube, axle plates with a slot, cross tubes, deck and motor plate.
 */
export const SCOOTER_FRAME: Layout = {
  id: 'scooter',
  name: 'Stand-up scooter',
  about: 'Two square rails, a front beam and a neck; axle plates with slots.',
  kinds: ['scooter'],
  datum: 'Rear axle',
  schools: ['table', 'plan', 'none'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options, 'mild-steel');
    s.group('deck', 'Deck frame');
    s.group('neck', 'Neck');
    s.group('plates', 'Plates');
    const half = Math.max(HALF, stance.wheels.rear.width / 2 + BESIDE_TYRE + BOX / 2);
    const floor = s.point('floorRear');
    const front = s.point('floorFront');
    const axle = s.point('rearAxle');
    const z = floor[2] + BOX / 2;
    headTube(s, 'round-44x2.4', 'neck');
    const beam = s.beside('beamMiddle', 'Front beam, middle', 'floorFront', [front[0] + 20, 0, z + 7.5]);
    const beamLeft = s.node('beamLeft', 'Front beam, left end', {
      on: 'node',
      node: beam,
      offset: [0, half + 22, 0],
    });
    s.tube('frontBeam', 'Front beam', [beamLeft, s.other(beamLeft)], 'box-40x40x2', {
      start: capped(2),
      end: capped(2),
      group: 'deck',
    });
    const rear = s.beside('railRear', 'Rail, rear end', 'rearAxle', [axle[0] - 45, half, z]);
    const fore = s.beside('railFront', 'Rail at the front beam', 'floorFront', [front[0] + 20, half, z]);
    s.tube('rails', 'Rail', [rear, fore], 'box-25x25x2', {
      start: capped(2),
      end: copedBeside('frontBeam'),
      mirrored: true,
      group: 'deck',
    });
    const cross = (id: string, name: string, x: number) => {
      const at = s.beside(`${id}At`, name, 'floorRear', [x, half, z]);
      s.tube(id, name, [at, s.other(at)], 'box-25x25x1.5', {
        start: coped('rails:left'),
        end: coped('rails:right'),
        group: 'deck',
      });
    };
    cross('rearCross', 'Cross tube behind the deck', floor[0] + 12);
    cross('middleCross', 'Cross tube under the deck', (floor[0] + front[0]) / 2);
    const top = s.shareOf('neckTop', 'Neck at the head tube', 'headTube', 0.45);
    s.tube('neck', 'Neck', [beam, top], 'box-30x30x2', {
      start: coped('frontBeam'),
      end: coped('headTube'),
      group: 'neck',
    });
    const corner = s.node('neckGussetAt', 'Gusset behind the neck', {
      on: 'node',
      node: beam,
      offset: [-20, 0, 20],
    });
    s.plate('neckGusset', 'Neck gusset', corner, 4, gusset(-70, 90), { group: 'neck' });
    const plateAt = s.node('axlePlateAt', 'Axle plate', {
      on: 'stance',
      point: 'rearAxle',
      offset: [0, Math.round(half + BOX / 2 + 3), 0],
    });
    const down = z - BOX / 2 - axle[2];
    s.plate(
      'axlePlates',
      'Axle plate',
      plateAt,
      6,
      [
        [-40, down],
        [70, down],
        [70, down + BOX],
        [30, 20],
        [-18, 22],
        [-18, 5],
        [0, 5],
        [0, -5],
        [-18, -5],
        [-40, down + BOX],
      ],
      { mirrored: true, group: 'plates' },
    );
    const deckAt = s.beside('deckPlateAt', 'Deck plate', 'deckMiddle', [
      (floor[0] + front[0]) / 2,
      0,
      z + BOX / 2 + 1.5,
    ]);
    s.plate('deckPlate', 'Deck plate', deckAt, 3, rectangle(front[0] - floor[0], 2 * half + BOX), {
      plane: 'plan',
      material: 'aluminium-6061',
      group: 'plates',
    });
    const motorAt = s.beside('motorPlateAt', 'Motor plate', 'floorRear', [
      floor[0] + 40,
      half + BOX / 2 + 2.5,
      z,
    ]);
    s.plate('motorPlate', 'Motor plate', motorAt, 5, rectangle(90, 110, 40, 50), {
      group: 'plates',
      holes: [
        { at: [40, 60], diameter: 28 },
        { at: [15, 35], diameter: 6.5 },
        { at: [65, 85], diameter: 6.5 },
      ],
    });
    return s.done();
  },
};
