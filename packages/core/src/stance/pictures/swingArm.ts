import type { ArmState } from '../states.js';
import { pictured } from './pictured.js';

export const swingArmPictures = pictured<ArmState>(
  (s) => ({
    axleAtPivot: [s.wheelbase, 0, s.pivotHeight],
    tyreAtPivot: [s.wheelbase - s.frontRadius, 0, s.pivotHeight],
    countershaftLevel: [
      Math.sqrt(s.armLength ** 2 - (s.pivotHeight - s.rearRadius) ** 2) + s.sprocketAhead,
      0,
      s.pivotHeight,
    ],
  }),
  [
    {
      id: 'armAngle',
      view: 'side',
      as: 'angle',
      at: 'pivot',
      from: 180,
      turn: (value) => 180 + value,
      radius: 400,
    },
    { id: 'pivotToAxle', view: 'side', as: 'level', from: 'pivot', to: 'axleAtPivot', near: 0 },
    { id: 'engineRoom', view: 'side', as: 'level', from: 'pivot', to: 'tyreAtPivot', near: 0 },
    { id: 'sprocketAhead', view: 'side', as: 'level', from: 'pivot', to: 'countershaftLevel', near: -60 },
    {
      id: 'sprocketAbove',
      view: 'side',
      as: 'upright',
      from: 'countershaftLevel',
      to: 'countershaft',
      near: 60,
    },
  ],
);
