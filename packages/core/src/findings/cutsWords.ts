import { nameInText } from '../words.js';
import type { CutsFindings } from './values.js';
import type { Words } from './words.js';

/** What is said of how pieces are made. */
export const CUTS_WORDS: Words<keyof CutsFindings> = {
  'bend-radius-small': ({ mark, bend, radius, wanted, sizes }, { mm }) => ({
    title: `Piece ${mark}: bend ${bend} is tight`,
    text: `${mm(radius)} is ${sizes.toFixed(1)} times the tube. Under 2 it kinks, under 3 it flattens: ${mm(wanted)} and more bends well.`,
    remedies: ['Choose a larger radius', 'Take a thicker wall, or a smaller tube'],
  }),
  'die-missing': ({ mark, size, radius }, { mm }) => ({
    title: `Piece ${mark}: no die for it`,
    text: `None of the workshop’s dies bends ${mm(size)} on ${mm(radius)}.`,
    remedies: ['Enter the die', 'Choose a radius that there is a die for'],
  }),
  'die-gone': ({ mark }) => ({
    title: `Piece ${mark}: its die is gone`,
    text: 'The die that was chosen for it is not among the workshop’s any more.',
    remedies: ['Choose another die', 'Enter it again'],
  }),
  'die-radius-differs': ({ mark, radius, die, name }, { mm }) => ({
    title: `Piece ${mark}: the die bends another radius`,
    text: `It is drawn with ${mm(radius)}; ${nameInText(name)} bends ${mm(die)}. Marks and length fit what is drawn.`,
    remedies: ['Draw it with the die’s radius', 'Choose another die'],
  }),
  'straight-short': ({ mark, bend, has, wants, what }, { mm }) => ({
    title: `Piece ${mark}: bend ${bend} leaves the ${what} too little`,
    text: `${mm(has)} of straight ${what === 'clamp' ? 'before it' : 'behind it'}; the ${what} wants ${mm(wants)}.`,
    remedies: [
      'Bend it longer and trim it',
      'Bend it in another order, or from the other end',
      'Move the bends apart',
    ],
  }),
  'bend-too-far': ({ mark, bend, set, most }, { degrees }) => ({
    title: `Piece ${mark}: bend ${bend} is more than the die turns`,
    text: `${degrees(set)} with springback; it turns ${degrees(most)}.`,
    remedies: ['Make it in two bends', 'Choose another die'],
  }),
  'bend-hits': ({ mark, bend, what }) => ({
    title: `Piece ${mark}: bend ${bend} runs into the ${what}`,
    text: `What is bent already swings into the ${what} while it is made.`,
    remedies: [
      'Bend it in another order, or from the other end',
      'Turn the bender, or raise it',
      'Join it from two pieces',
    ],
  }),
  'piece-over-bar': ({ mark, length, bar }, { mm }) => ({
    title: `Piece ${mark} is longer than any bar`,
    text: `${mm(length)} with what is left on; the longest to be had gives ${mm(bar)}.`,
    remedies: ['Enter a longer stock length', 'Join it from two pieces', 'Leave less on to trim'],
  }),
  'no-stock': ({ section, pieces }) => ({
    title: `No stock length for ${section}`,
    text: `Nothing says how long it is sold, and nothing of it lies on the rack. It is wanted for ${pieces}.`,
    remedies: ['Enter a length that it is sold in', 'Enter what lies on the rack'],
  }),
  'cut-differs': ({ mark, length, wanted }, { mm }) => ({
    title: `Piece ${mark} was cut to another length`,
    text: `${mm(length)} when its bar was marked cut; the frame wants ${mm(wanted)} now.`,
    remedies:
      wanted > length
        ? ['Cut it anew: press “Not cut after all” at its bar', 'Bring the frame back to what was cut']
        : ['Trim it', 'Bring the frame back to what was cut'],
  }),
  'cut-not-wanted': ({ mark, length }, { mm }) => ({
    title: `Piece ${mark} was cut and is not in the frame any more`,
    text: `${mm(length)} of it were cut when its bar was marked.`,
    remedies: ['Put it on the rack', 'Press “Not cut after all” at its bar', 'Bring the frame back'],
  }),
  'order-differs': ({ mark, length, wanted, order, there }, { mm }) => ({
    title: `Piece ${mark} was ordered otherwise`,
    text: `Order ${order} has it as it was drawn then, ${mm(length)} long; now it is ${mm(wanted)}, or its ends or holes are others.`,
    remedies: there
      ? ['Hold it against its host before it is used', 'Bring the frame back to what was ordered']
      : ['Call the order off while it can be, and order anew', 'Bring the frame back to what was ordered'],
  }),
  'order-not-wanted': ({ mark, length, order, there }, { mm }) => ({
    title: `Piece ${mark} was ordered and is not in the frame any more`,
    text: `Order ${order} has ${mm(length)} of it.`,
    remedies: there
      ? ['Put it on the rack', 'Bring the frame back']
      : ['Call the order off while it can be', 'Bring the frame back'],
  }),
  'hole-place-gone': ({ mark, hole, from }) => ({
    title: `Piece ${mark}: the place of ${hole} is gone`,
    text: `It was measured from a point that is not there any more. It is measured from the ${from === 'middle' ? 'tube’s middle' : `tube’s ${from}`} now.`,
    remedies: ['Choose another place for the hole', 'Bring the point back with undo'],
  }),
  'hole-over-end': ({ mark, hole, by }, { mm }) => ({
    title: `Piece ${mark}: ${nameInText(hole)} runs out over the end`,
    text: `It reaches ${mm(by)} past where the tube is cut.`,
    remedies: ['Move it along the tube', 'Make it smaller'],
  }),
  'hole-over-edge': ({ mark, hole, by }, { mm }) => ({
    title: `Piece ${mark}: ${nameInText(hole)} is wider than its wall`,
    text: `It reaches ${mm(by)} past the flat of the face, or the tube itself.`,
    remedies: ['Make it smaller', 'Bring it to the middle of the face'],
  }),
  'holes-meet': ({ mark, hole, other, left }, { mm }) => ({
    title: `Piece ${mark}: ${nameInText(hole)} and ${nameInText(other)} meet`,
    text: leftBetween(left, mm),
    remedies: ['Move one of them', 'Make one smaller'],
  }),
  'hole-weakens': ({ mark, hole, share }) => ({
    title: `Piece ${mark}: ${nameInText(hole)} is wide for its wall`,
    text: `It takes ${Math.round(share * 100)} % of the width of that face. So wide a hole in a tube that carries is a weak spot. Put it where little bends the tube, round its burr, and sleeve it.`,
    remedies: ['Make it smaller', 'Sleeve it', 'Choose a larger tube'],
  }),
  'slot-narrow': ({ mark, hole, slot, axle }, { mm }) => ({
    title: `Piece ${mark}: the axle does not enter ${nameInText(hole)}`,
    text: `It is ${mm(slot)} wide, the axle ${mm(axle)}. Across the flats or over the full diameter: decide before it is sawn.`,
    remedies: ['Make it wider', 'Measure the axle across its flats'],
  }),
  'axle-long': ({ mark, hole, between, room }, { mm }) => ({
    title: `Piece ${mark}: the axle is too long to go in at ${nameInText(hole)}`,
    text: `Between its faces it has ${mm(between)}, the two tubes leave ${mm(room)}.`,
    remedies: ['Set the tubes further apart', 'Take a shorter axle', 'Bring it in from outside, and fill up'],
  }),
  'axle-loose': ({ mark, hole, between, room }, { mm }) => ({
    title: `Piece ${mark}: the axle at ${nameInText(hole)} wants ${mm((room - between) / 2)} of washers on either side`,
    text: `Between its faces it has ${mm(between)}, the two tubes leave ${mm(room)}. Drawn together by its nuts, it bends them.`,
    remedies: ['Put washers or a spacer on either side', 'Set the tubes closer'],
  }),
  'sleeve-tight': ({ mark, hole, sleeve, hole2 }, { mm }) => ({
    title: `Piece ${mark}: the sleeve does not go in at ${nameInText(hole)}`,
    text: `It is ${mm(sleeve)} outside; the hole is ${mm(hole2)}.`,
    remedies: ['Choose a smaller sleeve', 'Drill one wall as wide as the sleeve'],
  }),
  'fold-crosses-hole': ({ mark, plate, hole }) => ({
    title: `Plate ${mark}: a fold crosses hole ${hole}`,
    text: `Where ${nameInText(plate)} is folded, the hole would be pulled out of round.`,
    remedies: ['Move the hole away from the fold', 'Drill it after folding'],
  }),
  'plate-hole-over-edge': ({ mark, plate, hole, by }, { mm }) => ({
    title: `Plate ${mark}: hole ${hole} runs out over the edge`,
    text: `It reaches ${mm(by)} past the outline of ${nameInText(plate)}.`,
    remedies: ['Move it inward', 'Make it smaller', 'Make the plate larger'],
  }),
  'plate-holes-meet': ({ mark, plate, hole, other, left }, { mm }) => ({
    title: `Plate ${mark}: holes ${hole} and ${other} of ${nameInText(plate)} meet`,
    text: leftBetween(left, mm),
    remedies: ['Move one of them', 'Make one smaller'],
  }),
};

const leftBetween = (left: number, mm: (value: number) => string): string =>
  left < 0 ? `They run ${mm(-left)} into each other.` : `${mm(left)} of metal between them.`;
