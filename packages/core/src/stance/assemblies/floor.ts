import { assembly, entry, worked, type Assembly } from '../assembly.js';
import { breakOver, slopeUnder } from '../clearance.js';
import { breakOverPictures, deckPictures, endsPictures } from '../pictures/floor.js';
import type { DeckState, EndsState, FloorState, WheelbaseState } from '../states.js';

const SLOPES = 'tangents below the tyres; angles as ISO 612 names them';

export const breakOverDimension = <S extends WheelbaseState>(clearance: (state: S) => number) =>
  worked<S>({
    id: 'breakOver',
    name: 'Break-over angle',
    symbol: 'bo',
    quantity: 'angle',
    formula: '',
    source: SLOPES,
    meaning:
      'Between the two slopes of the sharpest ridge that the floor clears, at the worst place between the wheels.',
    letGo: ['groundClearance', 'deckHeight', 'wheelbase'],
    of: (s) =>
      breakOver(
        { x: 0, z: s.rearRadius },
        s.rearRadius,
        { x: s.wheelbase, z: s.frontRadius },
        s.frontRadius,
        clearance(s),
      ),
  });

/** The underside between the axles. */
export const floor = (groundClearance: number): Assembly =>
  assembly<FloorState>({
    start: { groundClearance },
    dimensions: [
      entry({
        id: 'groundClearance',
        name: 'Ground clearance',
        symbol: 'gc',
        limits: [5, 800],
        meaning: 'Underside of the lowest frame tubes above the ground, with the rider aboard.',
        otherWord: 'Kart builders say ride height.',
      }),
      breakOverDimension<FloorState>((s) => s.groundClearance),
    ],
    points: (s) => ({
      floorRear: [s.rearRadius * 0.55, 0, s.groundClearance],
      floorFront: [s.wheelbase - s.frontRadius * 0.55, 0, s.groundClearance],
      floorMiddle: [s.wheelbase / 2, 0, s.groundClearance],
      floorMiddleGround: [s.wheelbase / 2, 0, 0],
    }),
    pictured: [breakOverPictures<FloorState>((s) => s.groundClearance)],
    outline: [{ from: 'floorRear', to: 'floorFront', as: 'floor' }],
    drawn: [
      {
        id: 'groundClearance',
        view: 'side',
        as: 'upright',
        from: 'floorMiddleGround',
        to: 'floorMiddle',
        near: 0,
      },
    ],
    handles: [{ point: 'floorMiddle', name: 'Floor', views: ['side'], moves: ['groundClearance'] }],
  });

/** How the frame ends ahead of and behind the axles, and what slopes it clears. */
export const ends = (start: {
  frontOverhang: number;
  noseHeight: number;
  rearOverhang: number;
  tailHeight: number;
}): Assembly =>
  assembly<EndsState>({
    start: { ...start },
    dimensions: [
      entry({
        id: 'frontOverhang',
        name: 'Nose ahead of axle',
        symbol: 'fo',
        limits: [-600, 1200],
        meaning: 'Foremost part of the frame ahead of the front axle; negative when behind it.',
      }),
      entry({
        id: 'noseHeight',
        name: 'Nose height',
        symbol: 'nh',
        limits: [5, 1500],
        meaning: 'Underside of the frame’s nose above the ground.',
      }),
      entry({
        id: 'rearOverhang',
        name: 'Tail behind axle',
        symbol: 'ro',
        limits: [-600, 1200],
        meaning: 'Rearmost part of the frame behind the rear axle; negative when ahead of it.',
      }),
      entry({
        id: 'tailHeight',
        name: 'Tail height',
        symbol: 'th',
        limits: [5, 1500],
        meaning: 'Underside of the frame’s tail above the ground.',
      }),
      worked<EndsState>({
        id: 'approach',
        name: 'Approach angle',
        symbol: 'ap',
        quantity: 'angle',
        formula: '',
        source: SLOPES,
        meaning:
          'Steepest slope that the front tyres reach before the nose. 90° when the tyre is first at anything.',
        letGo: ['noseHeight', 'frontOverhang'],
        of: (s) =>
          s.frontOverhang <= 0
            ? 90
            : slopeUnder({ x: s.wheelbase, z: s.frontRadius }, s.frontRadius, {
                x: s.wheelbase + s.frontOverhang,
                z: s.noseHeight,
              }),
      }),
      worked<EndsState>({
        id: 'departure',
        name: 'Departure angle',
        symbol: 'dp',
        quantity: 'angle',
        formula: '',
        source: SLOPES,
        meaning:
          'Steepest slope that the rear tyres leave before the tail touches. 90° when the tail is never first.',
        letGo: ['tailHeight', 'rearOverhang'],
        of: (s) =>
          s.rearOverhang <= 0
            ? 90
            : slopeUnder({ x: 0, z: s.rearRadius }, s.rearRadius, { x: -s.rearOverhang, z: s.tailHeight }),
      }),
    ],
    points: (s) => ({
      nose: [s.wheelbase + s.frontOverhang, 0, s.noseHeight],
      noseGround: [s.wheelbase + s.frontOverhang, 0, 0],
      noseOverAxle: [s.wheelbase, 0, s.noseHeight],
      tail: [-s.rearOverhang, 0, s.tailHeight],
      tailGround: [-s.rearOverhang, 0, 0],
    }),
    pictured: [endsPictures],
    outline: [
      { from: 'floorFront', to: 'nose', as: 'floor' },
      { from: 'floorRear', to: 'tail', as: 'floor' },
    ],
    drawn: [
      { id: 'noseHeight', view: 'side', as: 'upright', from: 'noseGround', to: 'nose', column: 1 },
      { id: 'tailHeight', view: 'side', as: 'upright', from: 'tailGround', to: 'tail', column: -1 },
    ],
    handles: [
      { point: 'nose', name: 'Nose', views: ['side'], moves: ['frontOverhang', 'noseHeight'] },
      { point: 'tail', name: 'Tail', views: ['side'], moves: ['rearOverhang', 'tailHeight'] },
    ],
  });

