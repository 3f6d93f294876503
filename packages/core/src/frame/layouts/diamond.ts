import { downTube, headTube, rearEnd, seatTube, shell, topTube } from './bicycleParts.js';
import { told, topTubeBelowSeat, type Layout } from './layout.js';
import { sketch } from './sketch.js';

/** Top tube's joint below the top of the seat tube, mm [common practice]. */
const TOP_BELOW = topTubeBelowSeat(48);

/**
 * Diamond bicycle, sizes [common practice, from memory]; chainstays are 19 mm rather than 22.2, to leave a 37 mm tyre its
 * 6 mm. Cuts: top > head + seat, down > head and, at the other end, shell + seat at once, seat > shell,
 * chainstays > shell, seatstays > seat tube beside its axis; stays slotted on dropouts. Pieces are numbered in setting order.
 */
export const DIAMOND: Layout = {
  id: 'diamond',
  name: 'Diamond',
  about: 'Top, down and seat tube, two pairs of stays.',
  kinds: ['bicycle'],
  sets: ['road', 'touring', 'trail', 'small-wheel'],
  datum: 'BB',
  schools: ['slide-and-post', 'wall-board', 'stay', 'plan', 'none'],
  options: [TOP_BELOW],
  make: (stance, options = {}) => {
    const s = sketch(stance, options);
    s.group('front', 'Front triangle');
    s.group('rear', 'Rear end');
    const group = 'front';
    shell(s, stance, { group });
    headTube(s, 'round-36x1.1', group);
    seatTube(s, 'butted-28.6x0.9-0.6-600', { group });
    downTube(s, stance, { section: 'butted-31.8x0.8-0.5-720', group });
    topTube(s, stance, {
      section: 'butted-28.6x0.8-0.5-600',
      below: told(options, TOP_BELOW),
      group,
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
