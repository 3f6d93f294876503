import type { ClampState, SteeredState } from '../states.js';
import { axisStations, clampFork, onAxis, type Hung } from '../steeringAxis.js';
import type { Drawn, Place, State } from '../dimension.js';
import { trail } from '../singleTrack.js';
import { toRadians } from '../../units/angle.js';
import type { Vector } from '../../vector/vector.js';
import { pictured } from './pictured.js';

const middle = ({ x, z }: Place): Vector => [x, 0, z];

/** Mechanical trail is square to the axis; how high it meets the axis is the wheel's flop. */
const trailFoot = (s: SteeredState, hung: Hung): Place =>
  onAxis(s, hung, trail(s.frontRadius, s.headAngle, hung.offset) * Math.cos(toRadians(s.headAngle)));

export const steeredPictures = <S extends SteeredState>(hung: (state: S) => Hung) =>
  pictured<S>(
    (s) => {
      const foot = trailFoot(s, hung(s));
      return { trailFoot: middle(foot), trailFootGround: [foot.x, 0, 0] };
    },
    [
      { id: 'mechanicalTrail', view: 'side', as: 'aligned', from: 'frontContact', to: 'trailFoot', off: 0 },
      { id: 'wheelFlop', view: 'side', as: 'upright', from: 'trailFootGround', to: 'trailFoot', near: 0 },
      { id: 'lowerStack', view: 'side', as: 'aligned', from: 'crown', to: 'headTubeLower', off: -60 },
    ],
  );

/** Read from the ground, rearwards-up: on the sheet of bicycles, a picture beside the rake of motorcycles. */
export const HEAD_ANGLE_DRAWN: Drawn = {
  id: 'headAngle',
  view: 'side',
  as: 'angle',
  at: 'axisGround',
  from: 180,
  turn: (value) => 180 - value,
  radius: 190,
};

export const forkPictures = pictured(
  () => ({}),
  [{ id: 'crownAboveFoot', view: 'side', as: 'aligned', from: 'axleFoot', to: 'crown', off: -60 }],
);

export const clampPictures = pictured<ClampState>(
  (s) => {
    const hung = clampFork(s);
    const crown = onAxis(s, hung, axisStations(s, hung).crown);
    const [axis, tube] = [toRadians(s.headAngle), toRadians(s.headAngle - s.clampTilt)];
    const clamp = {
      x: crown.x + s.clampOffset * Math.sin(axis),
      z: crown.z + s.clampOffset * Math.cos(axis),
    };
    return {
      tubeFoot: middle({
        x: clamp.x + s.forkLength * Math.cos(tube),
        z: clamp.z - s.forkLength * Math.sin(tube),
      }),
    };
  },
  [
    HEAD_ANGLE_DRAWN,
    { id: 'clampOffset', view: 'side', as: 'aligned', from: 'crown', to: 'clampCentre', off: 0 },
    { id: 'axleLead', view: 'side', as: 'aligned', from: 'tubeFoot', to: 'frontAxle', off: 0 },
    {
      // From the direction of the axis, downwards, to that of the tubes.
      id: 'clampTilt',
      view: 'side',
      as: 'angle',
      at: 'clampCentre',
      from: (s: State) => -s.headAngle!,
      turn: (value, s) => value - s.headAngle!,
      radius: 480,
    },
  ],
);
