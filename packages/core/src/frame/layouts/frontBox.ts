import type { Stance } from '../../stance/stance.js';
import { along, distance, type Vector } from '../../vector/vector.js';
import { headTube, rearEnd, seatTube, shell } from './bicycleParts.js';
import { capped, coped, copedBeside, type Layout } from './layout.js';
import { gusset } from './shapes.js';
import { sketch } from './sketch.js';

/** Rails off the middle, and their axis over the ground; mm [common practice]. */
const RAILS = { half: 90, height: 245 };
const CROSS = 'round-25.4x1.6';

/** Place on the bars' own column at a height; on a line of its own, leaning as the head tube does, where they have none. */
function columnLine({ places, steeringAxis }: Stance, otherwise: Vector): (height: number) => Vector {
  const hands = places[0]?.hands;
  const own = hands?.on === 'bars' && hands.axis && distance(hands.axis.point, hands.stem) < 1;
  const [point, up] = own ? [hands.axis!.point, hands.axis!.up] : [otherwise, steeringAxis];
  return (height) => along(point, up, (height - point[2]) / up[2]);
}

/**
 * Front-box cargo bicycle: a rear frame with a column for the bars, and two square rails under the box to the front head
 * tube, which stands on a neck with braces. The column turns the fork by a rod.
 */
export const FRONT_BOX: Layout = {
  id: 'front-box',
  name: 'Front-box cargo bicycle',
  about: 'Twin square rails under the box, a column at the rider, rod steering to the front.',
  kinds: ['bicycle'],
  sets: ['front-box'],
  wants: 'room for the box between two head tubes: a wheelbase of some 1900 mm on a small front wheel',
  datum: 'BB',
  schools: ['table', 'plan', 'none'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options, 'mild-steel');
    s.group('rear', 'Rear frame');
    s.group('box', 'Box floor');
    s.group('front', 'Front');
    const bb = s.point('bottomBracket');
    const { radius } = stance.wheels.front;
    const front = s.point('frontAxle');
    shell(s, stance, { group: 'rear' });
    headTube(s, 'round-44x2.4', 'front');
    seatTube(s, 'round-31.8x1.6', { group: 'rear' });
    const seat = s.point('seatTubeTop');
    const column = columnLine(stance, [bb[0] + 440, 0, bb[2] + 330]);
    s.beside('columnLower', 'Column tube, lower face', 'bottomBracket', column(bb[2] + 330));
    s.beside('columnUpper', 'Column tube, upper face', 'bottomBracket', column(bb[2] + 487));
    s.tube('columnTube', 'Column tube', ['columnLower', 'columnUpper'], 'round-38x2', { group: 'rear' });
    const cross = bb[0] + 190;
    const left = (id: string, name: string, x: number) =>
      s.beside(id, name, 'bottomBracket', [x, RAILS.half, RAILS.height]);
    const rearLeft = left('railRear', 'Rail, rear end', cross - 40);
    const neckX = front[0] - radius - 75;
    const frontLeft = s.beside('railFront', 'Rail, front end', 'frontAxle', [
      neckX + 45,
      RAILS.half,
      RAILS.height,
    ]);
    s.tube('rails', 'Rail', [rearLeft, frontLeft], 'box-40x40x1.5', {
      start: capped(2),
      end: capped(2),
      mirrored: true,
      group: 'box',
    });
    const crossAt = (id: string, name: string, x: number, section: string) => {
      const at = left(`${id}At`, name, x);
      return s.tube(id, name, [at, s.other(at)], section, {
        start: coped('rails:left'),
        end: coped('rails:right'),
        group: 'box',
      });
    };
    crossAt('rearCross', 'Rear cross tube', cross, 'box-40x40x2');
    const low = s.beside('crossMiddle', 'Middle of the rear cross tube', 'bottomBracket', [
      cross,
      0,
      RAILS.height,
    ]);
    s.tube('keel', 'Keel', ['bottomBracket', low], 'round-35x2', {
      start: coped('bottomBracketShell', 'seatTube'),
      end: coped('rearCross'),
      group: 'rear',
    });
    const columnLow = s.onMember('downAtColumn', 'Down tube at the column', 'columnTube', 'start', 88);
    s.tube('downTube', 'Down tube', [columnLow, 'bottomBracket'], 'round-31.8x1.6', {
      start: coped('columnTube'),
      end: coped('bottomBracketShell', 'seatTube', 'keel'),
      group: 'rear',
    });
    const up = (480 - 60) / Math.hypot(seat[0] - bb[0], seat[2] - bb[2]);
    const topSeat = s.shareOf('topAtSeat', 'Top tube at the seat tube', 'seatTube', Math.min(0.85, up));
    const topColumn = s.onMember('topAtColumn', 'Top tube at the column', 'columnTube', 'end', 40);
    s.tube('topTube', 'Top tube', [topColumn, topSeat], 'round-28.6x1.6', {
      start: coped('columnTube'),
      end: coped('seatTube'),
      group: 'rear',
    });
    const columnFoot = s.onMember('strutAtColumn', 'Column strut at the column', 'columnTube', 'start', 48);
    const strutFoot = s.beside('strutFoot', 'Column strut, foot', 'bottomBracket', [
      cross,
      RAILS.half,
      RAILS.height,
    ]);
    const sideFoot = s.node('strutFootBeside', 'Column strut on the rail', {
      on: 'node',
      node: strutFoot,
      offset: [60, 0, 0],
    });
    const high = s.node('strutTop', 'Column strut at the column’s side', {
      on: 'node',
      node: columnFoot,
      offset: [0, 10, 0],
    });
    s.tube('columnStruts', 'Column strut', [high, sideFoot], 'round-16x1.5', {
      start: copedBeside('columnTube'),
      end: coped('rails'),
      mirrored: true,
      group: 'rear',
    });
    const span = neckX - cross;
    crossAt('floorCross1', 'Floor cross tube 1', cross + span / 3, CROSS);
    crossAt('floorCross2', 'Floor cross tube 2', cross + (2 * span) / 3, CROSS);
    crossAt('frontCross', 'Front cross tube', neckX, 'box-40x40x2');
    const neckFoot = s.beside('neckFoot', 'Neck at the front cross tube', 'frontAxle', [
      neckX,
      0,
      RAILS.height,
    ]);
    const neckTop = s.shareOf('neckTop', 'Neck at the head tube', 'headTube', 0.42);
    s.tube('neck', 'Neck', [neckFoot, neckTop], 'round-38x2', {
      start: coped('frontCross'),
      end: coped('headTube'),
      group: 'front',
    });
    const braceTop = s.shareOf('braceTop', 'Neck brace at the head tube', 'headTube', 0.8, [0, 10.5, 0]);
    const braceFoot = s.beside('braceFoot', 'Neck brace at the rail', 'frontAxle', [
      neckX - 190,
      RAILS.half,
      RAILS.height,
    ]);
    s.tube('neckBraces', 'Neck brace', [braceFoot, braceTop], 'round-20x1.5', {
      start: coped('rails'),
      end: copedBeside('headTube'),
      mirrored: true,
      group: 'front',
    });
    const under = s.onMember('neckGussetAt', 'Gusset at the neck', 'neck', 'start', 45);
    s.plate('neckGusset', 'Neck gusset', under, 3, gusset(-70, 70), { group: 'front' });
    rearEnd(s, stance, {
      chainstays: 'tapered-19-14x0.8',
      seatstays: 'tapered-14-12x0.8',
      seatTube: 'seatTube',
      below: 40,
      group: 'rear',
    });
    return s.done();
  },
};