/** A deck to stand on between the wheels: scooters. */
export const deck: Assembly = assembly<DeckState>({
  start: { deckHeight: 110, deckThickness: 37, deckLength: 520, deckAhead: 170 },
  dimensions: [
    entry({
      id: 'deckHeight',
      name: 'Deck height',
      symbol: 'dh',
      limits: [30, 500],
      meaning: 'Top of the deck above the ground, with the rider aboard.',
      feel: 'Lower is easier to push: less knee bend of the standing leg.',
    }),
    entry({
      id: 'deckThickness',
      name: 'Deck and rails',
      symbol: 'dt',
      limits: [3, 150],
      meaning: 'Top of the deck to the underside of its rails.',
    }),
    entry({
      id: 'deckLength',
      name: 'Deck length',
      symbol: 'dl',
      limits: [150, 1500],
      meaning: 'Length of the deck to stand on.',
    }),
    entry({
      id: 'deckAhead',
      name: 'Deck ahead of rear axle',
      symbol: 'dx',
      limits: [0, 800],
      meaning: 'Rear edge of the deck ahead of the rear axle, level.',
    }),
    worked<DeckState>({
      id: 'groundClearance',
      name: 'Ground clearance',
      symbol: 'gc',
      formula: 'gc = dh − dt',
      limits: [5, 500],
      meaning: 'Underside of the deck’s rails above the ground.',
      letGo: ['deckHeight', 'deckThickness'],
      of: (s) => s.deckHeight - s.deckThickness,
    }),
    worked<DeckState>({
      id: 'deckToTyre',
      name: 'Deck to front tyre',
      symbol: 'dg',
      formula: 'dg = L − Rf − dx − dl',
      meaning:
        'Front edge of the deck to the rear edge of the front tyre, level: room for the neck and for the toes in a turn.',
      letGo: ['wheelbase', 'deckLength', 'deckAhead'],
      of: (s) => s.wheelbase - s.frontRadius - s.deckAhead - s.deckLength,
    }),
    breakOverDimension<DeckState>((s) => s.deckHeight - s.deckThickness),
  ],
  points: (s) => ({
    deckRear: [s.deckAhead, 0, s.deckHeight],
    deckFront: [s.deckAhead + s.deckLength, 0, s.deckHeight],
    floorRear: [s.deckAhead, 0, s.deckHeight - s.deckThickness],
    floorFront: [s.deckAhead + s.deckLength, 0, s.deckHeight - s.deckThickness],
    deckMiddle: [s.deckAhead + s.deckLength / 2, 0, s.deckHeight],
    deckMiddleGround: [s.deckAhead + s.deckLength / 2, 0, 0],
    tyreEdge: [s.wheelbase - s.frontRadius, 0, s.deckHeight],
  }),
  pictured: [deckPictures, breakOverPictures<DeckState>((s) => s.deckHeight - s.deckThickness)],
  outline: [
    { from: 'deckRear', to: 'deckFront', as: 'seat' },
    { from: 'floorRear', to: 'floorFront', as: 'floor' },
    { from: 'floorRear', to: 'rearAxle', as: 'part' },
    { from: 'deckFront', to: 'headTubeLower', as: 'part' },
  ],
  drawn: [
    { id: 'deckLength', view: 'side', as: 'aligned', from: 'deckRear', to: 'deckFront', off: 30 },
    { id: 'deckHeight', view: 'side', as: 'upright', from: 'deckMiddleGround', to: 'deckMiddle', near: 0 },
    { id: 'deckToTyre', view: 'side', as: 'aligned', from: 'deckFront', to: 'tyreEdge', off: 56 },
  ],
  handles: [
    {
      point: 'deckFront',
      name: 'Front of the deck',
      views: ['side'],
      moves: ['deckLength', 'deckHeight', 'groundClearance'],
    },
  ],
});
