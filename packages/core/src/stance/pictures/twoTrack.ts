import type { TwoTrackState } from '../states.js';
import { toRadians } from '../../units/angle.js';
import type { Vector } from '../../vector/vector.js';
import { pictured } from './pictured.js';

export const twoTrackPictures = (toldAt: number, kingpin: (state: TwoTrackState) => Vector) =>
  pictured<TwoTrackState>(
    (s) => {
      const outer = (s.frontTrack + s.frontWidth) / 2;
      const inward = s.frontRadius * Math.sin(toRadians(s.toe));
      const [ahead, half] = [s.wheelbase + s.frontRadius, s.frontTrack / 2 - inward];
      const [caster, pin] = [toRadians(s.caster), kingpin(s)];
      return {
        spindleAhead: [
          pin[0] + s.spindleOffset * Math.cos(caster),
          pin[1],
          pin[2] + s.spindleOffset * Math.sin(caster),
        ],
        frontLeftOuter: [s.wheelbase, outer, 0],
        frontRightOuter: [s.wheelbase, -outer, 0],
        frontLeftEdge: [ahead, half, s.frontRadius],
        frontRightEdge: [ahead, -half, s.frontRadius],
      };
    },
    [
      {
        id: 'frontOverWheels',
        view: 'front',
        as: 'level',
        from: 'frontRightOuter',
        to: 'frontLeftOuter',
        row: 1,
      },
      { id: 'spindleOffset', view: 'side', as: 'aligned', from: 'kingpin', to: 'spindleAhead', off: 0 },
      {
        id: 'camber',
        view: 'front',
        as: 'angle',
        at: 'frontLeftContact',
        from: 90,
        turn: (value) => 90 - value,
        radius: 400,
      },
      {
        id: 'toe',
        view: 'plan',
        as: 'angle',
        at: 'frontLeftAxle',
        from: 0,
        turn: (value) => -value,
        radius: 600,
      },
      {
        id: 'toeDifference',
        view: 'plan',
        as: 'upright',
        from: 'frontRightEdge',
        to: 'frontLeftEdge',
        near: 30,
      },
      { id: 'insideDrop', view: 'front', as: 'steered', steer: toldAt },
      { id: 'outsideCamber', view: 'front', as: 'steered', steer: toldAt },
    ],
  );
