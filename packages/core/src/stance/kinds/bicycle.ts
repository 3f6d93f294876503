import type { Dimension, Kind, Refusal, State } from '../dimension.js';
import { mechanicalTrail, wheelFlop } from '../singleTrack.js';
import { toRadians } from '../../units/angle.js';
import { lengthBothWays } from '../../units/length.js';
import { BICYCLE_BANDS } from './bicycleBands.js';
import { BICYCLE_SETS } from './bicycleSets.js';
import * as shape from './bicycleShape.js';
import { toeClearance } from './toeClearance.js';

type Entry = Omit<Dimension, 'evaluate' | 'limits'> & {
  readonly limits?: readonly [number, number];
  readonly of?: (b: shape.BicycleState) => number;
};

const ANY: readonly [number, number] = [-10000, 10000];
const TRIGONOMETRY = 'plane trigonometry';

/** Fills in what most entries share: a state entry is its own value. */
function dimension({ of, limits, ...entry }: Entry): Dimension {
  const evaluate = of ? (state: State) => of(shape.asBicycle(state)) : (state: State) => state[entry.id]!;
  return { ...entry, limits: limits ?? ANY, evaluate };
}

const given = { role: 'given', source: 'measured or chosen', quantity: 'length' } as const;
const follows = { role: 'follows', source: TRIGONOMETRY, quantity: 'length' } as const;
const exchange = { role: 'exchange', source: TRIGONOMETRY, quantity: 'length' } as const;

const DIMENSIONS: readonly Dimension[] = [
  dimension({
    ...given,
    id: 'rearRadius',
    name: 'Rear wheel radius',
    symbol: 'Rr',
    limits: [50, 600],
    formula: 'Rr',
    meaning: 'Axle to ground at the rear, with the rider aboard.',
  }),
  dimension({
    ...given,
    id: 'frontRadius',
    name: 'Front wheel radius',
    symbol: 'Rf',
    limits: [50, 600],
    formula: 'Rf',
    meaning: 'Axle to ground at the front, with the rider aboard.',
  }),
  dimension({
    ...given,
    id: 'headAngle',
    name: 'Head angle',
    symbol: 'H',
    quantity: 'angle',
    limits: [30, 89.5],
    formula: 'H',
    meaning:
      'Steering axis from the ground, leaning rearwards; 90° is upright. Motorcycle builders read the same lean from the vertical and call it rake: 90° − H.',
    feel: 'Slacker (smaller) gives more trail and flop: steadier when fast, heavier when slow.',
  }),
  dimension({
    ...given,
    id: 'forkOffset',
    name: 'Fork offset',
    symbol: 'o',
    limits: [-150, 250],
    formula: 'o',
    meaning:
      'Front axle ahead of the steering axis, square to it. The bicycle trade also calls this length rake.',
    feel: 'More offset takes trail away.',
  }),
  dimension({
    ...given,
    id: 'axleToCrown',
    name: 'Axle to crown',
    symbol: 'A',
    limits: [120, 900],
    formula: 'A',
    meaning: 'Front axle to the seat of the lower bearing on the fork crown.',
  }),
  dimension({
    ...given,
    id: 'lowerStack',
    name: 'Lower bearing stack',
    symbol: 'l',
    limits: [0, 60],
    formula: 'l',
    meaning: 'Height of the lower bearing between crown seat and head tube.',
  }),
  dimension({
    ...given,
    id: 'headTubeLength',
    name: 'Head-tube length',
    symbol: 'T',
    limits: [40, 700],
    formula: 'T',
    meaning: 'Length of the head tube between its two faces.',
  }),
  dimension({
    ...given,
    id: 'chainstayLength',
    name: 'Chainstay length',
    symbol: 'CS',
    limits: [150, 900],
    formula: 'CS',
    meaning: 'Rear axle to bottom bracket, straight.',
    feel: 'Shorter is quick to turn and loads the rear wheel; longer is calm and leaves room for heels and bags.',
  }),
  dimension({
    ...given,
    id: 'bottomBracketDrop',
    name: 'BB drop',
    symbol: 'd',
    limits: [-300, 300],
    formula: 'd',
    meaning: 'Bottom bracket below the rear axle; negative when above it.',
  }),
  dimension({
    ...given,
    id: 'seatTubeAngle',
    name: 'Seat-tube angle',
    symbol: 'S',
    quantity: 'angle',
    limits: [45, 89.5],
    formula: 'S',
    meaning: 'Seat tube from the ground, leaning rearwards.',
  }),
  dimension({
    ...given,
    id: 'seatTubeLength',
    name: 'Seat-tube length',
    symbol: 'ST',
    limits: [120, 900],
    formula: 'ST',
    meaning: 'Bottom bracket to the top edge of the seat tube, along the tube.',
  }),
  dimension({
    ...exchange,
    id: 'reach',
    name: 'Reach',
    symbol: 're',
    limits: [50, 900],
    formula: 're = x of head-tube top − x of BB',
    meaning: 'Horizontal from the bottom bracket to the top centre of the head tube.',
    of: (b) => shape.reachAndStack(b).reach,
  }),
  dimension({
    ...exchange,
    id: 'wheelbase',
    name: 'Wheelbase',
    symbol: 'L',
    limits: [400, 3000],
    formula: 'L = x of front axle − x of rear axle',
    meaning: 'Rear contact patch to front contact patch.',
    feel: 'Short is quick and nervous; long is calm and turns wide.',
  }),
  dimension({
    ...exchange,
    id: 'frontCentre',
    name: 'Front centre',
    symbol: 'FC',
    limits: [200, 2500],
    formula: 'FC = √((L − x of BB)² + (Rf − z of BB)²)',
    meaning: 'Bottom bracket to front axle, straight.',
    of: (b) => Math.hypot(b.wheelbase - shape.bottomBracket(b).x, b.frontRadius - shape.bottomBracket(b).z),
  }),
  dimension({
    ...given,
    id: 'crankLength',
    name: 'Crank length',
    symbol: 'c',
    limits: [80, 220],
    formula: 'c',
    meaning: 'Bottom bracket to pedal axle.',
  }),
  dimension({
    ...given,
    id: 'toeAllowance',
    name: 'Toe allowance',
    symbol: 'f',
    limits: [0, 200],
    formula: 'f',
    meaning: 'Toe of the shoe ahead of the pedal axle.',
  }),
  dimension({
    ...follows,
    id: 'trail',
    name: 'Trail',
    symbol: 't',
    formula: 't = (Rf cos H − o) / sin H',
    meaning: 'Contact patch behind the point where the steering axis meets the ground.',
    feel: 'More trail is steadier and slower to turn.',
    of: shape.frontTrail,
  }),
  dimension({
    ...follows,
    id: 'mechanicalTrail',
    name: 'Mechanical trail',
    symbol: 'n',
    formula: 'n = Rf cos H − o',
    meaning: 'Contact patch to steering axis, square to the axis; also called normal trail.',
    of: (b) => mechanicalTrail(b.frontRadius, b.headAngle, b.forkOffset),
  }),
  dimension({
    ...follows,
    id: 'wheelFlop',
    name: 'Wheel flop',
    symbol: 'w',
    formula: 'w = t sin H cos H',
    meaning: 'How far the front end wants to drop when the bars turn.',
    feel: 'More flop: the bars fall to the side at low speed.',
    of: (b) => wheelFlop(b.frontRadius, b.headAngle, b.forkOffset),
  }),
  dimension({
    ...follows,
    id: 'stack',
    name: 'Stack',
    symbol: 'sk',
    formula: 'sk = z of head-tube top − z of BB',
    meaning: 'Vertical from the bottom bracket to the top centre of the head tube.',
    of: (b) => shape.reachAndStack(b).stack,
  }),
  dimension({
    ...follows,
    id: 'effectiveTopTube',
    name: 'Effective top tube',
    symbol: 'TT',
    formula: 'TT = re + sk / tan S',
    meaning: 'Horizontal from the top centre of the head tube back to the seat tube’s line.',
    of: (b) => {
      const { reach, stack } = shape.reachAndStack(b);
      return reach + stack / Math.tan(toRadians(b.seatTubeAngle));
    },
  }),
  dimension({
    ...follows,
    id: 'bottomBracketHeight',
    name: 'BB height',
    symbol: 'h',
    formula: 'h = Rr − d',
    meaning: 'Bottom bracket above the ground.',
    of: (b) => shape.bottomBracket(b).z,
  }),
  dimension({
    ...follows,
    id: 'dropBelowAxles',
    name: 'Drop below the axles',
    symbol: 'da',
    formula: 'da = Rr + (Rf − Rr) x / L − h',
    meaning: 'Bottom bracket below the straight line from axle to axle.',
    of: (b) => {
      const bb = shape.bottomBracket(b);
      return b.rearRadius + ((b.frontRadius - b.rearRadius) * bb.x) / b.wheelbase - bb.z;
    },
  }),
  dimension({
    ...follows,
    id: 'toeClearance',
    name: 'Toe clearance',
    symbol: 'tc',
    formula: 'x of the turned tyre’s rear edge − (x of BB + c + f)',
    source: 'exact rotation about the steering axis; shoe 120 mm off the middle [common practice]',
    meaning:
      'Gap from the toe, crank level and forward, to the tyre turned to meet it. Negative: they touch in tight turns.',
    of: toeClearance,
  }),
];

