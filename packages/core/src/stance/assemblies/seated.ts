import { along, type Vector } from '../../vector/vector.js';
import { assembly, entry, worked, type Assembly } from '../assembly.js';
import { seatedPictures } from '../pictures/seated.js';
import type { Drawn, Handle } from '../dimension.js';
import type { SeatedState } from '../states.js';
import { BACK_REST, HALF_SEAT, seatAcross, shellLines } from './riders/seats.js';

interface Options {
  readonly seatAhead: number;
  readonly seatHeight: number;
  readonly legRoom: number;
  readonly pedalHeight: number;
  readonly backAngle: number;
  /** What the feet are on, in this kind's word. */
  readonly feetOn: 'Pedals' | 'Pegs' | 'BB';
}

/** Seat and feet of a rider who sits in the vehicle: trikes, karts, buggies, low motorcycles. Leg room can set the wheelbase. */
export const seated = ({ feetOn, ...start }: Options): Assembly =>
  assembly<SeatedState>({
    start: { baseAngle: 8, baseLength: 340, seatThickness: 30, ...start },
    dimensions: [
      entry({
        id: 'seatAhead',
        name: 'Seat ahead of rear axle',
        symbol: 'sa',
        limits: [-800, 2500],
        meaning: 'Where seat base and back rest meet, ahead of the rear axle; negative when behind it.',
      }),
      entry({
        id: 'seatHeight',
        name: 'Seat height',
        symbol: 'sh',
        limits: [20, 1200],
        meaning: 'Lowest part of the seat above the ground, with the rider aboard.',
        feel: 'Lower resists tipping; higher is easier to climb out of and sees further.',
      }),
      entry({
        id: 'legRoom',
        name: 'Leg room',
        symbol: 'lr',
        limits: [300, 1600],
        meaning: `Level distance from the foot of the back rest to the ${feetOn.toLowerCase().replace('bb', 'BB')}.`,
      }),
      entry({
        id: 'pedalHeight',
        name: `${feetOn} height`,
        symbol: 'ph',
        limits: [10, 1200],
        meaning: `${feetOn === 'BB' ? 'Bottom bracket' : feetOn} above the ground.`,
      }),
      entry({
        id: 'backAngle',
        name: 'Back rest',
        symbol: 'ba',
        quantity: 'angle',
        limits: [15, 100],
        meaning: 'Back rest from the ground, leaning rearwards; 90° is upright.',
        feel: 'Flatter is lower and out of the wind, sees less and is harder to climb out of.',
      }),
      entry({
        id: 'baseAngle',
        name: 'Seat base tilt',
        symbol: 'bt',
        quantity: 'angle',
        limits: [-10, 40],
        meaning: 'Seat base up from level, rising to the front.',
        feel: 'Tilted up it holds the rider back against braking.',
      }),
      entry({
        id: 'baseLength',
        name: 'Seat base length',
        symbol: 'bl',
        limits: [120, 700],
        meaning: 'Where base and back rest meet to the front edge of the base, along it.',
        feel: 'Too long, and the front edge meets the thighs.',
      }),
      entry({
        id: 'seatThickness',
        name: 'Seat thickness',
        symbol: 'se',
        limits: [0, 200],
        meaning: 'Sitting surface to the underside of the seat, pressed.',
      }),
      worked<SeatedState>({
        id: 'pedalsAhead',
        name: `${feetOn} ahead of front axle`,
        symbol: 'pa',
        formula: 'pa = sa + lr − L',
        limits: [-1500, 1500],
        meaning: `${feetOn === 'BB' ? 'Bottom bracket' : feetOn} ahead of the front axle, level; negative when behind it.`,
        letGo: ['wheelbase', 'legRoom', 'seatAhead'],
        of: (s) => s.seatAhead + s.legRoom - s.wheelbase,
      }),
    ],
    points: (s) => {
      const { base, up, back } = shellLines(s);
      const corner: Vector = [s.seatAhead, 0, s.seatHeight];
      const [front, top] = [along(corner, base, s.baseLength), along(corner, back, BACK_REST)];
      // Two seats beside each other are drawn as one.
      const half = HALF_SEAT + seatAcross(s);
      const side = ([x, , z]: Vector, y: number): Vector => [x, y, z];
      return {
        seat: corner,
        seatGround: [s.seatAhead, 0, 0],
        seatFront: front,
        seatUnder: along(front, up, -s.seatThickness),
        seatTop: top,
        seatLeft: side(corner, half),
        seatRight: side(corner, -half),
        seatFrontLeft: side(front, half),
        seatFrontRight: side(front, -half),
        seatTopLeft: side(top, half),
        seatTopRight: side(top, -half),
        pedals: [s.seatAhead + s.legRoom, 0, s.pedalHeight],
        pedalsGround: [s.seatAhead + s.legRoom, 0, 0],
        seatAbove: [s.seatAhead, 0, Math.max(s.seatHeight, s.pedalHeight)],
        pedalsAbove: [s.seatAhead + s.legRoom, 0, Math.max(s.seatHeight, s.pedalHeight)],
      };
    },
    pictured: [seatedPictures],
    outline: [
      ['seatLeft', 'seatFrontLeft'],
      ['seatRight', 'seatFrontRight'],
      ['seatLeft', 'seatTopLeft'],
      ['seatRight', 'seatTopRight'],
      ['seatLeft', 'seatRight'],
      ['seatFrontLeft', 'seatFrontRight'],
      ['seatTopLeft', 'seatTopRight'],
    ].map(([from, to]) => ({ from: from!, to: to!, as: 'seat' as const })),
    drawn: DRAWN,
    handles: handlesOf(feetOn),
    seat: {
      drawn: [
        ...DRAWN,
        {
          id: 'backAngle',
          view: 'side',
          as: 'angle',
          at: 'seat',
          from: 180,
          turn: (value) => 180 - value,
          radius: 110,
        },
      ],
      handles: [
        ...handlesOf(feetOn),
        {
          point: 'seatFront',
          name: 'Front edge of the seat',
          views: ['side'],
          moves: ['baseLength', 'baseAngle'],
        },
      ],
    },
  });

const DRAWN: readonly Drawn[] = [
  { id: 'legRoom', view: 'side', as: 'level', from: 'seatAbove', to: 'pedalsAbove', near: -92 },
  { id: 'seatHeight', view: 'side', as: 'upright', from: 'seatGround', to: 'seat', near: -40 },
  { id: 'pedalHeight', view: 'side', as: 'upright', from: 'pedalsGround', to: 'pedals', near: 34 },
];
const handlesOf = (feetOn: string): readonly Handle[] => [
  { point: 'seat', name: 'Seat', views: ['side'], moves: ['seatAhead', 'seatHeight'] },
  { point: 'pedals', name: feetOn, views: ['side'], moves: ['legRoom', 'pedalHeight', 'pedalsAhead'] },
];
