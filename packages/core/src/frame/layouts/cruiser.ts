import { headTube, onHeadTube, rearEnd, seatTube, shell } from './bicycleParts.js';
import { coped, type Layout } from './layout.js';
import { gusset } from './shapes.js';
import { sketch } from './sketch.js';

/** Bottom tube's axis over the ground at its low point, mm [common practice]. */
const LOW = 190;

/**
 * Stretched low cruiser: a bent bottom tube close to the ground, a bent top tube, a short seat tube with a brace; the
 * rear end comes from a donor and sheet gussets carry its joints.
 */
export const CRUISER: Layout = {
  id: 'cruiser',
  name: 'Stretched low cruiser',
  about: 'Bent top and bottom tube, a donor rear end with gussets.',
  kinds: ['bicycle'],
  sets: ['cruiser'],
  datum: 'Rear axle of the donor',
  schools: ['none', 'plan', 'wall-board', 'slide-and-post'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options, 'mild-steel');
    s.group('front', 'New front');
    s.group('donor', 'Donor rear end', true);
    const group = 'front';
    shell(s, stance, { group: 'donor' });
    headTube(s, 'round-44x2', group);
    seatTube(s, 'round-31.8x1.6', { group });
    const bb = s.point('bottomBracket');
    const head = s.point('headTubeLower');
    const low = s.beside('bottomLow', 'Bottom tube, low corner', 'bottomBracket', [
      bb[0] + 0.54 * (head[0] - bb[0]),
      0,
      Math.min(LOW, bb[2] - 20),
    ]);
    const atHead = onHeadTube(
      s,
      stance,
      'bottomAtHead',
      'Bottom tube at the head tube',
      'lower',
      s.at(low),
      38,
    );
    s.tube('bottomTube', 'Bottom tube', [atHead, 'bottomBracket'], 'round-38x1.6', {
      start: coped('headTube'),
      end: coped('bottomBracketShell', 'seatTube'),
      bends: [[low, 150]],
      group,
    });
    const seat = s.onMember('topAtSeat', 'Top tube at the seat tube', 'seatTube', 'end', 60);
    const [x, , z] = s.at(seat);
    const corner = s.beside('topLow', 'Top tube, corner', 'seatTubeTop', [
      x + 0.36 * (head[0] - x),
      0,
      z - 15,
    ]);
    const upper = onHeadTube(s, stance, 'topAtHead', 'Top tube at the head tube', 'upper', s.at(corner), 32);
    s.tube('topTube', 'Top tube', [upper, seat], 'round-30x2', {
      start: coped('headTube'),
      end: coped('seatTube'),
      bends: [[corner, 200]],
      group,
    });
    const foot = s.onMember('braceAtSeat', 'Brace at the seat tube', 'seatTube', 'start', 110);
    const under = s.shareOf('braceAtTop', 'Brace at the top tube', 'topTube', 0.72);
    s.tube('brace', 'Brace', [foot, under], 'round-22x1.5', {
      start: coped('seatTube'),
      end: coped('topTube'),
      group,
    });
    rearEnd(s, stance, {
      chainstays: 'tapered-22.2-14x0.8',
      seatstays: 'tapered-16-12x0.8',
      seatTube: 'seatTube',
      below: 30,
      group: 'donor',
    });
    const side = s.onStance('gussetAtShell', 'Gusset at the BB', 'bottomBracket', [0, 17, 0]);
    s.plate('shellGusset', 'Gusset at the BB', side, 2.5, gusset(-90, 90), { mirrored: true, group });
    const upperSide = s.onMember(
      'gussetAtSeat',
      'Gusset at the seat cluster',
      'seatTube',
      'end',
      75,
      [0, 17, 0],
    );
    s.plate('seatGusset', 'Gusset at the seat cluster', upperSide, 2.5, gusset(90, -70), {
      mirrored: true,
      group,
    });
    return s.done();
  },
};
