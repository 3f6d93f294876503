import { toRadians } from '../../units/angle.js';
import type { Vector } from '../../vector/vector.js';
import { assembly, entry, worked, type Assembly, type AssemblyOf } from '../assembly.js';
import type { Dimension, SteeredWheel } from '../dimension.js';
import { mechanicalTrail, straightAxleToCrown, trail, wheelFlop } from '../singleTrack.js';
import type { ClampState, ForkState, SteeredState } from '../states.js';
import { axisStations, axisUp, clampFork, forkOf, onAxis, type Hung } from '../steeringAxis.js';
import { clampPictures, forkPictures, HEAD_ANGLE_DRAWN, steeredPictures } from '../pictures/frontEnd.js';

/** The axis, the wheel that turns about it, and how trail follows: the same for every way to hang the wheel. */
export function steeredFront<S extends SteeredState>(hung: (state: S) => Hung, letGo: readonly string[]) {
  const dimensions: readonly Dimension[] = [
    worked<S>({
      id: 'trail',
      name: 'Trail',
      symbol: 't',
      formula: 't = (Rf·cos H − o) / sin H',
      limits: [-300, 600],
      meaning: 'Contact patch behind the point where the steering axis meets the ground.',
      feel: 'More trail is steadier and slower to turn.',
      otherWord: 'Also ground trail; two-track builders say caster trail.',
      letGo,
      of: (s) => trail(s.frontRadius, s.headAngle, hung(s).offset),
    }),
    worked<S>({
      id: 'wheelFlop',
      name: 'Wheel flop',
      symbol: 'w',
      formula: 'w = t·sin H·cos H',
      meaning: 'How far the front end wants to drop when the bars turn.',
      feel: 'More flop: the bars fall to the side at low speed.',
      letGo,
      of: (s) => wheelFlop(s.frontRadius, s.headAngle, hung(s).offset),
    }),
    worked<S>({
      id: 'mechanicalTrail',
      name: 'Mechanical trail',
      symbol: 'n',
      formula: 'n = Rf·cos H − o',
      meaning: 'Contact patch to steering axis, square to the axis.',
      otherWord: 'Also normal trail.',
      letGo,
      of: (s) => mechanicalTrail(s.frontRadius, s.headAngle, hung(s).offset),
    }),
  ];
  const points = (s: S) => {
    const h = hung(s);
    const { foot, crown, lower, upper } = axisStations(s, h);
    const at = (distance: number): Vector => {
      const { x, z } = onAxis(s, h, distance);
      return [x, 0, z];
    };
    return {
      axisGround: at(0),
      axleFoot: at(foot),
      crown: at(crown),
      headTubeLower: at(lower),
      headTubeUpper: at(upper),
    };
  };
  const steered = (s: S): SteeredWheel[] => {
    const ground = onAxis(s, hung(s), 0);
    return [{ ...frontWheel(s), axisPoint: [ground.x, 0, 0], axis: axisUp(s.headAngle) }];
  };
  return {
    dimensions,
    points,
    steered,
    wheels: (s: S) => [frontWheel(s)],
    pictured: [steeredPictures(hung)],
    unsprung: { axleFoot: 'front' },
    outline: [
      { from: 'axisGround', to: 'headTubeUpper', as: 'axis' },
      { from: 'crown', to: 'frontAxle', as: 'fork' },
      { from: 'headTubeLower', to: 'headTubeUpper', as: 'part' },
    ],
    drawn: [
      { id: 'trail', view: 'side', as: 'level', from: 'frontContact', to: 'axisGround', row: 1 },
      {
        id: 'headTubeLength',
        view: 'side',
        as: 'aligned',
        from: 'headTubeLower',
        to: 'headTubeUpper',
        off: -34,
      },
    ],
    handles: [
      {
        point: 'headTubeUpper',
        name: 'Top of the head tube',
        views: ['side'],
        moves: ['reach', 'headTubeLength', 'headToPivot'],
      },
      {
        point: 'axisGround',
        name: 'Foot of the steering axis',
        views: ['side'],
        moves: ['trail', 'forkOffset', 'clampOffset', 'axleLead'],
      },
    ],
  } satisfies Partial<AssemblyOf<S>>;
}

const frontWheel = (s: SteeredState) =>
  ({
    id: 'front',
    end: 'front',
    centre: [s.wheelbase, 0, s.frontRadius],
    spindle: [0, 1, 0],
    radius: s.frontRadius,
    width: s.frontWidth,
  }) as const;

