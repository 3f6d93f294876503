import type { SeatedState } from '../states.js';
import { pictured } from './pictured.js';

export const seatedPictures = pictured<SeatedState>(
  (s) => ({
    rearAxleAtSeat: [0, 0, s.seatHeight],
    frontAxleAtPedals: [s.wheelbase, 0, s.pedalHeight],
  }),
  [
    { id: 'seatAhead', view: 'side', as: 'level', from: 'rearAxleAtSeat', to: 'seat', near: -60 },
    { id: 'baseLength', view: 'side', as: 'aligned', from: 'seat', to: 'seatFront', off: -30 },
    { id: 'seatThickness', view: 'side', as: 'aligned', from: 'seatUnder', to: 'seatFront', off: -30 },
    {
      id: 'baseAngle',
      view: 'side',
      as: 'angle',
      at: 'seat',
      from: 0,
      turn: (value) => value,
      radius: 150,
    },
    { id: 'pedalsAhead', view: 'side', as: 'level', from: 'frontAxleAtPedals', to: 'pedals', near: -120 },
  ],
);
