import { formatAngle } from '../units/angle.js';
import { formatMass } from '../units/mass.js';
import { formatLength, type LengthDisplay } from '../units/length.js';
import { asSentence, nameInText, bandUseText } from '../words.js';
import type { Quantity } from '../units/quantity.js';
import type { Finding } from './finding.js';
import { CHECK_WORDS } from './checkWords.js';
import { CUTS_WORDS } from './cutsWords.js';
import { FIXTURE_WORDS } from './fixtureWords.js';
import { FRAME_WORDS } from './frameWords.js';
import { STEERING_WORDS } from './steeringWords.js';
import { WORK_WORDS } from './workWords.js';
import type { FindingCode, Reach, SeatFindings, StanceFindings } from './values.js';
import type { FindingText, Say, Words } from './words.js';

export type { FindingText } from './words.js';

const footPlace = (id: string): string => (/saddle|leg/i.test(id) ? 'pedals' : 'foot rests');
const nearest = ({ dimension, value, quantity }: Reach, { measure }: Say): string =>
  dimension === undefined || value === undefined || quantity === undefined
    ? ''
    : ` ${dimension} at ${measure(value, quantity)} just reaches.`;

/** Of parts of the linkage: what looks for sizes with which they stand clear. */
const betterLinkage = (ofLinkage: boolean): readonly string[] =>
  ofLinkage ? ['Look for a better linkage, at Steering: it keeps off tubes and tyres'] : [];

