import { downTube, headTube, rearEnd, seatTube, shell } from './bicycleParts.js';
import { coped, told, topTubeBelowSeat, type Layout } from './layout.js';
import { gusset } from './shapes.js';
import { sketch } from './sketch.js';

/** How far below the top of the seat tube the strut meets it, mm [common practice]. */
const STRUT_BELOW = topTubeBelowSeat(150);

/**
 * Open bicycle: one stout main tube in place of top and down tube, a strut from it to the seat tube, and a gusset in
 * the corner under the strut. Stiff in the main tube, easy to step over.
 */
export const OPEN: Layout = {
  id: 'open',
  name: 'Open, low step',
  about: 'One stout main tube to step over, a strut to the seat tube.',
  kinds: ['bicycle'],
  datum: 'BB',
  schools: ['slide-and-post', 'wall-board', 'plan', 'none'],
  options: [STRUT_BELOW],
  make: (stance, options = {}) => {
    const s = sketch(stance, options);
    s.group('front', 'Main frame');
    s.group('rear', 'Rear end');
    const group = 'front';
    shell(s, stance, { group });
    headTube(s, 'round-44x2', group);
    seatTube(s, 'round-31.8x1.2', { group });
    downTube(s, stance, {
      id: 'mainTube',
      name: 'Main tube',
      node: 'mainAtHead',
      section: 'round-38.1x1.6',
      group,
    });
    const high = s.onMember(
      'strutAtSeat',
      'Strut at the seat tube',
      'seatTube',
      'end',
      told(options, STRUT_BELOW),
    );
    const low = s.shareOf('strutAtMain', 'Strut at the main tube', 'mainTube', 0.5);
    s.tube('strut', 'Strut', [low, high], 'round-25.4x1.2', {
      start: coped('mainTube'),
      end: coped('seatTube'),
      group,
    });
    const [x, , z] = s.at(low);
    const [tx, , tz] = s.at(high);
    const slope = (Math.atan2(tz - z, tx - x) * 180) / Math.PI;
    s.plate('strutGusset', 'Gusset under the strut', high, 2, gusset(60, -60), {
      turn: slope + 180,
      group,
      material: 'chromoly-4130',
    });
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
