import { asSentence } from '../words.js';
import type { FixtureFindings } from './values.js';
import type { Words } from './words.js';

/** What is said of fixtures. */
export const FIXTURE_WORDS: Words<keyof FixtureFindings> = {
  'scale-out-of-range': ({ scale, reading, by, limit, quantity }, { measure }) => ({
    title: `${scale} is out of range`,
    text: `It wants ${measure(reading, quantity)}: ${measure(by, quantity)} past the end of the scale at ${measure(limit, quantity)}.`,
    remedies: [
      'Change the adapter or cone height',
      'Shift the scale’s zero or the datum',
      'Use another school of fixture',
    ],
  }),
  'found-off-scale': ({ scale, found, low, high, quantity }, { measure }) => ({
    title: `${scale}: found at ${measure(found, quantity)}, where the scale does not reach`,
    text: `It reads from ${measure(low, quantity)} to ${measure(high, quantity)}. Nothing is made of this reading until it is put right.`,
    remedies: ['Read the scale again', 'Change the ends of the scale under Profile'],
  }),
  'found-remains': ({ outcome, off, setting, quantity, helped }, { measure }) => ({
    title: `${outcome} stays ${measure(off, quantity)} off`,
    text: helped
      ? 'The other settings make up for part of what was found. They cannot make up for all of it.'
      : 'No change of the other settings makes up for what was found.',
    remedies: [`Set ${setting} again`],
  }),
  'points-in-one': ({ a, b }) => ({
    title: `${a} and ${b} are at the same place`,
    text: 'Set to the nearest marks of their scales, these two points coincide, so the line through them has no direction. The results shown use them as drawn.',
    remedies: ['Choose a finer step under Profile', 'Read again what was found'],
  }),
  'adapter-missing': ({ what, wanted, count, nearest }, { mm }) => ({
    title: `No ${what} of ${mm(wanted)} on hand`,
    text: count > 0 ? `The nearest is ${mm(nearest)}.` : 'There is none at all.',
    remedies: ['Turn one to size', 'Add what you have under On hand'],
  }),
  'board-too-small': ({ width, height, needWidth, needHeight }, { mm }) => ({
    title: 'The board is too small for this frame',
    text: `It is ${mm(width)} by ${mm(height)}; the frame needs ${mm(needWidth)} by ${mm(needHeight)} at least.`,
    remedies: ['Use a larger board', 'Give less room behind and below', 'Use another school of fixture'],
  }),
  'stand-off-small': ({ mark, by }, { mm }) => ({
    title: `Piece ${mark} stands in the board`,
    text: `The middle plane is ${mm(by)} too near to the board for it.`,
    remedies: ['Bring the middle plane farther off the board'],
  }),
  'shim-not-made': ({ mark, wanted, most, nearest, block, rest }, { mm }) => ({
    title: `Piece ${mark}: its shim cannot be made up from what is on hand`,
    text: `${mm(wanted)} wanted; the nearest, of ${most} parts at most, is ${mm(nearest)}. A block of ${mm(block)} would do it${rest === '' ? '' : `, with ${rest}`}.`,
    remedies: [
      'Cut a block of that thickness',
      'Add what you have under On hand',
      'Bring the middle plane a little off the board',
    ],
  }),
  'stack-not-made': ({ count, mark, wanted, nearest }, { mm }) => ({
    title: `Blocks leave a gap under ${count} ${count === 1 ? 'tube' : 'places'}`,
    text: `The worst under piece ${mark}: ${mm(wanted)} wanted; what is left on hand makes ${mm(nearest)}. A wedge takes the rest.`,
    remedies: ['Cut a wedge', 'Add boards under On hand'],
  }),
  'table-too-small': ({ length, width, needLength, needWidth }, { mm }) => ({
    title: 'The table is too small for this frame',
    text: `It is ${mm(length)} by ${mm(width)}; the frame needs ${mm(needLength)} by ${mm(needWidth)} at least.`,
    remedies: ['Use a larger table, or set another beside it', 'Lay the frame down the other way'],
  }),
  'no-blocks-beside': ({ pieces }) => ({
    title: `No stop block stands beside ${pieces}`,
    text: 'There is no room for one between their joints: they stand between their neighbours, by their copes.',
    remedies: [
      'Check their heights and plumb points instead',
      'Make the blocks shorter or slimmer under Profile',
    ],
  }),
  'blocks-short': ({ needs, length, onHand }, { mm }) => ({
    title: 'Off-cuts do not make all the blocks',
    text: `${needs} blocks wanted, ${mm(length)} of tube in all; what is on hand makes ${onHand}.`,
    remedies: ['Find more off-cuts', 'Cut the blocks shorter'],
  }),
  'spine-low': ({ reach, height }, { mm }) => ({
    title: 'The frame does not clear the floor when it turns',
    text: `It reaches ${mm(reach)} from the shaft, which is ${mm(height)} over the floor.`,
    remedies: ['Raise the stands', 'Let the shaft pass nearer to the frame’s middle'],
  }),
  'shaft-short': ({ needs, length }, { mm }) => ({
    title: 'The shaft is too short',
    text: `The foremost arm stands ${mm(needs)} from the rear stand; the shaft is ${mm(length)}.`,
    remedies: ['Use a longer shaft', 'Bring the rear stand nearer'],
  }),
  'stay-gap-small': ({ mark, what, gap, wanted }, { mm }) => ({
    title: `Stay ${mark} is near the ${what}`,
    text: `${mm(gap)} of room; ${mm(wanted)} wanted.`,
    remedies: ['Bend or dimple the stay', 'Spread the stays', 'Choose a narrower tyre or a smaller ring'],
  }),
  'fixture-in-tube': ({ part, mark, by }, { mm }) => ({
    title: `${asSentence(part)} stands in piece ${mark}`,
    text: `By ${mm(by)}, as both are drawn.`,
    remedies: ['Shift it, or make it shorter', 'Change the tool’s sizes under Profile'],
  }),
  'arm-crosses-tube': ({ part, mark, others }) => ({
    title: `${asSentence(part)} crosses piece ${mark}`,
    text: `A straight one would pass through the tube.${others === '' ? '' : ` So would ${others}.`}`,
    remedies: ['Crank it past the tube', 'Hold the point from another side'],
  }),
  'fixture-in-torch': ({ part, gap, mark, wanted, others }, { mm }) => ({
    title: `${asSentence(part)} is in the torch’s way`,
    text: `${mm(gap)} from the joint of piece ${mark}; ${mm(wanted)} wanted.${others === '' ? '' : ` Near one too: ${others}.`}`,
    remedies: ['Shift it away from the joint', 'Tack there, and weld it off the fixture'],
  }),
};