const STANCE_WORDS: Words<keyof StanceFindings | keyof SeatFindings> = {
  'outside-band': ({ dimension, value, use, low, high, quantity }, { measure }) => ({
    title: `${dimension} outside the usual band`,
    text: `${measure(value, quantity)}; ${bandUseText(use)} mostly has ${measure(low, quantity)} to ${measure(high, quantity)}.`,
    remedies: ['Ignore this if it is intended'],
  }),
  'wheels-overlap': ({ overlap }, { mm }) => ({
    title: 'The wheels overlap',
    text: `A front tyre and a rear tyre overlap by ${mm(overlap)}.`,
    remedies: ['Lengthen the wheelbase, or the dimension it depends on', 'Choose smaller wheels'],
  }),
  'trail-negative': ({ value }, { mm }) => ({
    title: 'Negative trail',
    text: `${mm(value)}: the contact patch lies ahead of the steering axis and the front wheel wants to swing round.`,
    remedies: ['Take fork offset away', 'Make the head angle slacker'],
  }),
  'caster-trail-negative': ({ value }, { mm }) => ({
    title: 'Negative caster trail',
    text: `${mm(value)}: the contact patch lies ahead of the steering axis and the wheels want to swing round.`,
    remedies: ['Give more caster', 'Take spindle offset away'],
  }),
  'offset-behind': ({ value }, { mm }) => ({
    title: 'Fork offset behind the axis',
    text: `${mm(value)}: the axle sits behind the steering axis. It can be built; check that it is meant.`,
    remedies: ['Check the sign of the offset'],
  }),
  'trail-negative-full': ({ value }, { mm }) => ({
    title: 'Trail is lost at full travel',
    text: `${mm(value)} with both ends pressed home: the front wheel wants to swing round just then.`,
    remedies: ['Give more trail at ride height', 'Take front travel away'],
  }),
  'deck-near-tyre': ({ gap, wanted }, { mm }) => ({
    title: 'Deck meets the front tyre',
    text: `${mm(gap)} between them, straight ahead; ${mm(wanted)} wanted, and room for the neck besides.`,
    remedies: ['Lengthen the wheelbase', 'Shorten the deck or move it back'],
  }),
  'floor-low': ({ gap, wanted }, { mm }) => ({
    title: 'The floor comes down at full travel',
    text: `${mm(gap)} under it with both ends pressed home; ${mm(wanted)} wanted.`,
    remedies: ['Raise the ground clearance', 'Take travel away'],
  }),
  'second-solution': ({ dimension, value, other, quantity }, { measure }) => ({
    title: 'Two vehicles meet what is held',
    text: `${dimension} is ${measure(value, quantity)} here; ${measure(other, quantity)} would meet it as well. The nearer one is kept.`,
    remedies: [`Hold ${nameInText(dimension)} too, in place of another, to be sure`],
  }),
  'rule-limit': ({ dimension, value, bound, limit, rule, quantity }, { measure }) => ({
    title: `${dimension} breaks a limit`,
    text: `${measure(value, quantity)}; ${bound} ${measure(limit, quantity)} wanted (${rule}).`,
    remedies: [`Bring it to ${bound} ${measure(limit, quantity)}`, 'Change the limit in the brief'],
  }),
  'shelf-differs': ({ dimension, part, wanted, value, quantity }, { measure }) => ({
    title: `Not the ${nameInText(dimension)} of the part on the shelf`,
    text: `${part} has ${measure(wanted, quantity)}; the stance has ${measure(value, quantity)}.`,
    remedies: [
      `Hold ${nameInText(dimension)} at ${measure(wanted, quantity)}`,
      'Take the part off the shelf',
    ],
  }),
  'shelf-wheel-differs': ({ end, part, wanted, radius }, { mm }) => ({
    title: `Not the ${end} wheel that is on the shelf`,
    text: `${part} has a radius of ${mm(wanted)}; the stance has ${mm(radius)}.`,
    remedies: ['Use its marking in the stance', 'Take it off the shelf'],
  }),
  'engine-long': ({ engine, long, room }, { mm }) => ({
    title: 'The engine is longer than its room',
    text: `${engine} takes ${mm(long)}; ${mm(room)} between pivot and front tyre.`,
    remedies: ['Lengthen the wheelbase', 'Shorten the swing-arm', 'Place part of it elsewhere'],
  }),
  'toe-overlap': ({ overlap }, { mm }) => ({
    title: 'Toe meets the front tyre',
    text: `They overlap by ${mm(overlap)} in a tight turn, with the crank level and forward.`,
    remedies: ['Lengthen the reach', 'Choose a shorter crank', 'Make the head angle slacker'],
  }),
  'pedal-low': ({ gap, wanted }, { mm }) => ({
    title: 'Pedal close to the ground',
    text: `${mm(gap)} under the pedal axle at the bottom; ${mm(wanted)} wanted.`,
    remedies: ['Take BB drop away', 'Choose a shorter crank'],
  }),
  'wheel-meets-shell': ({ gap, wanted }, { mm }) => ({
    title: 'Rear tyre meets the BB shell',
    text: `${mm(gap)} between tyre and shell; ${mm(wanted)} wanted.`,
    remedies: ['Lengthen the chainstay', 'Choose a smaller tyre'],
  }),
  'legs-do-not-reach': (values, say) => ({
    title: `${values.rider} does not reach the ${footPlace(values.id)}`,
    text: `${say.mm(values.short)} short with the leg straight.${nearest(values, say)}`,
    remedies: ['Bring seat and feet together', 'Choose a shorter crank, or another rider'],
  }),
  'legs-too-near': (values, say) => ({
    title: `${values.rider} has no room for the legs`,
    text: `The feet are ${say.mm(values.short)} nearer than the legs fold.${nearest(values, say)}`,
    remedies: ['Move seat and feet apart'],
  }),
  'arms-do-not-reach': (values, say) => ({
    title: `${values.rider} does not reach the grips`,
    text: `${say.mm(values.short)} short with the arm straight.${nearest(values, say)}`,
    remedies: ['Bring the grips nearer', 'Lean the trunk towards them'],
  }),
  'arms-too-near': (values, say) => ({
    title: `${values.rider} has no room for the arms`,
    text: `The grips are ${say.mm(values.short)} nearer than the arms fold.${nearest(values, say)}`,
    remedies: ['Move the grips away', 'Lean the trunk back'],
  }),
  'saddle-rule': ({ value, rider, inseam, wanted }, { mm }) => ({
    title: 'Saddle off the usual height',
    text: `${mm(value)}; 0.883 of ${rider}’s inseam of ${mm(inseam)} is ${mm(wanted)}.`,
    remedies: [`Set the saddle height to ${mm(wanted)}`, 'Ignore this if it is intended'],
  }),
  'arms-held-up': ({ rider, angle, wanted }, { degrees }) => ({
    title: `${rider} holds the arms up`,
    text: `Out by ${degrees(angle)} from hanging; over ${degrees(wanted)} they tire soon where nothing rests them.`,
    remedies: ['Bring the grips lower or nearer', 'Give the arms or the bars a rest'],
  }),
  'parts-meet': ({ a, b, overlap, wanted, ofLinkage }, { mm }) => ({
    title: `${asSentence(a)} meets ${b}`,
    text: `They overlap by ${mm(overlap)} as they move. They need ${mm(wanted)} clearance.`,
    remedies: ['Move one of them away', ...betterLinkage(ofLinkage), 'Give less lock or travel'],
  }),
  'gap-small': ({ a, b, gap, wanted, ofLinkage }, { mm }) => ({
    title: `${asSentence(a)} close to ${b}`,
    text: `${mm(gap)} at the least; ${mm(wanted)} wanted.`,
    remedies: [
      'Move one of them away',
      ...betterLinkage(ofLinkage),
      'Set the wanted gap smaller, if that is meant',
    ],
  }),
  'grip-lost': ({ rider, short, steer }, { mm, degrees }) => ({
    title: `${rider}: a hand leaves its grip in a tight turn`,
    text: `${mm(short)} short with the steering turned by ${degrees(steer)}.`,
    remedies: ['Bring the grips nearer', 'Narrow the bars', 'Give less lock'],
  }),
  'scales-impossible': ({ message }) => ({
    title: 'These scale readings cannot be',
    text: message,
    remedies: ['Correct the reading; until then the estimate stands'],
  }),
  'no-mass': () => ({
    title: 'Nothing is weighed yet',
    text: 'There are no tubes, and nothing is placed: only riders count.',
    remedies: ['Place wheels, motor, tank and the like'],
  }),
  'lump-weighs-nothing': ({ name }) => ({
    title: `${name} weighs nothing`,
    text: 'It is placed, with no mass.',
    remedies: ['Weigh it, or take it out'],
  }),
  'weighed-twice': ({ name, mass, pieces }, { kg }) => ({
    title: `${name} weighs twice`,
    text: `Its pieces stand in the frame now and weigh ${kg(pieces)}; they are also in these ${kg(mass)}, which stood for them.`,
    remedies: ['Take them off it', 'Weigh it without them'],
  }),
  'falls-over': ({ direction }) => ({
    title: `It falls over ${direction}`,
    text: 'The centre of gravity stands outside the wheels, as it stands, with its riders.',
    remedies: ['Move weight back over the wheels', 'Move the wheels under the weight'],
  }),
  'tips-first': ({ limit, friction, change }) => ({
    title: 'It tips before it slides',
    text: `On dry ground: it tips at ${limit.toFixed(2)} g sideways and would slide at ${friction.toFixed(2)} g. A static estimate on level ground.`,
    remedies: [change, 'Corner slowly; keep the first rides away from traffic'],
  }),
  'front-share': ({ share, low, high }) => ({
    title: 'Weight on the front wheels outside the usual band',
    text: `${(share * 100).toFixed(1)} %; usual is ${(low * 100).toFixed(0)} to ${(high * 100).toFixed(0)} %.`,
    remedies: ['Move the seat', 'Ignore this if it is intended'],
  }),
};

const CATALOGUE: Words<FindingCode> = {
  ...STANCE_WORDS,
  ...CUTS_WORDS,
  ...STEERING_WORDS,
  ...FRAME_WORDS,
  ...FIXTURE_WORDS,
  ...WORK_WORDS,
  ...CHECK_WORDS,
};

/** Every code that the catalogue has words for. */
export const FINDING_CODES = Object.keys(CATALOGUE) as readonly FindingCode[];

/** A finding in words, its lengths as `display` shows them. */
export function findingText<C extends FindingCode>(finding: Finding<C>, display: LengthDisplay): FindingText {
  const mm = (value: number) => formatLength(value, display);
  const degrees = (value: number) => formatAngle(value);
  const measure = (value: number, quantity: Quantity) => (quantity === 'angle' ? degrees(value) : mm(value));
  const words: (values: never, say: Say) => FindingText = CATALOGUE[finding.code];
  const kg = (value: number) => formatMass(value, display, 2);
  return words(finding.values as never, { mm, degrees, kg, measure });
}
