import type { PedalledState } from '../states.js';
import type { Place } from '../dimension.js';
import { pictured } from './pictured.js';

export const pedalledPictures = (
  bracket: (state: PedalledState) => Place,
  toeGap: (state: PedalledState) => number,
  rearSeats: readonly string[],
) =>
  pictured<PedalledState>(
    (s) => {
      const { x, z } = bracket(s);
      const pedal = x + s.crankLength;
      const toe = pedal + s.toeAllowance;
      return {
        pedalForward: [pedal, 0, z],
        toe: [toe, 0, z],
        tyreAtToe: [toe + toeGap(s), 0, z],
        onAxleLine: [x, 0, s.rearRadius + ((s.frontRadius - s.rearRadius) * x) / s.wheelbase],
      };
    },
    [
      { id: 'crankLength', view: 'side', as: 'level', from: 'bottomBracket', to: 'pedalForward', near: 60 },
      { id: 'toeAllowance', view: 'side', as: 'level', from: 'pedalForward', to: 'toe', near: 60 },
      { id: 'toeClearance', view: 'side', as: 'level', from: 'toe', to: 'tyreAtToe', near: 60 },
      {
        id: 'dropBelowAxles',
        view: 'side',
        as: 'upright',
        from: 'bottomBracket',
        to: 'onAxleLine',
        near: 60,
      },
      ...rearSeats.map(
        (id, index) =>
          ({
            id,
            view: 'side',
            as: 'aligned',
            from: `bottomBracket${index + 2}`,
            to: `seatTubeTop${index + 2}`,
            off: -60,
          }) as const,
      ),
    ],
  );
