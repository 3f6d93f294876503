import { fullTravel, unladen } from '../springs.js';
import type { TravelState } from '../states.js';
import type { Place, State } from '../dimension.js';
import type { Vector } from '../../vector/vector.js';
import { pictured } from './pictured.js';

/** Where the axles stand in the frame at the ends of their travel; what is told there, on the vehicle standing so. */
export const travelPictures = (
  axle: (state: State, compression: number) => Place,
  rearAxle: (state: State, compression: number) => Place,
  lean: string,
) =>
  pictured<TravelState>(
    (s) => {
      const state = s as unknown as State;
      const at = ({ x, z }: Place): Vector => [x, 0, z];
      const [low, high] = [unladen(s), fullTravel(s)];
      return {
        frontDroop: at(axle(state, low.front)),
        frontBump: at(axle(state, high.front)),
        rearDroop: at(rearAxle(state, low.rear)),
        rearBump: at(rearAxle(state, high.rear)),
      };
    },
    [
      { id: 'frontTravel', view: 'side', as: 'aligned', from: 'frontDroop', to: 'frontBump', off: 0 },
      { id: 'frontSag', view: 'side', as: 'aligned', from: 'frontDroop', to: 'frontAxle', off: 0 },
      { id: 'rearTravel', view: 'side', as: 'upright', from: 'rearDroop', to: 'rearBump', near: 0 },
      { id: 'rearSag', view: 'side', as: 'upright', from: 'rearDroop', to: 'rearAxle', near: 0 },
      ...(['Unladen', 'Full'] as const).flatMap((end) =>
        [lean, 'trail'].map(
          (id) =>
            ({
              id: `${id}${end}`,
              view: 'side',
              as: 'posture',
              posture: end === 'Full' ? 'full' : 'unladen',
            }) as const,
        ),
      ),
    ],
  );
