import { assembly, entry, worked, type Assembly } from '../assembly.js';
import { rearPairPictures, wheelbasePictures } from '../pictures/wheels.js';
import type { PairState, WheelbaseState } from '../states.js';

interface Options {
  readonly wheelbase: number;
  /** What is let go first when the wheelbase is pinned. */
  readonly letGo: readonly string[];
}

/** Wheels, and how far apart they stand: every kind has it. */
export const wheelbase = ({ wheelbase: start, letGo }: Options): Assembly =>
  assembly<WheelbaseState>({
    start: { rearRadius: 300, frontRadius: 300, rearWidth: 40, frontWidth: 40, wheelbase: start },
    given: ['rearRadius', 'frontRadius', 'rearWidth', 'frontWidth'],
    dimensions: [
      wheelEntry(
        'rearRadius',
        'Rear wheel radius',
        'Rr',
        'Axle to ground at the rear, with the rider aboard.',
        600,
      ),
      wheelEntry(
        'frontRadius',
        'Front wheel radius',
        'Rf',
        'Axle to ground at the front, with the rider aboard.',
        600,
      ),
      wheelEntry('rearWidth', 'Rear tyre width', 'wr', 'Width of the rear tyre.', 400),
      wheelEntry('frontWidth', 'Front tyre width', 'wf', 'Width of the front tyre.', 400),
      entry({
        id: 'wheelbase',
        name: 'Wheelbase',
        symbol: 'L',
        limits: [300, 4000],
        source: 'plane trigonometry',
        meaning: 'Rear contact patch to front contact patch, level.',
        feel: 'Short is quick and nervous; long is calm and turns wide.',
        letGo,
      }),
      worked<WheelbaseState>({
        id: 'overallLength',
        name: 'Length over the wheels',
        symbol: 'LO',
        formula: 'LO = L + Rf + Rr',
        meaning: 'Rear of the rear tyre to the front of the front tyre.',
        letGo: ['wheelbase', ...letGo],
        of: (s) => s.wheelbase + s.frontRadius + s.rearRadius,
      }),
    ],
    points: (s) => ({
      rearAxle: [0, 0, s.rearRadius],
      frontAxle: [s.wheelbase, 0, s.frontRadius],
      rearContact: [0, 0, 0],
      frontContact: [s.wheelbase, 0, 0],
    }),
    pictured: [wheelbasePictures],
    unsprung: { rearAxle: 'rear', rearContact: 'rear', frontAxle: 'front', frontContact: 'front' },
    drawn: [
      { id: 'wheelbase', view: 'side', as: 'level', from: 'rearContact', to: 'frontContact', row: 2 },
      { id: 'wheelbase', view: 'plan', as: 'level', from: 'rearContact', to: 'frontContact', row: 1 },
    ],
    handles: [
      {
        point: 'frontAxle',
        name: 'Front axle',
        views: ['side', 'plan'],
        moves: ['wheelbase', 'frontCentre', 'pedalsAhead'],
      },
    ],
    refuse: ({ wheelbase: length, rearRadius, frontRadius }) =>
      length !== undefined &&
      rearRadius !== undefined &&
      frontRadius !== undefined &&
      length < Math.abs(rearRadius - frontRadius)
        ? [
            {
              where: 'wheelbase',
              message: `The wheelbase must be longer than ${Math.abs(rearRadius - frontRadius).toFixed(0)} mm: the smaller wheel would stand inside the larger.`,
            },
          ]
        : [],
  });

const wheelEntry = (id: string, name: string, symbol: string, meaning: string, most: number) =>
  entry({ id, name, symbol, meaning, limits: [id.endsWith('Width') ? 5 : 50, most] });

/** A single rear wheel in the middle plane. */
export const singleRear: Assembly = assembly<WheelbaseState>({
  start: {},
  dimensions: [],
  wheels: (s) => [
    {
      id: 'rear',
      end: 'rear',
      centre: [0, 0, s.rearRadius],
      spindle: [0, 1, 0],
      radius: s.rearRadius,
      width: s.rearWidth,
    },
  ],
});

/** The rear axle goes straight up: a rear end without a pivot of its own yet, or a rigid one. */
export const straightUpRear: Assembly = assembly<WheelbaseState>({
  start: {},
  dimensions: [],
  rearAxle: (s, compression) => ({ x: 0, z: s.rearRadius + compression }),
});

/** Two rear wheels, upright and parallel. */
export const rearPair = (track: number): Assembly =>
  assembly<PairState>({
    start: { rearTrack: track },
    dimensions: [
      entry({
        id: 'rearTrack',
        name: 'Rear track',
        symbol: 'Tr',
        limits: [200, 2500],
        meaning: 'Middle of one rear contact patch to the other.',
        feel: 'Wider resists tipping and asks for more room.',
      }),
      worked<PairState>({
        id: 'rearOverWheels',
        name: 'Width over rear wheels',
        symbol: 'WR',
        formula: 'WR = Tr + wr',
        meaning: 'Outside of one rear tyre to the outside of the other.',
        letGo: ['rearTrack'],
        of: (s) => s.rearTrack + s.rearWidth,
      }),
    ],
    points: (s) => ({
      rearLeftContact: [0, s.rearTrack / 2, 0],
      rearRightContact: [0, -s.rearTrack / 2, 0],
      rearLeftAxle: [0, s.rearTrack / 2, s.rearRadius],
      rearRightAxle: [0, -s.rearTrack / 2, s.rearRadius],
    }),
    wheels: (s) =>
      (['rearLeft', 'rearRight'] as const).map((id) => ({
        id,
        end: 'rear' as const,
        centre: [0, (id === 'rearLeft' ? 1 : -1) * (s.rearTrack / 2), s.rearRadius],
        spindle: [0, 1, 0],
        radius: s.rearRadius,
        width: s.rearWidth,
      })),
    unsprung: {
      rearLeftContact: 'rear',
      rearRightContact: 'rear',
      rearLeftAxle: 'rear',
      rearRightAxle: 'rear',
    },
    pictured: [rearPairPictures],
    outline: [{ from: 'rearLeftAxle', to: 'rearRightAxle', as: 'axle' }],
    drawn: [
      {
        id: 'rearTrack',
        view: 'plan',
        as: 'upright',
        from: 'rearRightContact',
        to: 'rearLeftContact',
        column: -1,
      },
      {
        id: 'rearTrack',
        view: 'front',
        as: 'level',
        from: 'rearRightContact',
        to: 'rearLeftContact',
        row: 3,
      },
    ],
    handles: [
      {
        point: 'rearLeftContact',
        name: 'Rear contact patch',
        views: ['plan', 'front'],
        moves: ['rearTrack', 'rearOverWheels'],
      },
    ],
  });
