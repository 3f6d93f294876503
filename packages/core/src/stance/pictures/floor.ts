import type { DeckState, EndsState, WheelbaseState } from '../states.js';
import { ridge, slopeUnder } from '../clearance.js';
import type { State } from '../dimension.js';
import { toRadians } from '../../units/angle.js';
import { pictured } from './pictured.js';

/** The sharpest ridge that a floor clears, its two slopes running down from it. */
export const breakOverPictures = <S extends WheelbaseState>(clearance: (state: S) => number) => {
  const of = (state: State) => {
    const s = state as unknown as S;
    const rear = { x: 0, z: s.rearRadius };
    const front = { x: s.wheelbase, z: s.frontRadius };
    const height = clearance(s);
    const x = ridge(rear, s.rearRadius, front, s.frontRadius, height);
    return {
      x,
      height,
      rear: slopeUnder(rear, s.rearRadius, { x, z: height }),
      front: slopeUnder(front, s.frontRadius, { x, z: height }),
    };
  };
  return pictured<State>(
    (s) => {
      const { x, height } = of(s);
      return { ridge: [x, 0, height] };
    },
    [
      {
        // From the front slope to the rear slope carried on over the ridge.
        id: 'breakOver',
        view: 'side',
        as: 'angle',
        at: 'ridge',
        from: (s) => -of(s).front,
        turn: (_, s) => of(s).rear,
        radius: 520,
      },
    ],
  );
};

export const endsPictures = pictured<EndsState>(
  (s) => {
    const approach = slopeUnder({ x: s.wheelbase, z: s.frontRadius }, s.frontRadius, {
      x: s.wheelbase + s.frontOverhang,
      z: s.noseHeight,
    });
    const departure = slopeUnder({ x: 0, z: s.rearRadius }, s.rearRadius, {
      x: -s.rearOverhang,
      z: s.tailHeight,
    });
    return {
      approachFoot: [s.wheelbase + s.frontOverhang - s.noseHeight / Math.tan(toRadians(approach)), 0, 0],
      departureFoot: [-s.rearOverhang + s.tailHeight / Math.tan(toRadians(departure)), 0, 0],
      tailOverAxle: [0, 0, s.tailHeight],
    };
  },
  [
    { id: 'frontOverhang', view: 'side', as: 'level', from: 'noseOverAxle', to: 'nose', near: -60 },
    { id: 'rearOverhang', view: 'side', as: 'level', from: 'tailOverAxle', to: 'tail', near: -60 },
    {
      id: 'approach',
      view: 'side',
      as: 'angle',
      at: 'approachFoot',
      from: 0,
      turn: (value) => value,
      radius: 480,
    },
    {
      id: 'departure',
      view: 'side',
      as: 'angle',
      at: 'departureFoot',
      from: 180,
      turn: (value) => 180 - value,
      radius: 480,
    },
  ],
);

export const deckPictures = pictured<DeckState>(
  (s) => ({
    rearAxleAtDeck: [0, 0, s.deckHeight],
    floorMiddle: [s.deckAhead + s.deckLength / 2, 0, s.deckHeight - s.deckThickness],
  }),
  [
    { id: 'deckThickness', view: 'side', as: 'upright', from: 'floorFront', to: 'deckFront', near: 60 },
    { id: 'deckAhead', view: 'side', as: 'level', from: 'rearAxleAtDeck', to: 'deckRear', near: -60 },
    {
      id: 'groundClearance',
      view: 'side',
      as: 'upright',
      from: 'deckMiddleGround',
      to: 'floorMiddle',
      near: 0,
    },
  ],
);
