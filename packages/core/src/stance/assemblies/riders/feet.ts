import type { Feet } from '../../../rider/place.js';
import { entry } from '../../assembly.js';
import type { Dimension } from '../../dimension.js';
import { pictured } from '../../pictures/pictured.js';
import type { DeckState, SeatedState, WheelbaseState } from '../../states.js';
import { read, type Part } from './part.js';

/** Middle of the vehicle to the middle of a pedal or foot, mm. Common practice, no source. */
const TREAD = { cranks: 115, pedals: 120, pegs: 190, deck: 70 } as const;
/** A foot's middle inside the end of its peg, mm. Common practice, no source. */
const INSIDE_PEG = 45;

/** Cranks about a bottom bracket that the vehicle has already. */
export const cranksAt = <S extends object>(
  bracket: (state: S) => { x: number; z: number },
): Part<S, Feet> => ({
  start: {},
  dimensions: [],
  of: (s) => {
    const { x, z } = bracket(s);
    return { on: 'cranks', bracket: [x, 0, z], crank: read(s, 'crankLength'), tread: TREAD.cranks };
  },
});

export const crankEntry: Dimension = entry({
  id: 'crankLength',
  name: 'Crank length',
  symbol: 'cr',
  limits: [80, 220],
  meaning: 'Bottom bracket to pedal axle.',
  feel: 'Shorter bends the knees less and wants lower gears.',
});

/** Cranks at the end of the leg room: recumbent trikes. */
export const cranksAtPedals = <S extends SeatedState>(crankLength: number): Part<S, Feet> => ({
  ...cranksAt<S>((s) => ({ x: s.seatAhead + s.legRoom, z: s.pedalHeight })),
  start: { crankLength },
  dimensions: [crankEntry],
  points: (s) => ({
    pedalFar: [s.seatAhead + s.legRoom + read(s, 'crankLength'), 0, s.pedalHeight],
  }),
  drawn: [{ id: 'crankLength', view: 'side', as: 'aligned', from: 'pedals', to: 'pedalFar', off: -24 }],
});

/** Pedals or pegs at the end of the leg room, pressed or rested on. */
export const restsAtPedals = <S extends SeatedState>({
  across = () => 0,
  arch = false,
}: { readonly across?: (state: S) => number; readonly arch?: boolean } = {}): Part<S, Feet> => ({
  start: {},
  dimensions: [],
  of: (s) => ({
    on: 'rests',
    at: [s.seatAhead + s.legRoom, across(s), s.pedalHeight],
    tread: arch ? TREAD.pegs : TREAD.pedals,
    arch,
  }),
});

/** Pegs below the seat of one who sits astride. */
export const pegs = <S extends WheelbaseState>(start: {
  pegsAhead: number;
  pegHeight: number;
  pegSpread: number;
}): Part<S, Feet> => ({
  start,
  dimensions: [
    entry({
      id: 'pegsAhead',
      name: 'Pegs ahead of rear axle',
      symbol: 'pg',
      limits: [0, 2000],
      meaning: 'Middle of the pegs ahead of the rear axle, level.',
    }),
    entry({
      id: 'pegHeight',
      name: 'Peg height',
      symbol: 'pz',
      limits: [60, 900],
      meaning: 'Top of the pegs above the ground, with the rider aboard.',
      feel: 'Higher leans further before it scrapes; lower opens the knees.',
    }),
    entry({
      id: 'pegSpread',
      name: 'Over the pegs',
      symbol: 'pw',
      limits: [200, 1000],
      meaning: 'Outer end of the left peg to the outer end of the right one.',
    }),
  ],
  points: (s) => {
    const [x, half, z] = [read(s, 'pegsAhead'), read(s, 'pegSpread') / 2, read(s, 'pegHeight')];
    return {
      pegs: [x, 0, z],
      pegsGround: [x, 0, 0],
      pegLeft: [x, half, z],
      pegRight: [x, -half, z],
      rearAxleAtPegs: [0, 0, z],
    };
  },
  drawn: [
    { id: 'pegHeight', view: 'side', as: 'upright', from: 'pegsGround', to: 'pegs', near: 30 },
    { id: 'pegSpread', view: 'plan', as: 'aligned', from: 'pegRight', to: 'pegLeft', off: 34 },
  ],
  handles: [{ point: 'pegs', name: 'Pegs', views: ['side', 'plan'], moves: ['pegsAhead', 'pegHeight'] }],
  pictured: pictured<S>(
    () => ({}),
    [{ id: 'pegsAhead', view: 'side', as: 'level', from: 'rearAxleAtPegs', to: 'pegs', near: -30 }],
  ),
  of: (s) => ({
    on: 'rests',
    at: [read(s, 'pegsAhead'), 0, read(s, 'pegHeight')],
    tread: read(s, 'pegSpread') / 2 - INSIDE_PEG,
    arch: true,
  }),
});

/** Both feet on a deck. */
export const onDeck = <S extends DeckState>(feetAhead: number): Part<S, Feet> => ({
  start: { feetAhead },
  dimensions: [
    entry({
      id: 'feetAhead',
      name: 'Feet ahead of rear axle',
      symbol: 'fx',
      limits: [0, 2000],
      meaning: 'Balls of the feet ahead of the rear axle, level.',
    }),
  ],
  points: (s) => ({
    feet: [read(s, 'feetAhead'), 0, s.deckHeight],
    rearAxleAtDeck: [0, 0, s.deckHeight],
  }),
  drawn: [{ id: 'feetAhead', view: 'side', as: 'level', from: 'rearAxleAtDeck', to: 'feet', near: 56 }],
  handles: [{ point: 'feet', name: 'Feet', views: ['side'], moves: ['feetAhead'] }],
  of: (s) => ({ on: 'rests', at: [read(s, 'feetAhead'), 0, s.deckHeight], tread: TREAD.deck, level: true }),
});
