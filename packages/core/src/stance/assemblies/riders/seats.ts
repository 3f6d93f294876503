import { toRadians } from '../../../units/angle.js';
import { HIP } from '../../../rider/figure.js';
import { add, along, type Vector } from '../../../vector/vector.js';
import { entry, worked } from '../../assembly.js';
import type { Dimension, Place } from '../../dimension.js';
import { pictured } from '../../pictures/pictured.js';
import type { PedalledState, SeatedState, WheelbaseState } from '../../states.js';
import { read, type Naming, type SeatPart } from './part.js';

const leanEntry = ({ id, name, symbol }: Naming): Dimension =>
  entry({
    id: id('trunkLean'),
    name: name('Trunk lean'),
    symbol: symbol('tl'),
    quantity: 'angle',
    limits: [5, 115],
    meaning: 'Hip to shoulder, up from level forward: 90° is upright, less leans forward.',
    feel: 'Leaning forward cuts the wind and loads the hands; upright sees more and tires less.',
    letGo: [id('elbowAngle'), id('armSpan')],
  });
const leanDrawn = ({ id }: Naming) =>
  ({
    id: id('trunkLean'),
    view: 'side',
    as: 'angle',
    at: id('hip'),
    from: 0,
    turn: (value: number) => value,
    radius: 110,
  }) as const;

/** A saddle over a bottom bracket, told along the seat tube's line. */
export function saddle<S extends PedalledState>(
  named: Naming,
  bracket: (state: S) => Place,
  start: { saddleHeight: number; saddleBack: number; trunkLean: number },
): SeatPart<S> & { readonly at: (state: S) => Vector } {
  const { id, name, symbol } = named;
  const [height, back, lean] = [id('saddleHeight'), id('saddleBack'), id('trunkLean')];
  const onLine = (s: S): Vector => {
    const angle = toRadians(s.seatTubeAngle);
    const { x, z } = bracket(s);
    return [x - read(s, height) * Math.cos(angle), 0, z + read(s, height) * Math.sin(angle)];
  };
  const at = (s: S): Vector => add(onLine(s), [-read(s, back), 0, 0]);
  return {
    start: { [height]: start.saddleHeight, [back]: start.saddleBack, [lean]: start.trunkLean },
    dimensions: [
      entry({
        id: height,
        name: name('Saddle height'),
        symbol: symbol('Ss'),
        limits: [200, 1100],
        meaning: 'Bottom bracket to the top of the saddle, along the seat tube’s line.',
        feel: 'Usual rule: 0.883 of the inseam.',
        letGo: [id('kneeAngle')],
      }),
      entry({
        id: back,
        name: name('Saddle behind the seat tube'),
        symbol: symbol('sb'),
        limits: [-150, 250],
        meaning: 'Where the rider sits, behind the seat tube’s line, level: seatpost setback and rails.',
      }),
      leanEntry(named),
      worked<S>({
        id: id('setback'),
        name: name('Setback'),
        symbol: symbol('su'),
        formula: `${symbol('su')} = ${symbol('Ss')}·cos S + ${symbol('sb')}`,
        meaning: 'Where the rider sits, behind the bottom bracket, level.',
        letGo: [back, height],
        of: (s) => bracket(s).x - at(s)[0],
      }),
      worked<S>({
        id: id('saddleAboveGround'),
        name: name('Saddle above ground'),
        symbol: symbol('sg'),
        formula: `${symbol('sg')} = h + ${symbol('Ss')}·sin S`,
        meaning: 'Top of the saddle above the ground.',
        letGo: [height],
        of: (s) => at(s)[2],
      }),
    ],
    points: (s) => ({
      [id('saddle')]: at(s),
      [id('saddleOnLine')]: onLine(s),
      [id('saddleGround')]: [at(s)[0], 0, 0],
      [id('saddleFoot')]: [bracket(s).x, 0, bracket(s).z],
    }),
    drawn: [
      leanDrawn(named),
      { id: height, view: 'side', as: 'aligned', from: id('saddleFoot'), to: id('saddleOnLine'), off: -44 },
      { id: id('setback'), view: 'side', as: 'level', from: id('saddle'), to: id('saddleFoot'), near: 64 },
    ],
    handles: [
      { point: id('saddle'), name: name('Saddle'), views: ['side'], moves: [height, back] },
      { point: id('hip'), name: name('Hip'), views: ['side'], moves: [height, back] },
    ],
    pictured: pictured<S>(
      () => ({}),
      [
        { id: back, view: 'side', as: 'level', from: id('saddle'), to: id('saddleOnLine'), near: -30 },
        {
          id: id('saddleAboveGround'),
          view: 'side',
          as: 'upright',
          from: id('saddleGround'),
          to: id('saddle'),
          near: -30,
        },
      ],
    ),
    lean,
    at,
    of: (s, { stature }) => ({
      hip: add(at(s), [0, 0, HIP.above * stature]),
      trunkAngle: read(s, lean),
      seat: { as: 'saddle', at: at(s) },
    }),
  };
}