export const headAngleEntry = (more: { letGo?: readonly string[] } = {}): Dimension =>
  entry({
    id: 'headAngle',
    name: 'Head angle',
    symbol: 'H',
    quantity: 'angle',
    limits: [30, 89.5],
    meaning: 'Steering axis from the ground, leaning rearwards; 90° is upright.',
    feel: 'Slacker (smaller) gives more trail and flop: steadier when fast, heavier when slow.',
    otherWord: 'Motorcycle builders read the same lean from the vertical and call it rake: 90° − H.',
    ...more,
  });

export const headTubeEntries: readonly Dimension[] = [
  entry({
    id: 'lowerStack',
    name: 'Lower bearing stack',
    symbol: 'l',
    limits: [-100, 200],
    meaning: 'From the crown seat up to the lower face of the head tube, along the axis.',
  }),
  entry({
    id: 'headTubeLength',
    name: 'Head-tube length',
    symbol: 'T',
    limits: [40, 700],
    meaning: 'Length of the head tube between its two faces.',
  }),
];

/** The wheel in a fork with its steering axis. */
export const forkWheel = (s: ForkState): SteeredWheel => front.steered(s)[0]!;
const front = steeredFront<ForkState>(forkOf, ['forkOffset', 'headAngle']);

/** One wheel in a fork: bicycles, scooters, trikes with one front wheel. */
export const forkFront: Assembly = assembly<ForkState>({
  ...front,
  pictured: [...front.pictured, forkPictures],
  start: { headAngle: 71, forkOffset: 45, crownAboveFoot: 370, lowerStack: 12, headTubeLength: 140 },
  dimensions: [
    headAngleEntry(),
    entry({
      id: 'forkOffset',
      name: 'Fork offset',
      symbol: 'o',
      limits: [-150, 250],
      meaning: 'Front axle ahead of the steering axis, square to it.',
      feel: 'More offset takes trail away.',
      otherWord: 'The bicycle trade also calls this length rake; a motorcycle builder’s rake is an angle.',
      letGo: ['trail', 'wheelFlop', 'mechanicalTrail'],
    }),
    worked<ForkState>({
      id: 'axleToCrown',
      name: 'Axle to crown',
      symbol: 'A',
      formula: 'A = √(a² + o²)',
      limits: [60, 900],
      meaning: 'Front axle to the seat of the lower bearing on the fork crown, straight.',
      letGo: ['crownAboveFoot'],
      of: (s) => straightAxleToCrown(s.crownAboveFoot, s.forkOffset),
    }),
    entry({
      id: 'crownAboveFoot',
      name: 'Axle to crown, along the axis',
      symbol: 'a',
      limits: [50, 900],
      source: 'plane trigonometry',
      meaning:
        'The same length of the fork measured along the steering axis, as with a square against the steerer.',
      letGo: ['axleToCrown'],
    }),
    ...headTubeEntries,
    ...front.dimensions,
  ],
  front: {
    axle: (s, compression) => {
      const up = axisUp(s.headAngle);
      return { x: s.wheelbase + compression * up[0], z: s.frontRadius + compression * up[2] };
    },
    travels: 'along the steering axis',
    lean: { id: 'headAngle', name: 'Head angle', symbol: 'H' },
    pitched: (s, pitch) => ({
      lean: s.headAngle - pitch,
      trail: trail(s.frontRadius, s.headAngle - pitch, s.forkOffset),
    }),
  },
  drawn: [
    HEAD_ANGLE_DRAWN,
    ...front.drawn,
    { id: 'axleToCrown', view: 'side', as: 'aligned', from: 'frontAxle', to: 'crown', off: -64, share: 0.52 },
    { id: 'forkOffset', view: 'side', as: 'aligned', from: 'axleFoot', to: 'frontAxle', off: 0 },
  ],
});

const clamps = steeredFront<ClampState>(clampFork, ['clampOffset', 'clampTilt', 'headAngle', 'rake']);

