import { asSentence, nameInText } from '../words.js';
import type { SteeringFindings } from './values.js';
import type { Words } from './words.js';

/** What is said of linkages. */
export const STEERING_WORDS: Words<keyof SteeringFindings> = {
  'linkage-refused': ({ why }) => ({
    title: 'No linkage comes of what is held',
    text: why,
    remedies: ['Change what is held', 'Let it go for another', 'Begin with the usual sizes again'],
  }),
  'steers-wrong-way': ({ linkage }) => ({
    title: 'The wheels turn the other way',
    text: `${asSentence(nameInText(linkage))}: turned to the left, it steers to the right.`,
    remedies: ['Put the holes on the other side of the shaft', 'Point the arms the other way'],
  }),
  'lock-not-reached': ({ side, reaches, lock, why }, { degrees }) => ({
    title: `Full lock to the ${side} is not reached`,
    text: `The wheels turn ${degrees(reaches)} of the ${degrees(lock)} wanted: ${why}.`,
    remedies: [
      'Take the better linkage that is proposed',
      'Lengthen what pushes, or shorten the arm',
      'Give less lock',
    ],
  }),
  'rod-near-lock-over': ({ rod, angle, wanted }, { degrees }) => ({
    title: `${asSentence(rod)} comes near lock-over`,
    text: `At full lock it stands ${degrees(angle)} from being in line with its arm; ${degrees(wanted)} wanted. In line it moves nothing, and may snap over.`,
    remedies: ['Turn the arm', 'Give less lock', 'Move the rod’s other end'],
  }),
  'wheels-disagree': ({ rms, worst, wanted }, { degrees }) => ({
    title: 'The front wheels do not roll about one centre',
    text: `The outer one is turned up to ${degrees(Math.abs(worst))} too ${worst > 0 ? 'far' : 'little'}, ${degrees(rms)} on the whole (root mean square); under ${degrees(wanted)} is usual. It scrubs and wears its tyres.`,
    remedies: ['Take the better linkage that is proposed', 'Turn the steering arms'],
  }),
  'linkage-usual': ({ linkage }) => ({
    title: 'The linkage is not begun',
    text: `${asSentence(nameInText(linkage))} is drawn as its builders begin, and follows the stance. What it meets on its way is looked for once you begin with it.`,
    remedies: ['Begin with it', 'Choose another way of turning the wheels'],
  }),
  'steering-part-stale': ({ parts }) => ({
    title: `Steering pieces ${parts} are out of date`,
    text: 'They were made for another stance, other sizes or another linkage.',
    remedies: ['Make them again', 'Take them out'],
  }),
  'steering-part-missing': ({ made, parts }) => ({
    title: `Not everything of the ${made} is among the tubes`,
    text: `Missing: ${parts}. Other pieces of it are there.`,
    remedies: ['Make them again', 'Leave them out if they are bought'],
  }),
  'hub-too-wide': ({ hub, fork }, { mm }) => ({
    title: hub > fork ? 'The hub is wider than the fork' : 'The fork is wider than the hub',
    text: `The hub is ${mm(hub)} over its locknuts; the dropouts can stand ${mm(fork)} apart at the ${hub > fork ? 'most' : 'least'}.`,
    remedies:
      hub > fork
        ? ['Spread the legs', 'Choose another wheel']
        : ['Bring the legs together', 'Put spacers on the axle'],
  }),
  'fork-gap-small': ({ gap, wanted, where }, { mm }) => ({
    title: `Little room ${where} in the fork`,
    text: `${mm(gap)} of gap; ${mm(wanted)} wanted.`,
    remedies: ['Give the fork more length or spread', 'Choose a smaller tyre'],
  }),
  'joint-steep': ({ bend, most }, { degrees }) => ({
    title: 'A universal joint bends too far',
    text: `${degrees(bend)} between its shafts; over ${degrees(most)} it ${most > 40 ? 'is not built to turn' : 'turns rough and wears'}.`,
    remedies: ['Share the bend between two joints', 'Move the column’s lower end'],
  }),
  'joints-out-of-phase': ({ least, most }) => ({
    title: 'The two joints do not cancel',
    text: `The lower end turns ${least.toFixed(2)} to ${most.toFixed(2)} times as fast as the hands, twice a turn.`,
    remedies: ['Set the yokes at both ends of the middle shaft in one plane', 'Bend both joints alike'],
  }),
  'support-missing': ({ length, most, count }, { mm }) => ({
    title: 'The column is held at too few places',
    text: `${mm(length)} of column; a bush at least every ${mm(most)} and beside every joint makes ${count}.`,
    remedies: [`Hold it at ${count} places`, 'Make it stiffer and shorter'],
  }),
  'brace-single': ({ hands }) => ({
    title: 'One bar alone carries the column',
    text: `A ${hands === 'wheel' ? 'steering wheel' : 'bar'} is pulled on in earnest, to the side as well: one bar bends and then breaks at its weld.`,
    remedies: ['Put gussets or braces to both sides', 'Carry it on two bars that spread'],
  }),
  'rest-wanted': ({ angle, wanted }, { degrees }) => ({
    title: 'The arms are held up, and nothing rests the column',
    text: `Out by ${degrees(angle)} from hanging; over ${degrees(wanted)} they tire soon.`,
    remedies: ['Give the column a slotted plate or a hinged rest', 'Bring the grips lower'],
  }),
  'rest-no-range': ({ low, high }, { degrees }) => ({
    title: 'The rest gives no range',
    text: `Its slot goes from ${degrees(low)} to ${degrees(high)}.`,
    remedies: ['Set its upper end above its lower one', 'Take the rest out'],
  }),
  'rest-beside': ({ angle, low, high }, { degrees }) => ({
    title: 'The column does not stand in its rest',
    text: `It is drawn at ${degrees(angle)} from the ground; the slot goes from ${degrees(low)} to ${degrees(high)}.`,
    remedies: ['Move the slot’s ends', 'Set the column as it will be ridden'],
  }),
  'shaft-too-thick': ({ outer, bore }, { mm }) => ({
    title: 'The shaft does not go into its clamp',
    text: `${mm(outer)} of shaft, ${mm(bore)} of bore.`,
    remedies: ['Choose another stem or boss', 'Turn the shaft’s end down'],
  }),
  'boss-thin': ({ wall, wanted }, { mm }) => ({
    title: 'The stub axle’s boss is thin round its bore',
    text: `${wall > 0 ? mm(wall) : 'Nothing'} of wall; ${mm(wanted)} wanted.`,
    remedies: ['Use a thicker boss', 'Choose a smaller kingpin'],
  }),
  'collar-thin': ({ wall, wanted }, { mm }) => ({
    title: 'The collar is thin outside of its bearing',
    text: `${wall > 0 ? mm(wall) : 'Nothing'} of wall; ${mm(wanted)} wanted.`,
    remedies: ['Use a thicker collar', 'Choose a smaller bearing'],
  }),
  'collar-short': ({ length, needs }, { mm }) => ({
    title: 'The collar is shorter than its recesses',
    text: `${mm(length)} long; both recesses and what is between them need ${mm(needs)}.`,
    remedies: ['Make it longer', 'Let the bearings stand proud'],
  }),
};
