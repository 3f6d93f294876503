import {
  armRaise,
  armSpan,
  elbowAngle,
  headOf,
  hipOpening,
  kneeAngle,
  legSpans,
} from '../../../rider/figure.js';
import type { RiderPlace } from '../../../rider/place.js';
import { worked } from '../../assembly.js';
import type { Adjusters, Dimension } from '../../dimension.js';
import type { Naming } from './part.js';

const POSED = 'two links and the law of cosines; segments by Drillis and Contini (in Winter) unless measured';

/** The angles of the figure. */
export function figureDimensions<S extends object>(
  { id, name, symbol }: Naming,
  placeIn: (state: S) => RiderPlace,
  lean: string,
  { legs, arms }: Adjusters,
  cranks: boolean,
): Dimension[] {
  const forLegs = [legs.dimension, 'legRoom', 'seatAhead', 'pedalHeight'];
  const forArms = [lean, arms.dimension];
  const knee = (span: 'most' | 'least', suffix: string) => {
    const sign = symbol(`hs${suffix}`);
    return `acos((${symbol('tg')}² + ${symbol('sn')}² − ${sign}²) / (2·${symbol('tg')}·${symbol('sn')}))`;
  };
  const stretched = cranks ? ', pedal at its farthest' : '';
  return [
    worked<S>({
      id: id('legSpan'),
      name: name('Hip to ankle'),
      symbol: symbol('hs'),
      formula: '',
      source: 'the figure as drawn: shoe 30 mm with half the pedal, ball of the foot on it [common practice]',
      meaning: `Hip joint to ankle, straight${stretched}.`,
      letGo: forLegs,
      limits: [100, 1500],
      of: (s) => legSpans(placeIn(s)).most,
    }),
    worked<S>({
      id: id('kneeAngle'),
      name: name(cranks ? 'Knee, at its straightest' : 'Knee'),
      symbol: symbol('kn'),
      quantity: 'angle',
      formula: `${symbol('kn')} = ${knee('most', '')}`,
      source: POSED,
      limits: [30, 179],
      meaning: `Between thigh and shank${stretched}; 180° is straight. More than that: the foot does not reach.`,
      feel: cranks
        ? 'Straighter strains the back of the knee and rocks the hips; more bent tires the thighs.'
        : 'Straighter leaves no force for the pedal; more bent lifts the knees into wheel and bars.',
      letGo: forLegs,
      of: (s) => kneeAngle(placeIn(s), 'most'),
    }),
    ...(cranks
      ? [
          worked<S>({
            id: id('legSpanTop'),
            name: name('Hip to ankle, folded'),
            symbol: symbol('hst'),
            formula: '',
            source: 'the figure as drawn',
            meaning: 'Hip joint to ankle, straight, pedal at its nearest.',
            letGo: ['crankLength', ...forLegs],
            limits: [50, 1500],
            of: (s) => legSpans(placeIn(s)).least,
          }),
          worked<S>({
            id: id('kneeAngleTop'),
            name: name('Knee, most bent'),
            symbol: symbol('kt'),
            quantity: 'angle',
            formula: `${symbol('kt')} = ${knee('least', 't')}`,
            source: POSED,
            limits: [20, 179],
            meaning: 'Between thigh and shank with the pedal at its nearest.',
            letGo: ['crankLength', ...forLegs],
            of: (s) => kneeAngle(placeIn(s), 'least'),
          }),
        ]
      : []),
    worked<S>({
      id: id('hipAngle'),
      name: name(cranks ? 'Hip opening, least' : 'Hip opening'),
      symbol: symbol('ho'),
      quantity: 'angle',
      formula: '',
      source: POSED,
      limits: [10, 200],
      meaning: `Between trunk and thigh${cranks ? ', pedal at its nearest' : ''}.`,
      feel: 'Too small: the thigh presses the belly, and breath and power go.',
      letGo: [lean, ...forLegs],
      of: (s) => hipOpening(placeIn(s), cranks ? 'least' : 'most'),
    }),
    worked<S>({
      id: id('armSpan'),
      name: name('Shoulder to grip'),
      symbol: symbol('as'),
      formula: '',
      source: 'the figure as drawn',
      meaning: 'Shoulder joint to the middle of the grip, straight, steering straight ahead.',
      letGo: forArms,
      limits: [30, 1200],
      of: (s) => armSpan(placeIn(s)),
    }),
    worked<S>({
      id: id('elbowAngle'),
      name: name('Elbow'),
      symbol: symbol('el'),
      quantity: 'angle',
      formula: `${symbol('el')} = acos((${symbol('ua')}² + (${symbol('fa')} + 0.054648·${symbol('st')})² − ${symbol('as')}²) / (2·${symbol('ua')}·(${symbol('fa')} + 0.054648·${symbol('st')})))`,
      source: `${POSED}; the grip lies 0.506 of the hand beyond the wrist`,
      limits: [30, 179],
      meaning: 'Between upper arm and forearm; 180° is straight. More than that: the hand does not reach.',
      feel: 'Straight arms carry every bump to the shoulders.',
      letGo: forArms,
      of: (s) => elbowAngle(placeIn(s)),
    }),
    worked<S>({
      id: id('armRaise'),
      name: name('Arm raised'),
      symbol: symbol('ar'),
      quantity: 'angle',
      formula: '',
      source: 'the figure as drawn',
      limits: [-60, 150],
      meaning: 'Hand held out from below the shoulder: 0° hangs straight down, 90° is level ahead.',
      feel: 'Arms held up tire soon where nothing carries their weight.',
      letGo: [arms.dimension, lean],
      of: (s) => armRaise(placeIn(s)),
    }),
    worked<S>({
      id: id('eyeHeight'),
      name: name('Eye height'),
      symbol: symbol('ey'),
      formula: '',
      source:
        'the figure as drawn; eye 0.118 of the stature above the shoulder [Drillis and Contini; the rest from memory]',
      meaning: 'Eye above the ground.',
      feel: 'Low eyes see, and are seen, less in traffic.',
      letGo: [lean, 'seatHeight', 'saddleHeight'],
      of: (s) => headOf(placeIn(s)).eye[2],
    }),
    worked<S>({
      id: id('helmetHeight'),
      name: name('Top of helmet'),
      symbol: symbol('tp'),
      formula: '',
      source: 'the figure as drawn; 30 mm of helmet',
      meaning: 'Top of the helmet above the ground.',
      letGo: [lean, 'seatHeight', 'saddleHeight'],
      of: (s) => headOf(placeIn(s)).top[2],
    }),
  ];
}
