import { BESIDE, headAndPivot, PLATE, pivotPlates, seatFrame } from './motorcycleParts.js';
import { coped, copedBeside, slotted, type Layout } from './layout.js';
import { gusset, tab } from './shapes.js';
import { sketch } from './sketch.js';

/** Half the width of the cradle between its tubes' axes, mm. */
const HALF = 120;

/**
 * Motorcycle cradle: a backbone from the head to the pivot tube, twin downs from the head under the engine to the pivot
 * plates, cross tubes, a head brace, engine tabs and a seat frame.
 */
export const CRADLE: Layout = {
  id: 'cradle',
  name: 'Motorcycle cradle',
  about: 'Backbone, twin downs under the engine, pivot plates, seat rails.',
  kinds: ['motorcycle'],
  sets: ['standard', 'cruiser'],
  datum: 'Pivot axis',
  schools: ['spine', 'table', 'plan', 'none'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options);
    s.group('main', 'Main frame');
    s.group('seat', 'Seat frame');
    s.group('plates', 'Plates');
    const group = 'main';
    headAndPivot(s, HALF);
    const pivot = s.point('pivot');
    const head = s.point('headTubeUpper');
    const lower = s.point('headTubeLower');
    const seat = s.point('seat');
    const top = s.shareOf('backboneAtHead', 'Backbone at the head tube', 'headTube', 0.74);
    const high = Math.min(seat[2] - 20, head[2] - 120);
    const corner = s.beside('backboneCorner', 'Backbone, corner', 'pivot', [pivot[0] + 10, 0, high]);
    s.tube('backbone', 'Backbone', [top, 'pivotMiddle'], 'round-45x2', {
      start: coped('headTube'),
      end: coped('pivotTube'),
      bends: [[corner, 130]],
      group,
    });
    const downTop = s.shareOf('downAtHead', 'Down tube at the head tube', 'headTube', 0.36, [
      0,
      BESIDE.of28,
      0,
    ]);
    const floor = s.point('floorMiddle')[2];
    const underZ = Math.max(floor + 40, pivot[2] - 120);
    const clear = s.point('frontAxle')[0] - stance.wheels.front.radius - 90;
    const frontX = Math.min(lower[0] - 120, clear);
    const front = s.beside('downFront', 'Down tube, front corner', 'pivot', [frontX, HALF, underZ]);
    const rear = s.beside('downRear', 'Down tube, rear corner', 'pivot', [pivot[0] + 75, HALF, underZ]);
    const end = s.onStance('downAtPlate', 'Down tube at the pivot plate', 'pivot', [10, HALF, -30]);
    s.tube('downTubes', 'Down tube', [downTop, end], 'round-28.6x2', {
      start: copedBeside('headTube'),
      end: slotted(10, PLATE, 60),
      bends: [
        [front, 110],
        [rear, 60],
      ],
      mirrored: true,
      group,
    });
    const cross = (id: string, name: string, share: number, section: string) => {
      const at = s.shareOf(`${id}At`, name, 'downTubes', share);
      s.tube(id, name, [at, s.other(at)], section, {
        start: coped('downTubes:left'),
        end: coped('downTubes:right'),
        group,
      });
    };
    cross('headCross', 'Cross tube below the head', 0.2, 'round-25.4x2.1');
    cross('frontCross', 'Cross tube under the engine, front', 0.66, 'round-25.4x2.1');
    cross('rearCross', 'Cross tube under the engine, rear', 0.86, 'round-25.4x2.1');
    const braceTop = s.onMember('braceAtBackbone', 'Head brace at the backbone', 'backbone', 'start', 190);
    const braceFoot = s.node('braceAtCross', 'Head brace at the cross tube', {
      on: 'between',
      nodes: ['headCrossAt', 'headCrossAtRight'],
      share: 0.5,
      offset: [0, 0, 0],
    });
    s.tube('headBrace', 'Head brace', [braceFoot, braceTop], 'round-22x1.6', {
      start: coped('headCross'),
      end: coped('backbone'),
      group,
    });
    pivotPlates(s, HALF, [
      [-45, -40],
      [0, -62],
      [42, -72],
      [48, -20],
      [40, 55],
      [-10, 110],
      [-62, 112],
      [-40, 40],
    ]);
    const railFront = s.onMember(
      'railAtBackbone',
      'Seat rail at the backbone',
      'backbone',
      'end',
      high - 75 - pivot[2],
      [0, 11.1, 0],
    );
    seatFrame(s, { front: railFront, frontEnd: copedBeside('backbone'), halfWidth: HALF, strut: [-42, 90] });
    const tabFront = s.shareOf('engineTabAt', 'Front engine tab', 'downTubes', 0.47, [-40, -25, 0]);
    s.plate('engineTabs', 'Engine tab, front', tabFront, 5, tab(36, 30), {
      mirrored: true,
      holes: [{ at: [0, 0], diameter: 10.2 }],
      group: 'plates',
    });
    const headGusset = s.onMember('headGussetAt', 'Gusset at the head', 'backbone', 'start', 52, [0, 0, -20]);
    s.plate('headGusset', 'Head gusset', headGusset, 3, gusset(-90, -70), { turn: 8, group: 'plates' });
    return s.done();
  },
};
