import { nameInText } from '../words.js';
import type { Words } from './words.js';

/** What is said of tubes and joints. */
export const FRAME_WORDS: Words = {
  'member-not-placed': ({ of }) => ({
    title: `${of('member')} cannot be placed`,
    text: 'Its two nodes are at one point, a node’s anchor leads round in a circle, or it sits on a tube that cannot be placed.',
    remedies: ['Move one of its nodes', 'Place the tube that it sits on first'],
  }),
  'no-members': () => ({
    title: 'No tubes yet',
    text: 'This build has a stance but no frame.',
    remedies: ['Make a frame from a layout'],
  }),
  'plate-no-area': ({ of }) => ({
    title: `Plate ${of('mark')} has no area`,
    text: `The corners of ${nameInText(of('plate'))} lie in a line or in one point: there is nothing to cut.`,
    remedies: ['Move its corners apart', 'Delete it'],
  }),
  'plate-crosses-itself': ({ of }) => ({
    title: `Plate ${of('mark')} crosses itself`,
    text: `Two sides of ${nameInText(of('plate'))} cross: which part is metal cannot be told, and its weight is a guess.`,
    remedies: ['Put its corners in order', 'Delete it'],
  }),
  'joint-parallel': ({ of }) => ({
    title: `Piece ${of('mark')}: no joint with ${of('host')}`,
    text: `${of('piece')} runs alongside its host, or the host is not there.`,
    remedies: ['Choose another host', 'Move the node'],
  }),
  'end-lost-host': ({ of }) => ({
    title: `Piece ${of('mark')} has lost its host`,
    text: `The ${of('end')} end of ${nameInText(of('piece'))} fitted the ${nameInText(of('lost'))}, which was taken out. It is cut square there now and fits nothing.`,
    remedies: ['Choose under Tubes what that end fits', 'Leave it square, if it is meant', 'Delete it too'],
  }),
  'joint-misses': ({ of }) => ({
    title: `Piece ${of('mark')} misses its host`,
    text: `${of('piece')} passes ${of('host')} without touching it.`,
    remedies: ['Move the node on to the host', 'Choose another host'],
  }),
  'tube-wider-than-host': ({ of, mm }) => ({
    title: `Piece ${of('mark')} is wider than its host`,
    text: `${of('piece')} is ${mm('tube')}, its host ${mm('hostDiameter')}: part of the end meets nothing.`,
    remedies: [
      'Cut the host to this tube instead',
      'Choose a smaller tube',
      'Flatten the end, or add a gusset',
    ],
  }),
  'tube-runs-past-side': ({ of, mm }) => ({
    title: `Piece ${of('mark')} runs past the side of its host`,
    text: `${of('piece')} stands ${mm('past')} out beyond ${of('host')}; its centre line is ${mm('offset')} off.`,
    remedies: ['Move it nearer the host’s axis', 'Choose a smaller tube', 'Cap or flatten the end'],
  }),
  'tube-runs-past-bend': ({ of }) => ({
    title: `Piece ${of('mark')} runs past its host, where that turns away`,
    text: `About ${of('part')} % of the cope of ${nameInText(of('piece'))} meets nothing of ${of('host')}: a bent tube runs inside of the corner that it is drawn by.`,
    remedies: [
      'Move the node on to a straight part of the host',
      'Give the host’s bend a smaller radius',
      'Choose a smaller tube',
    ],
  }),
  'past-host-end': ({ of }) => ({
    title: `Piece ${of('mark')} reaches past the end of its host`,
    text: `Part of the cope of ${nameInText(of('piece'))} has no host behind it: ${of('host')} ends before.`,
    remedies: ['Move the joint away from the end', 'Lengthen the host'],
  }),
  'joint-sharp': ({ of, degrees }) => ({
    title: `Piece ${of('mark')}: sharp joint, ${degrees('angle')}`,
    text: `Under ${degrees('wanted')} a torch does not reach the heel.`,
    remedies: ['Open the angle', 'Plan a gusset or a plug weld at the heel'],
  }),
  'joint-off-axis': ({ of, mm }) => ({
    title: `Piece ${of('mark')} is off its host’s centre`,
    text: `${mm('offset')} off; more than a quarter of the tube’s radius (${mm('wanted')}).`,
    remedies: ['Move the node on to the host’s axis', 'Mark the end as meant to sit beside the axis'],
  }),
  'knife-edge': ({ of }) => ({
    title: `Piece ${of('mark')}: the edge runs out to nothing`,
    text: `${of('piece')} ends level with the side of ${of('host')}: that edge is thin and burns away.`,
    remedies: ['Move it nearer the host’s axis', 'Choose a smaller tube'],
  }),
  'butt-short': ({ of, mm }) => ({
    title: `Piece ${of('mark')}: little thick tube left`,
    text: `${mm('left')} of thick tube is left behind the cope at best, however it is trimmed; ${mm('wanted')} wanted, so that the weld’s heat stays in thick wall.`,
    remedies: ['Choose a tube with a longer thick end', 'Choose a shorter tube as sold'],
  }),
  'cope-through-butt': ({ of, mm }) => ({
    title: `Piece ${of('mark')}: the cope runs into the thin wall`,
    text: `The thick end is ${mm('left')} against the throat: the weld would sit on thin tube.`,
    remedies: ['Choose a tube with a longer thick end', 'Choose plain-gauge tube'],
  }),
  'tube-too-short': ({ of, mm }) => ({
    title: `Piece ${of('mark')}: the tube as sold is too short`,
    text: `${of('piece')} needs ${mm('short')} more than the tube has.`,
    remedies: ['Choose a longer tube'],
  }),
  'copes-meet': ({ of, mm }) => ({
    title: `Piece ${of('mark')}: its two copes meet`,
    text: `${mm('left')} of wall is left between them at the shortest line; ${mm('wanted')} wanted.`,
    remedies: ['Move its ends apart', 'Choose a smaller tube'],
  }),
  'member-too-short': ({ of }) => ({
    title: `Piece ${of('mark')} has no length`,
    text: `What ${nameInText(of('piece'))}’s ends take off leaves nothing.`,
    remedies: ['Make the setback smaller', 'Move its nodes apart'],
  }),
  'node-host-gone': ({ of }) => ({
    title: `${of('node')} sat on a tube that is gone`,
    text: 'Its place cannot be found, nor can the tubes that end in it be drawn.',
    remedies: ['Put the node on another tube', 'Delete the tubes that end in it'],
  }),
  'bend-no-room': ({ of, mm }) => ({
    title: `Piece ${of('mark')}: bend ${of('bend')} has no room`,
    text: `A radius of ${mm('radius')} does not fit between its neighbours; it is drawn with ${mm('fits')}, the most that fits.`,
    remedies: ['Choose a smaller radius', 'Move the corners apart'],
  }),
  'cope-in-bend': ({ of, mm }) => ({
    title: `Piece ${of('mark')}: the cut reaches into a bend`,
    text: `${of('piece')} is still bent for ${mm('past')} where its cut is deepest: no cutter and no flat pattern fits there.`,
    remedies: ['Move the bend away from the end', 'Choose a smaller radius'],
  }),
  'cope-past-bend': ({ of, mm }) => ({
    title: `Piece ${of('mark')}: the cope reaches past the first bend`,
    text: `The straight before the bend is ${mm('past')} shorter than the cope of ${nameInText(of('piece'))} on ${of('host')} needs; it is drawn as if the tube went on straight.`,
    remedies: [
      'Move the bend away from the end',
      'Choose a smaller radius',
      'Meet the host at a wider angle',
    ],
  }),
  'end-has-no-plane': ({ of }) => ({
    title: `Piece ${of('mark')}: nothing to cut an end against`,
    text: `${of('piece')} ends on a plate or a tube that is not there, or runs along it.`,
    remedies: ['Choose another end', 'Move the node'],
  }),
  'hosts-in-circle': ({ of }) => ({
    title: `Pieces ${of('pieces')} wait for each other`,
    text: 'Each is cut to fit the next at the same joint, and none runs through: there is nothing to start from.',
    remedies: ['Let one of them run through', `Start with piece ${of('first')}`],
  }),
  'tubes-overlap': ({ of, mm }) => ({
    title: `Pieces ${of('a')} and ${of('b')} overlap`,
    text: `By ${mm('overlap')}, ${mm('along')} along the first; neither is cut for the other.`,
    remedies: ['Cut one to fit the other', 'Move one of them'],
  }),
};