/** Length and thickness of a motorcycle's seat as drawn, mm. Common practice, no source. */
const BENCH = { length: 420, thickness: 90 };

/** A seat to sit astride. */
export function bench<S extends WheelbaseState>(
  named: Naming,
  start: { seatAhead: number; seatHeight: number; trunkLean: number },
): SeatPart<S> {
  const at = (s: S): Vector => [read(s, 'seatAhead'), 0, read(s, 'seatHeight')];
  return {
    start,
    dimensions: [
      entry({
        id: 'seatAhead',
        name: 'Seat ahead of rear axle',
        symbol: 'sa',
        limits: [-200, 1500],
        meaning: 'Where the rider sits, ahead of the rear axle.',
      }),
      entry({
        id: 'seatHeight',
        name: 'Seat height',
        symbol: 'sh',
        limits: [300, 1200],
        meaning: 'Seat above the ground where the rider sits, with the rider aboard.',
        feel: 'Lower: the feet reach the ground. Higher: the knees are less bent.',
      }),
      leanEntry(named),
      worked<S>({
        id: 'seatToPegs',
        name: 'Seat above pegs',
        symbol: 'sp',
        formula: 'sp = sh − pz',
        meaning: 'Seat above the top of the pegs.',
        limits: [50, 900],
        letGo: ['pegHeight', 'seatHeight'],
        of: (s) => read(s, 'seatHeight') - read(s, 'pegHeight'),
      }),
    ],
    points: (s) => ({
      seat: at(s),
      seatGround: [at(s)[0], 0, 0],
      rearAxleAtSeat: [0, 0, at(s)[2]],
      seatAtPegs: [at(s)[0], 0, read(s, 'pegHeight')],
    }),
    drawn: [
      leanDrawn(named),
      { id: 'seatHeight', view: 'side', as: 'upright', from: 'seatGround', to: 'seat', near: -60 },
      { id: 'seatAhead', view: 'side', as: 'level', from: 'rearAxleAtSeat', to: 'seat', near: -64 },
    ],
    handles: [
      { point: 'seat', name: 'Seat', views: ['side'], moves: ['seatAhead', 'seatHeight'] },
      { point: 'hip', name: 'Hip', views: ['side'], moves: ['seatAhead', 'seatHeight'] },
    ],
    pictured: pictured<S>(
      () => ({}),
      [{ id: 'seatToPegs', view: 'side', as: 'upright', from: 'seatAtPegs', to: 'seat', near: 30 }],
    ),
    lean: 'trunkLean',
    of: (s, { stature }) => ({
      hip: add(at(s), [0, 0, HIP.above * stature]),
      trunkAngle: read(s, 'trunkLean'),
      seat: { as: 'bench', at: at(s), ...BENCH },
    }),
  };
}

/** Unit vectors of a shell seat in the side view: along its base, and up its back rest. */
export const shellLines = (s: SeatedState) => {
  const [base, back] = [toRadians(s.baseAngle), toRadians(s.backAngle)];
  return {
    base: [Math.cos(base), 0, Math.sin(base)] as Vector,
    up: [-Math.sin(base), 0, Math.cos(base)] as Vector,
    back: [-Math.cos(back), 0, Math.sin(back)] as Vector,
  };
};

/** Hip joint of a rider in a shell: as far off the back rest as off the base, square to each. */
function hipInShell(s: SeatedState, stature: number, corner: Vector): Vector {
  const { base, up } = shellLines(s);
  return along(along(corner, base, touching(s, stature)), up, HIP.shell * stature);
}

/** From where base and back rest meet to where each touches a circle about the hip, along it. */
const touching = ({ baseAngle, backAngle }: SeatedState, stature: number): number =>
  HIP.shell * stature * Math.tan(toRadians(baseAngle + backAngle) / 2);

const HIP_SOURCE = '0.07 of the stature, from memory';