/** Shapes that no bicycle can have, each with its limit. */
function refuse(state: State): readonly Refusal[] {
  const b = shape.asBicycle(state);
  const refusals: Refusal[] = [];
  if (b.chainstayLength <= Math.abs(b.bottomBracketDrop)) {
    const limit = Math.abs(b.bottomBracketDrop);
    refusals.push({
      where: 'chainstayLength',
      message: `Chainstay and BB drop do not meet: the chainstay must be longer than the drop, ${lengthBothWays(limit)}.`,
    });
  }
  if (b.axleToCrown <= Math.abs(b.forkOffset)) {
    refusals.push({
      where: 'axleToCrown',
      message: `Axle to crown must be longer than the fork offset, ${lengthBothWays(Math.abs(b.forkOffset))}.`,
    });
  }
  return refusals;
}

export const BICYCLE: Kind = {
  id: 'bicycle',
  name: 'Bicycle',
  state: shape.BICYCLE_STATE,
  start: { wheelbase: 1000 },
  dimensions: DIMENSIONS,
  exchange: [['reach', 'wheelbase', 'frontCentre']],
  readings: [
    'trail',
    'wheelbase',
    'wheelFlop',
    'stack',
    'effectiveTopTube',
    'bottomBracketHeight',
    'toeClearance',
    'mechanicalTrail',
  ],
  points: (state) => shape.bicyclePoints(shape.asBicycle(state)),
  refuse,
  bands: BICYCLE_BANDS,
  startingSets: BICYCLE_SETS,
};
