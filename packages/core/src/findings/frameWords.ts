import { nameInText } from '../words.js';
import type { FrameFindings, EndFindings } from './values.js';
import type { Words } from './words.js';

/** What is said of tubes and joints. */
export const FRAME_WORDS: Words<keyof FrameFindings | keyof EndFindings> = {
  'member-not-placed': ({ member }) => ({
    title: `${member} cannot be placed`,
    text: 'Its two nodes are at one point, a node’s anchor leads round in a circle, or it sits on a tube that cannot be placed.',
    remedies: ['Move one of its nodes', 'Place the tube that it sits on first'],
  }),
  'no-members': () => ({
    title: 'No tubes yet',
    text: 'This build has a stance but no frame.',
    remedies: ['Make a frame from a layout'],
  }),
  'plate-no-area': ({ mark, plate }) => ({
    title: `Plate ${mark} has no area`,
    text: `The corners of ${nameInText(plate)} lie in a line or in one point: there is nothing to cut.`,
    remedies: ['Move its corners apart', 'Delete it'],
  }),
  'plate-crosses-itself': ({ mark, plate }) => ({
    title: `Plate ${mark} crosses itself`,
    text: `Two sides of ${nameInText(plate)} cross: which part is metal cannot be told, and its weight is a guess.`,
    remedies: ['Put its corners in order', 'Delete it'],
  }),
  'joint-parallel': ({ mark, host, piece }) => ({
    title: `Piece ${mark}: no joint with ${host}`,
    text: `${piece} runs alongside its host, or the host is not there.`,
    remedies: ['Choose another host', 'Move the node'],
  }),
  'end-lost-host': ({ mark, end, piece, lost }) => ({
    title: `Piece ${mark} has lost its host`,
    text: `The ${end} end of ${nameInText(piece)} fitted the ${nameInText(lost)}, which was taken out. It is cut square there now and fits nothing.`,
    remedies: [
      'Choose another tube for that end, under Tubes',
      'Leave the end square, if that is intended',
      'Delete this piece too',
    ],
  }),
  'joint-misses': ({ mark, piece, host }) => ({
    title: `Piece ${mark} misses its host`,
    text: `${piece} passes ${host} without touching it.`,
    remedies: ['Move the node on to the host', 'Choose another host'],
  }),
  'tube-wider-than-host': ({ mark, piece, tube, hostDiameter }, { mm }) => ({
    title: `Piece ${mark} is wider than its host`,
    text: `${piece} is ${mm(tube)}, its host ${mm(hostDiameter)}: part of the end meets nothing.`,
    remedies: [
      'Cut the host to this tube instead',
      'Choose a smaller tube',
      'Flatten the end, or add a gusset',
    ],
  }),
  'tube-runs-past-side': ({ mark, piece, past, host, offset }, { mm }) => ({
    title: `Piece ${mark} runs past the side of its host`,
    text: `${piece} stands ${mm(past)} out beyond ${host}; its centre line is ${mm(offset)} off.`,
    remedies: ['Move it nearer the host’s axis', 'Choose a smaller tube', 'Cap or flatten the end'],
  }),
  'tube-runs-past-bend': ({ mark, part, piece, host }) => ({
    title: `Piece ${mark} runs past its host, where that turns away`,
    text: `About ${part} % of the cope of ${nameInText(piece)} meets nothing of ${host}: a bent tube runs inside of the corner that it is drawn by.`,
    remedies: [
      'Move the node on to a straight part of the host',
      'Give the host’s bend a smaller radius',
      'Choose a smaller tube',
    ],
  }),
  'past-host-end': ({ mark, piece, host }) => ({
    title: `Piece ${mark} reaches past the end of its host`,
    text: `Part of the cope of ${nameInText(piece)} has no host behind it: ${host} ends before.`,
    remedies: ['Move the joint away from the end', 'Lengthen the host'],
  }),
  'joint-sharp': ({ mark, angle, wanted }, { degrees }) => ({
    title: `Piece ${mark}: sharp joint, ${degrees(angle)}`,
    text: `Under ${degrees(wanted)} a torch does not reach the heel.`,
    remedies: ['Open the angle', 'Plan a gusset or a plug weld at the heel'],
  }),
  'joint-off-axis': ({ mark, offset, wanted }, { mm }) => ({
    title: `Piece ${mark} is off its host’s centre`,
    text: `${mm(offset)} off; more than a quarter of the tube’s radius (${mm(wanted)}).`,
    remedies: ['Move the node on to the host’s axis', 'Mark the end as meant to sit beside the axis'],
  }),
  'knife-edge': ({ mark, piece, host }) => ({
    title: `Piece ${mark}: the edge runs out to nothing`,
    text: `${piece} ends level with the side of ${host}: that edge is thin and burns away.`,
    remedies: ['Move it nearer the host’s axis', 'Choose a smaller tube'],
  }),
  'butt-short': ({ mark, left, wanted }, { mm }) => ({
    title: `Piece ${mark}: little thick tube left`,
    text: `${mm(left)} of thick tube is left behind the cope at best, however it is trimmed; ${mm(wanted)} wanted, so that the weld’s heat stays in thick wall.`,
    remedies: ['Choose a tube with a longer thick end', 'Choose a shorter tube as sold'],
  }),
  'cope-through-butt': ({ mark, left }, { mm }) => ({
    title: `Piece ${mark}: the cope runs into the thin wall`,
    text: `The thick end is ${mm(left)} against the throat: the weld would sit on thin tube.`,
    remedies: ['Choose a tube with a longer thick end', 'Choose plain-gauge tube'],
  }),
  'tube-too-short': ({ mark, piece, short }, { mm }) => ({
    title: `Piece ${mark}: the tube as sold is too short`,
    text: `${piece} needs ${mm(short)} more than the tube has.`,
    remedies: ['Choose a longer tube'],
  }),
  'copes-meet': ({ mark, left, wanted }, { mm }) => ({
    title: `Piece ${mark}: its two copes meet`,
    text: `${mm(left)} of wall is left between them at the shortest line; ${mm(wanted)} wanted.`,
    remedies: ['Move its ends apart', 'Choose a smaller tube'],
  }),
  'member-too-short': ({ mark, piece }) => ({
    title: `Piece ${mark} has no length`,
    text: `What ${nameInText(piece)}’s ends take off leaves nothing.`,
    remedies: ['Make the setback smaller', 'Move its nodes apart'],
  }),
  'node-host-gone': ({ node }) => ({
    title: `${node} sat on a tube that is gone`,
    text: 'Its place cannot be found, nor can the tubes that end in it be drawn.',
    remedies: ['Put the node on another tube', 'Delete the tubes that end in it'],
  }),
  'bend-no-room': ({ mark, bend, radius, fits }, { mm }) => ({
    title: `Piece ${mark}: bend ${bend} has no room`,
    text: `A radius of ${mm(radius)} does not fit between its neighbours; it is drawn with ${mm(fits)}, the most that fits.`,
    remedies: ['Choose a smaller radius', 'Move the corners apart'],
  }),
  'cope-in-bend': ({ mark, piece, past }, { mm }) => ({
    title: `Piece ${mark}: the cut reaches into a bend`,
    text: `${piece} is still bent for ${mm(past)} where its cut is deepest: no cutter and no flat pattern fits there.`,
    remedies: ['Move the bend away from the end', 'Choose a smaller radius'],
  }),
  'cope-past-bend': ({ mark, past, piece, host }, { mm }) => ({
    title: `Piece ${mark}: the cope reaches past the first bend`,
    text: `The straight before the bend is ${mm(past)} shorter than the cope of ${nameInText(piece)} on ${host} needs; it is drawn as if the tube went on straight.`,
    remedies: [
      'Move the bend away from the end',
      'Choose a smaller radius',
      'Meet the host at a wider angle',
    ],
  }),
  'end-has-no-plane': ({ mark, piece }) => ({
    title: `Piece ${mark}: nothing to cut an end against`,
    text: `${piece} ends on a plate or a tube that is not there, or runs along it.`,
    remedies: ['Choose another end', 'Move the node'],
  }),
  'hosts-in-circle': ({ pieces, first }) => ({
    title: `Pieces ${pieces} wait for each other`,
    text: 'Each is cut to fit the next at the same joint, and none runs through: there is nothing to start from.',
    remedies: ['Let one of them run through', `Start with piece ${first}`],
  }),
  'tubes-overlap': ({ a, b, overlap, along }, { mm }) => ({
    title: `Pieces ${a} and ${b} overlap`,
    text: `By ${mm(overlap)}, ${mm(along)} along the first; neither is cut for the other.`,
    remedies: ['Cut one to fit the other', 'Move one of them'],
  }),
};