/** A seat with a back rest; its numbers are the stance's. */
export const shell = <S extends SeatedState>(across: (state: S) => number = () => 0): SeatPart<S> => ({
  start: {},
  dimensions: [
    worked<S>({
      id: 'hipOffBack',
      name: 'Hip off the back rest',
      symbol: 'hb',
      formula: 'hb = 0.07·st',
      source: HIP_SOURCE,
      meaning: 'Hip joint off the face of the back rest, square to it.',
      letGo: [],
      of: (s) => HIP.shell * read(s, 'stature'),
    }),
    worked<S>({
      id: 'hipAboveBase',
      name: 'Hip above the seat base',
      symbol: 'hu',
      formula: 'hu = 0.07·st',
      source: HIP_SOURCE,
      meaning: 'Hip joint above the face of the seat base, square to it.',
      letGo: [],
      of: (s) => HIP.shell * read(s, 'stature'),
    }),
  ],
  pictured: pictured<S>(
    (s) => {
      const corner: Vector = [s.seatAhead, 0, s.seatHeight];
      const hip = hipInShell(s, read(s, 'stature'), corner);
      const { base, back } = shellLines(s);
      const way = touching(s, read(s, 'stature'));
      return {
        hipInShell: hip,
        hipOnBack: along(corner, back, way),
        hipOnBase: along(corner, base, way),
      };
    },
    [
      { id: 'hipOffBack', view: 'side', as: 'aligned', from: 'hipOnBack', to: 'hipInShell', off: 0 },
      { id: 'hipAboveBase', view: 'side', as: 'aligned', from: 'hipOnBase', to: 'hipInShell', off: 0 },
    ],
  ),
  handles: [{ point: 'hip', name: 'Hip', views: ['side'], moves: ['seatAhead', 'seatHeight'] }],
  lean: 'backAngle',
  of: (s, { stature }) => {
    const { base } = shellLines(s);
    const y = across(s);
    const corner: Vector = [s.seatAhead, y, s.seatHeight];
    return {
      hip: hipInShell(s, stature, corner),
      trunkAngle: 180 - s.backAngle,
      seat: {
        as: 'shell',
        corner,
        base: along(corner, base, s.baseLength),
        top: along(corner, shellLines(s).back, BACK_REST),
        thickness: s.seatThickness,
        half: HALF_SEAT,
      },
    };
  },
});
/** Height of a back rest along itself, and half the width of a seat, mm. Common practice, from memory. */
export const BACK_REST = 530;
export const HALF_SEAT = 190;

/** Two seats nearer than this are one, mm. */
const LEAST_SPREAD = 300;
/** How far the driver's seat is from the middle; 0 where there is one seat. */
export function seatAcross(s: SeatedState): number {
  const spread = read(s, 'seatSpread') ?? 0;
  return spread >= LEAST_SPREAD ? spread / 2 : 0;
}

/** Standing on a deck: the hips over the feet. */
export function standing<S extends WheelbaseState>(
  named: Naming,
  deckHeight: (state: S) => number,
  start: { hipAhead: number; hipHeight: number; trunkLean: number },
): SeatPart<S> {
  const hip = (s: S): Vector => [
    read(s, 'feetAhead') + read(s, 'hipAhead'),
    0,
    deckHeight(s) + read(s, 'hipHeight'),
  ];
  return {
    start,
    dimensions: [
      entry({
        id: 'hipAhead',
        name: 'Hips ahead of the feet',
        symbol: 'hx',
        limits: [-500, 400],
        meaning: 'Hip joints ahead of the balls of the feet, level; negative when behind them.',
      }),
      entry({
        id: 'hipHeight',
        name: 'Hips above the deck',
        symbol: 'hz',
        limits: [300, 1400],
        meaning: 'Hip joints above the deck, standing with the knees just bent.',
        letGo: ['kneeAngle'],
      }),
      leanEntry(named),
    ],
    points: (s) => {
      const [x, , z] = hip(s);
      return {
        hipDeck: [x, 0, deckHeight(s)],
        feetAtHip: [read(s, 'feetAhead'), 0, z],
      };
    },
    drawn: [
      leanDrawn(named),
      { id: 'hipHeight', view: 'side', as: 'upright', from: 'hipDeck', to: 'hip', near: -70 },
    ],
    handles: [{ point: 'hip', name: 'Hip', views: ['side'], moves: ['hipAhead', 'hipHeight'] }],
    pictured: pictured<S>(
      () => ({}),
      [{ id: 'hipAhead', view: 'side', as: 'level', from: 'feetAtHip', to: 'hip', near: -40 }],
    ),
    lean: 'trunkLean',
    of: (s) => ({ hip: hip(s), trunkAngle: read(s, 'trunkLean'), seat: { as: 'none' } }),
  };
}
