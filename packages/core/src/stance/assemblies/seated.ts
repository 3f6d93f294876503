import { assembly, entry, worked, type Assembly } from '../assembly.js';
import { seatedPictures } from '../pictures/seated.js';
import type { SeatedState } from '../states.js';

/** Size of the seat as drawn, mm; common practice, from memory. */
const BASE = 320;
const HALF_SEAT = 190;

interface Options {
  readonly seatAhead: number;
  readonly seatHeight: number;
  readonly legRoom: number;
  readonly pedalHeight: number;
  /** What the feet are on, in this kind's word. */
  readonly feetOn: 'Pedals' | 'Pegs' | 'BB';
}

/** Seat and feet of a rider who sits in the vehicle: trikes, karts, buggies, low motorcycles. Leg room can set the wheelbase. */
export const seated = ({ feetOn, ...start }: Options): Assembly =>
  assembly<SeatedState>({
    start,
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
    points: (s) => ({
      seat: [s.seatAhead, 0, s.seatHeight],
      seatGround: [s.seatAhead, 0, 0],
      seatFront: [s.seatAhead + BASE, 0, s.seatHeight + 40],
      seatTop: [s.seatAhead - 230, 0, s.seatHeight + 480],
      seatLeft: [s.seatAhead, HALF_SEAT, s.seatHeight],
      seatRight: [s.seatAhead, -HALF_SEAT, s.seatHeight],
      seatFrontLeft: [s.seatAhead + BASE, HALF_SEAT, s.seatHeight + 40],
      seatFrontRight: [s.seatAhead + BASE, -HALF_SEAT, s.seatHeight + 40],
      seatTopLeft: [s.seatAhead - 230, HALF_SEAT, s.seatHeight + 480],
      seatTopRight: [s.seatAhead - 230, -HALF_SEAT, s.seatHeight + 480],
      pedals: [s.seatAhead + s.legRoom, 0, s.pedalHeight],
      pedalsGround: [s.seatAhead + s.legRoom, 0, 0],
      seatAbove: [s.seatAhead, 0, Math.max(s.seatHeight, s.pedalHeight)],
      pedalsAbove: [s.seatAhead + s.legRoom, 0, Math.max(s.seatHeight, s.pedalHeight)],
    }),
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
    drawn: [
      { id: 'legRoom', view: 'side', as: 'level', from: 'seatAbove', to: 'pedalsAbove', near: -92 },
      { id: 'seatHeight', view: 'side', as: 'upright', from: 'seatGround', to: 'seat', near: -40 },
      { id: 'pedalHeight', view: 'side', as: 'upright', from: 'pedalsGround', to: 'pedals', near: 34 },
    ],
    handles: [
      { point: 'seat', name: 'Seat', views: ['side'], moves: ['seatAhead', 'seatHeight'] },
      { point: 'pedals', name: feetOn, views: ['side'], moves: ['legRoom', 'pedalHeight', 'pedalsAhead'] },
    ],
  });
