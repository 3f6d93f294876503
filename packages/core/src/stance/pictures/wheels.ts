import type { PairState, WheelbaseState } from '../states.js';
import { pictured } from './pictured.js';

export const wheelbasePictures = pictured<WheelbaseState>(
  (s) => ({
    rearMost: [-s.rearRadius, 0, s.rearRadius],
    foremost: [s.wheelbase + s.frontRadius, 0, s.frontRadius],
  }),
  [{ id: 'overallLength', view: 'side', as: 'level', from: 'rearMost', to: 'foremost', row: 1 }],
);

export const rearPairPictures = pictured<PairState>(
  (s) => ({
    rearLeftOuter: [0, (s.rearTrack + s.rearWidth) / 2, 0],
    rearRightOuter: [0, -(s.rearTrack + s.rearWidth) / 2, 0],
  }),
  [
    {
      id: 'rearOverWheels',
      view: 'plan',
      as: 'upright',
      from: 'rearRightOuter',
      to: 'rearLeftOuter',
      column: -1,
    },
  ],
);
