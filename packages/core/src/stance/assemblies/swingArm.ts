import { toDegrees } from '../../units/angle.js';
import { lengthBothWays } from '../../units/length.js';
import { assembly, entry, worked, type Assembly } from '../assembly.js';
import { swingArmPictures } from '../pictures/swingArm.js';
import type { Place } from '../dimension.js';
import type { ArmState } from '../states.js';
import { axisStations, clampFork, onAxis } from '../steeringAxis.js';

const pivotOf = (s: Pick<ArmState, 'armLength' | 'pivotHeight' | 'rearRadius'>): Place => ({
  x: Math.sqrt(s.armLength ** 2 - (s.pivotHeight - s.rearRadius) ** 2),
  z: s.pivotHeight,
});
const headLower = (s: ArmState): Place => onAxis(s, clampFork(s), axisStations(s, clampFork(s)).lower);

/** Rear wheel in an arm about a pivot, sprung or rigid, with the countershaft ahead of it: motorcycles. */
export const swingArm = (start: { pivotHeight: number; armLength: number }): Assembly =>
  assembly<ArmState>({
    start: { ...start, sprocketAhead: 75, sprocketAbove: 10 },
    dimensions: [
      entry({
        id: 'armLength',
        name: 'Swing-arm length',
        symbol: 'SA',
        limits: [200, 1200],
        meaning:
          'Pivot axis to rear axle, straight. For a rigid rear end, from where its stays meet the main frame.',
        feel: 'Longer is steadier and squats less; shorter turns quicker.',
      }),
      entry({
        id: 'pivotHeight',
        name: 'Pivot height',
        symbol: 'hp',
        limits: [50, 900],
        meaning: 'Swing-arm pivot axis above the ground, with the rider aboard.',
        letGo: ['armAngle'],
      }),
      worked<ArmState>({
        id: 'armAngle',
        name: 'Swing-arm angle',
        symbol: 'aa',
        quantity: 'angle',
        formula: 'aa = asin((hp − Rr) / SA)',
        limits: [-45, 45],
        meaning: 'Arm from level, sloping down to the axle; negative when the axle is above the pivot.',
        letGo: ['pivotHeight', 'armLength'],
        of: (s) => toDegrees(Math.asin((s.pivotHeight - s.rearRadius) / s.armLength)),
      }),
      worked<ArmState>({
        id: 'pivotToAxle',
        name: 'Pivot to front axle',
        symbol: 'pf',
        formula: 'pf = L − √(SA² − (hp − Rr)²)',
        meaning: 'Swing-arm pivot to front axle, level.',
        letGo: ['wheelbase', 'headToPivot'],
        of: (s) => s.wheelbase - pivotOf(s).x,
      }),
      worked<ArmState>({
        id: 'headToPivot',
        name: 'Steering head to pivot',
        symbol: 'hd',
        formula: '',
        source: 'plane trigonometry, lower face of the head tube to the pivot axis',
        meaning:
          'Lower centre of the head tube to the swing-arm pivot, straight: the length the frame itself is built to.',
        letGo: ['wheelbase', 'pivotToAxle'],
        of: (s) => Math.hypot(headLower(s).x - pivotOf(s).x, headLower(s).z - pivotOf(s).z),
      }),
      worked<ArmState>({
        id: 'engineRoom',
        name: 'Room for the engine',
        symbol: 'er',
        formula: 'er = pf − Rf',
        meaning:
          'Pivot axis to the rear edge of the front tyre, level, at ride height. Brake dive and downtubes take from it.',
        letGo: ['wheelbase', 'headToPivot', 'pivotToAxle'],
        of: (s) => s.wheelbase - pivotOf(s).x - s.frontRadius,
      }),
      entry({
        id: 'sprocketAhead',
        name: 'Sprocket ahead of pivot',
        symbol: 'sx',
        limits: [-200, 600],
        meaning: 'Countershaft axis ahead of the swing-arm pivot, level.',
      }),
      entry({
        id: 'sprocketAbove',
        name: 'Sprocket above pivot',
        symbol: 'sz',
        limits: [-200, 300],
        meaning: 'Countershaft axis above the swing-arm pivot; negative when below.',
      }),
    ],
    points: (s) => {
      const { x, z } = pivotOf(s);
      return {
        pivot: [x, 0, z],
        pivotGround: [x, 0, 0],
        countershaft: [x + s.sprocketAhead, 0, z + s.sprocketAbove],
      };
    },
    pictured: [swingArmPictures],
    rearAxle: (s, compression) => {
      const pivot = pivotOf(s);
      const rise = s.rearRadius + compression - pivot.z;
      return { x: pivot.x - Math.sqrt(s.armLength ** 2 - rise ** 2), z: pivot.z + rise };
    },
    outline: [
      { from: 'pivot', to: 'rearAxle', as: 'part', stays: true },
      { from: 'pivot', to: 'headTubeLower', as: 'floor' },
    ],
    drawn: [
      { id: 'armLength', view: 'side', as: 'aligned', from: 'rearAxle', to: 'pivot', off: -34 },
      { id: 'pivotHeight', view: 'side', as: 'upright', from: 'pivotGround', to: 'pivot', near: 34 },
      { id: 'headToPivot', view: 'side', as: 'aligned', from: 'pivot', to: 'headTubeLower', off: 0 },
    ],
    handles: [
      {
        point: 'pivot',
        name: 'Swing-arm pivot',
        views: ['side'],
        moves: ['armLength', 'pivotHeight', 'armAngle'],
      },
    ],
    refuse: ({ armLength, pivotHeight, rearRadius }) => {
      if (armLength === undefined || pivotHeight === undefined || rearRadius === undefined) return [];
      const rise = Math.abs(pivotHeight - rearRadius);
      return armLength <= rise
        ? ['armLength', 'pivotHeight'].map((where) => ({
            where,
            message: `The arm does not reach the axle: it must be longer than the pivot’s height over it, ${lengthBothWays(rise)}.`,
          }))
        : [];
    },
  });