/** Telescopic fork in two clamps, parallel to the steering axis or tilted against it: motorcycles. */
export const clampFront: Assembly = assembly<ClampState>({
  ...clamps,
  pictured: [...clamps.pictured, clampPictures],
  start: {
    headAngle: 63,
    clampOffset: 35,
    clampTilt: 0,
    axleLead: 0,
    forkLength: 560,
    lowerStack: 20,
    headTubeLength: 200,
  },
  dimensions: [
    worked<ClampState>({
      id: 'rake',
      name: 'Rake',
      symbol: 'rk',
      quantity: 'angle',
      formula: 'rk = 90° − H',
      limits: [0.5, 60],
      meaning: 'Steering axis from the vertical, leaning rearwards.',
      feel: 'More rake gives more trail and flop: steadier when fast, heavier when slow.',
      otherWord: 'Bicycle builders read the same lean from the ground as head angle; their rake is a length.',
      letGo: ['headAngle'],
      of: (s) => 90 - s.headAngle,
    }),
    headAngleEntry({ letGo: ['rake'] }),
    entry({
      id: 'clampOffset',
      name: 'Clamp offset',
      symbol: 'oc',
      limits: [-100, 200],
      meaning: 'Fork tubes ahead of the steering axis at the lower clamp, square to the axis.',
      feel: 'More offset takes trail away.',
      otherWord: 'Also triple-clamp or yoke offset.',
      letGo: ['trail', 'forkOffset', 'wheelFlop', 'mechanicalTrail'],
    }),
    entry({
      id: 'clampTilt',
      name: 'Clamp tilt',
      symbol: 'd',
      quantity: 'angle',
      limits: [-10, 15],
      meaning: 'Extra lean of the fork tubes against the steering axis; 0 for parallel clamps.',
      feel: 'Raked clamps throw the wheel forward and take trail away: check that some is left.',
    }),
    entry({
      id: 'axleLead',
      name: 'Axle lead',
      symbol: 'al',
      limits: [-60, 120],
      meaning: 'Axle ahead of the fork tubes’ centre line, square to the steering axis.',
    }),
    entry({
      id: 'forkLength',
      name: 'Fork length',
      symbol: 'F',
      limits: [150, 1400],
      meaning:
        'Centre of the lower clamp to the axle along the fork tube, at ride height with the rider aboard.',
    }),
    worked<ClampState>({
      id: 'forkOffset',
      name: 'Offset in all',
      symbol: 'o',
      formula: 'o = oc + F·sin d + al',
      meaning: 'Front axle ahead of the steering axis, square to it.',
      letGo: ['clampOffset', 'axleLead', 'clampTilt', 'trail'],
      of: (s) => clampFork(s).offset,
    }),
    ...headTubeEntries,
    ...clamps.dimensions,
  ],
  points: (s) => {
    const { foot, crown } = axisStations(s, clampFork(s));
    const place = onAxis(s, clampFork(s), crown);
    const angle = toRadians(s.headAngle);
    return {
      ...clamps.points(s),
      clampCentre: [place.x + s.clampOffset * Math.sin(angle), 0, place.z + s.clampOffset * Math.cos(angle)],
      verticalAtAxis: [onAxis(s, clampFork(s), 0).x, 0, foot],
    };
  },
  front: {
    axle: (s, compression) => {
      const lean = toRadians(s.headAngle - s.clampTilt);
      return {
        x: s.wheelbase - compression * Math.cos(lean),
        z: s.frontRadius + compression * Math.sin(lean),
      };
    },
    travels: 'along the fork tubes',
    lean: { id: 'rake', name: 'Rake', symbol: 'rk' },
    // Tilted tubes take offset away as they are pressed.
    pitched: (s, pitch, compression) => ({
      lean: 90 - s.headAngle + pitch,
      trail: trail(
        s.frontRadius,
        s.headAngle - pitch,
        clampFork({ ...s, forkLength: s.forkLength - compression }).offset,
      ),
    }),
  },
  outline: [
    ...clamps.outline.filter((line) => line.as !== 'fork'),
    { from: 'clampCentre', to: 'frontAxle', as: 'fork' },
    { from: 'crown', to: 'clampCentre', as: 'part', stays: true },
  ],
  drawn: [
    {
      id: 'rake',
      view: 'side',
      as: 'angle',
      at: 'axisGround',
      from: 90,
      turn: (value) => 90 + value,
      radius: 210,
    },
    ...clamps.drawn,
    { id: 'forkLength', view: 'side', as: 'aligned', from: 'frontAxle', to: 'clampCentre', off: 46 },
    { id: 'forkOffset', view: 'side', as: 'aligned', from: 'axleFoot', to: 'frontAxle', off: 0 },
  ],
});
