import { formatAngle } from '../units/angle.js';
import { formatLength, type LengthDisplay } from '../units/length.js';
import { asSentence, nameInText, bandUseText } from '../words.js';
import type { Finding } from './finding.js';
import { FIXTURE_WORDS } from './fixtureWords.js';
import { FRAME_WORDS } from './frameWords.js';
import type { FindingText, Say, Words } from './words.js';

export type { FindingText } from './words.js';

const footPlace = (id: string): string => (/saddle|leg/i.test(id) ? 'pedals' : 'foot rests');
const nearest = ({ of, measure }: Say): string =>
  of('dimension') === '' ? '' : ` ${of('dimension')} at ${measure('value')} just reaches.`;

const CATALOGUE: Words = {
  'outside-band': ({ of, measure }) => ({
    title: `${of('dimension')} outside the usual band`,
    text: `${measure('value')}; ${bandUseText(of('use'))} mostly has ${measure('low')} to ${measure('high')}.`,
    remedies: ['Keep it if it is meant'],
  }),
  'wheels-overlap': ({ mm }) => ({
    title: 'The wheels overlap',
    text: `A front and a rear tyre stand ${mm('overlap')} in each other.`,
    remedies: ['Lengthen the wheelbase, or what it follows from', 'Choose smaller wheels'],
  }),
  'trail-negative': ({ mm }) => ({
    title: 'Negative trail',
    text: `${mm('value')}: the contact patch lies ahead of the steering axis and the front wheel wants to swing round.`,
    remedies: ['Take fork offset away', 'Make the head angle slacker'],
  }),
  'caster-trail-negative': ({ mm }) => ({
    title: 'Negative caster trail',
    text: `${mm('value')}: the contact patch lies ahead of the steering axis and the wheels want to swing round.`,
    remedies: ['Give more caster', 'Take spindle offset away'],
  }),
  'offset-behind': ({ mm }) => ({
    title: 'Fork offset behind the axis',
    text: `${mm('value')}: the axle sits behind the steering axis. It can be built; check that it is meant.`,
    remedies: ['Check the sign of the offset'],
  }),
  'trail-negative-full': ({ mm }) => ({
    title: 'Trail is lost at full travel',
    text: `${mm('value')} with both ends pressed home: the front wheel wants to swing round just then.`,
    remedies: ['Give more trail at ride height', 'Take front travel away'],
  }),
  'deck-near-tyre': ({ mm }) => ({
    title: 'Deck meets the front tyre',
    text: `${mm('gap')} between them, straight ahead; ${mm('wanted')} wanted, and room for the neck besides.`,
    remedies: ['Lengthen the wheelbase', 'Shorten the deck or move it back'],
  }),
  'floor-low': ({ mm }) => ({
    title: 'The floor comes down at full travel',
    text: `${mm('gap')} under it with both ends pressed home; ${mm('wanted')} wanted.`,
    remedies: ['Raise the ground clearance', 'Take travel away'],
  }),
  'second-solution': ({ of, measure }) => ({
    title: 'Two vehicles meet what is held',
    text: `${of('dimension')} is ${measure('value')} here; ${measure('other')} would meet it as well. The nearer one is kept.`,
    remedies: [`Hold ${nameInText(of('dimension'))} too, in place of another, to be sure`],
  }),
  'rule-limit': ({ of, measure }) => ({
    title: `${of('dimension')} breaks a limit`,
    text: `${measure('value')}; ${of('bound')} ${measure('limit')} wanted (${of('rule')}).`,
    remedies: [`Bring it to ${of('bound')} ${measure('limit')}`, 'Change the limit in the brief'],
  }),
  'shelf-differs': ({ of, measure }) => ({
    title: `Not the ${nameInText(of('dimension'))} of the part on the shelf`,
    text: `${of('part')} has ${measure('wanted')}; the stance has ${measure('value')}.`,
    remedies: [`Hold ${nameInText(of('dimension'))} at ${measure('wanted')}`, 'Take the part off the shelf'],
  }),
  'shelf-wheel-differs': ({ of, mm }) => ({
    title: `Not the ${of('end')} wheel that is on the shelf`,
    text: `${of('part')} has a radius of ${mm('wanted')}; the stance has ${mm('radius')}.`,
    remedies: ['Use its marking in the stance', 'Take it off the shelf'],
  }),
  'engine-long': ({ of, mm }) => ({
    title: 'The engine is longer than its room',
    text: `${of('engine')} takes ${mm('long')}; ${mm('room')} between pivot and front tyre.`,
    remedies: ['Lengthen the wheelbase', 'Shorten the swing-arm', 'Place part of it elsewhere'],
  }),
  'toe-overlap': ({ mm }) => ({
    title: 'Toe meets the front tyre',
    text: `They overlap by ${mm('overlap')} in a tight turn, with the crank level and forward.`,
    remedies: ['Lengthen the reach', 'Choose a shorter crank', 'Make the head angle slacker'],
  }),
  'pedal-low': ({ mm }) => ({
    title: 'Pedal close to the ground',
    text: `${mm('gap')} under the pedal axle at the bottom; ${mm('wanted')} wanted.`,
    remedies: ['Take BB drop away', 'Choose a shorter crank'],
  }),
  'wheel-meets-shell': ({ mm }) => ({
    title: 'Rear tyre meets the BB shell',
    text: `${mm('gap')} between tyre and shell; ${mm('wanted')} wanted.`,
    remedies: ['Lengthen the chainstay', 'Choose a smaller tyre'],
  }),
  'legs-do-not-reach': (say) => ({
    title: `${say.of('rider')} does not reach the ${footPlace(say.of('id'))}`,
    text: `${say.mm('short')} short with the leg straight.${nearest(say)}`,
    remedies: ['Bring seat and feet together', 'Choose a shorter crank, or another rider'],
  }),
  'legs-too-near': (say) => ({
    title: `${say.of('rider')} has no room for the legs`,
    text: `The feet are ${say.mm('short')} nearer than the legs fold.${nearest(say)}`,
    remedies: ['Move seat and feet apart'],
  }),
  'arms-do-not-reach': (say) => ({
    title: `${say.of('rider')} does not reach the grips`,
    text: `${say.mm('short')} short with the arm straight.${nearest(say)}`,
    remedies: ['Bring the grips nearer', 'Lean the trunk towards them'],
  }),
  'arms-too-near': (say) => ({
    title: `${say.of('rider')} has no room for the arms`,
    text: `The grips are ${say.mm('short')} nearer than the arms fold.${nearest(say)}`,
    remedies: ['Move the grips away', 'Lean the trunk back'],
  }),
  'saddle-rule': ({ of, mm }) => ({
    title: 'Saddle off the usual height',
    text: `${mm('value')}; 0.883 of ${of('rider')}’s inseam of ${mm('inseam')} is ${mm('wanted')}.`,
    remedies: [`Set the saddle height to ${mm('wanted')}`, 'Keep it if it is meant'],
  }),
  'arms-held-up': ({ of, degrees }) => ({
    title: `${of('rider')} holds the arms up`,
    text: `Out by ${degrees('angle')} from hanging; over ${degrees('wanted')} they tire soon where nothing rests them.`,
    remedies: ['Bring the grips lower or nearer', 'Give the arms or the bars a rest'],
  }),
  'parts-meet': ({ of, mm }) => ({
    title: `${asSentence(of('a'))} meets ${of('b')}`,
    text: `They stand ${mm('overlap')} in each other on the way; ${mm('wanted')} of gap wanted.`,
    remedies: ['Move one of them away', 'Give less lock or travel'],
  }),
  'gap-small': ({ of, mm }) => ({
    title: `${asSentence(of('a'))} close to ${of('b')}`,
    text: `${mm('gap')} at the least; ${mm('wanted')} wanted.`,
    remedies: ['Move one of them away', 'Set the wanted gap smaller, if that is meant'],
  }),
  'grip-lost': ({ of, mm, degrees }) => ({
    title: `${of('rider')}: a hand leaves its grip in a tight turn`,
    text: `${mm('short')} short with the steering turned by ${degrees('steer')}.`,
    remedies: ['Bring the grips nearer', 'Narrow the bars', 'Give less lock'],
  }),
  'scales-impossible': ({ of }) => ({
    title: 'These scale readings cannot be',
    text: of('message'),
    remedies: ['Correct the reading; until then the estimate stands'],
  }),
  'no-mass': () => ({
    title: 'Nothing is weighed yet',
    text: 'There are no tubes, and nothing is placed: only riders count.',
    remedies: ['Place wheels, motor, tank and the like'],
  }),
  'lump-weighs-nothing': ({ of }) => ({
    title: `${of('name')} weighs nothing`,
    text: 'It is placed, with no mass.',
    remedies: ['Weigh it, or take it out'],
  }),
  'falls-over': ({ of }) => ({
    title: `It falls over ${of('direction')}`,
    text: 'The centre of gravity stands outside the wheels, as it stands, with its riders.',
    remedies: ['Move weight back over the wheels', 'Move the wheels under the weight'],
  }),
  'tips-first': ({ of, fixed }) => ({
    title: 'It tips before it slides',
    text: `On dry ground: it tips at ${fixed('limit', 2)} g sideways and would slide at ${fixed('friction', 2)} g. A static estimate on level ground.`,
    remedies: [of('change'), 'Corner slowly; keep the first rides away from traffic'],
  }),
  'front-share': ({ fixed }) => ({
    title: 'Weight on the front wheels outside the usual band',
    text: `${fixed('share', 1, 100)} %; usual is ${fixed('low', 0, 100)} to ${fixed('high', 0, 100)} %.`,
    remedies: ['Move the seat', 'Keep it if it is meant'],
  }),
  ...FRAME_WORDS,
  ...FIXTURE_WORDS,
};

/** Every code that the catalogue has words for. */
export const FINDING_CODES: readonly string[] = Object.keys(CATALOGUE);

export function findingText(finding: Finding, display: LengthDisplay): FindingText {
  const value = (key: string) => finding.values[key] ?? '';
  const mm = (key: string) => formatLength(Number(value(key)), display);
  const degrees = (key: string) => formatAngle(Number(value(key)));
  const say: Say = {
    mm,
    degrees,
    of: (key) => String(value(key)),
    measure: (key) => (finding.values.quantity === 'angle' ? degrees(key) : mm(key)),
    fixed: (key, digits, times = 1) => (Number(value(key)) * times).toFixed(digits),
  };
  const words = CATALOGUE[finding.code];
  return words ? words(say) : { title: finding.code, text: '', remedies: [] };
}
