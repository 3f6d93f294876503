import { downTube, headTube, seatTube, shell, topTube } from './bicycleParts.js';
import { capped, coped, copedBeside, slotted, told, topTubeBelowSeat, type Layout } from './layout.js';
import { sketch } from './sketch.js';

/** Deck over the rear tyre, behind the axle, and off the middle; mm [common practice]. */
const DECK = { over: 55, behind: 200, half: 62 };
const PLATE = 6;
/** Top tube's joint below the top of the seat tube, mm [common practice]. */
const TOP_BELOW = topTubeBelowSeat(110);

/**
 * Long-tail cargo bicycle: a diamond front with stouter tubes, long stays, deck rails from the seat tube to behind the
 * axle, and struts between rails and stays that make triangles of the tail.
 */
export const LONG_TAIL: Layout = {
  id: 'long-tail',
  name: 'Long-tail cargo bicycle',
  about: 'Long stays, a deck on rails over the rear wheel, struts between.',
  kinds: ['bicycle'],
  sets: ['long-tail'],
  wants: 'a rear wheel far behind the seat tube: chainstays of some 700 mm',
  datum: 'BB',
  schools: ['plan', 'table', 'none'],
  options: [TOP_BELOW],
  make: (stance, options = {}) => {
    const s = sketch(stance, options);
    s.group('front', 'Front triangle');
    s.group('tail', 'Tail');
    shell(s, stance, { group: 'front' });
    headTube(s, 'round-38x1.5', 'front');
    seatTube(s, 'round-31.8x1.2', { group: 'front' });
    downTube(s, stance, { section: 'round-34.9x1.2', group: 'front' });
    topTube(s, stance, {
      section: 'round-28.6x1.2',
      below: told(options, TOP_BELOW),
      group: 'front',
    });
    const group = 'tail';
    const axle = s.point('rearAxle');
    const { radius } = stance.wheels.rear;
    const seat = s.point('seatTubeTop');
    const bb = s.point('bottomBracket');
    const deck = axle[2] + radius + DECK.over;
    const upSeat = (deck - bb[2]) / (seat[2] - bb[2]);
    s.onStance('dropout', 'Dropout', 'rearAxle', [0, 70.5, 0]);
    s.onStance('stayAtShell', 'Stay at the BB shell', 'bottomBracket', [0, 20, 0]);
    s.tube('stays', 'Long stay', ['stayAtShell', 'dropout'], 'round-22.2x1.2', {
      start: coped('bottomBracketShell'),
      end: slotted(26, PLATE, 20),
      mirrored: true,
      group,
    });
    const atSeat = s.shareOf('railAtSeat', 'Deck rail at the seat tube', 'seatTube', upSeat, [0, 6.2, 0]);
    const [x, , z] = s.at(atSeat);
    const wide = s.beside('railCorner', 'Deck rail, corner', 'rearAxle', [x - 110, DECK.half, z]);
    const tail = s.beside('railEnd', 'Deck rail, end', 'rearAxle', [axle[0] - DECK.behind, DECK.half, z]);
    s.tube('deckRails', 'Deck rail', [atSeat, tail], 'round-19x1.5', {
      start: copedBeside('seatTube'),
      end: capped(1.5),
      bends: [[wide, 70]],
      mirrored: true,
      group,
    });
    const overAxle = s.beside('strutTop', 'Rear strut at the deck rail', 'rearAxle', [
      axle[0] + 20,
      DECK.half,
      z,
    ]);
    s.tube('rearStruts', 'Rear strut', [overAxle, 'dropout'], 'round-19x1', {
      start: coped('deckRails'),
      end: slotted(26, PLATE, 20),
      mirrored: true,
      group,
    });
    const onStay = s.shareOf('strutFoot', 'Front strut at the long stay', 'stays', 0.3);
    const onRail = s.beside('frontStrutTop', 'Front strut at the deck rail', 'rearAxle', [
      axle[0] + radius * 1.05,
      DECK.half,
      z,
    ]);
    s.tube('frontStruts', 'Front strut', [onStay, onRail], 'round-19x1', {
      start: coped('stays'),
      end: coped('deckRails'),
      mirrored: true,
      group,
    });
    s.tube('braces', 'Tail brace', [onRail, 'dropout'], 'round-16x1', {
      start: coped('deckRails', 'frontStruts'),
      end: slotted(46, PLATE, 20),
      mirrored: true,
      group,
    });
    for (const [id, name, away] of [
      ['deckCrossRear', 'Deck cross tube, rear', -150],
      ['deckCrossFront', 'Deck cross tube, front', radius * 0.62],
    ] as const) {
      const left = s.beside(`${id}At`, name, 'rearAxle', [axle[0] + away, DECK.half, z]);
      s.tube(id, name, [left, s.other(left)], 'round-16x1', {
        start: coped('deckRails:left'),
        end: coped('deckRails:right'),
        group,
      });
    }
    s.plate(
      'dropouts',
      'Dropout',
      'dropout',
      PLATE,
      [
        [52, -12],
        [54, 2],
        [44, 22],
        [24, 26],
        [16, 50],
        [-12, 50],
        [-14, -10],
        [0, -16],
        [20, -18],
      ],
      { mirrored: true, holes: [{ at: [0, 0], diameter: 10 }], group },
    );
    return s.done();
  },
};
