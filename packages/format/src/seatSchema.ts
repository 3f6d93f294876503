import { Type, type Static } from '@sinclair/typebox';
import { closed, id, literals, name, number, vector } from './parts.js';

export const LUMP_SORTS = [
  'wheel',
  'motor',
  'battery',
  'tank',
  'cargo',
  'passenger',
  'frame',
  'part',
] as const;
export type LumpSort = (typeof LUMP_SORTS)[number];

/** Riders in their places, and masses. */
const kilograms = (about: string) => number(0, 3000, `${about}, kg`);
export const LumpSchema = closed(
  {
    id: id('Lump id'),
    name: name('For people'),
    sort: literals('What it is', ...LUMP_SORTS),
    mass: kilograms('Its mass'),
    point: id('The stance point it goes with; origin for none'),
    offset: vector,
    box: Type.Optional(
      Type.Tuple(
        [number(1, 3000, 'Length, mm'), number(1, 3000, 'Width, mm'), number(1, 3000, 'Height, mm')],
        { description: 'Room it takes about its middle: length, width, height' },
      ),
    ),
  },
  'Something with a mass, at a place',
);
export type Lump = Static<typeof LumpSchema>;
const wheelLoads = (about: string) =>
  Type.Record(Type.String({ pattern: '^[A-Za-z]{1,40}$' }), number(-500, 3000, 'kg'), {
    description: about,
    additionalProperties: false,
  });
export const ScalesSchema = closed(
  {
    aboard: Type.Boolean({ description: 'The riders were aboard' }),
    level: wheelLoads('What each wheel’s scale showed, all level; by wheel id, kg'),
    raised: Type.Optional(
      closed(
        {
          end: literals('The end that was raised', 'front', 'rear'),
          by: number(1, 2000, 'How far, mm'),
          loads: wheelLoads('What each wheel’s scale showed then, kg'),
        },
        'The second weighing, for the height',
      ),
    ),
  },
  'Weighed wheel by wheel: takes the place of the estimate',
);
export type Scales = Static<typeof ScalesSchema>;
const span = (low: number, high: number, about: string) =>
  Type.Tuple([number(low, high, 'mm'), number(low, high, 'mm')], { description: about });
export const SeatSchema = closed(
  {
    aboard: Type.Array(Type.Integer({ minimum: 0, maximum: 5 }), {
      maxItems: 6,
      description: 'Which of the brief’s riders is in each place, counted from 0',
    }),
    gaps: closed(
      {
        tyre: number(0, 100, 'Tyre to frame or floor, mm'),
        rider: number(0, 200, 'Rider to a hard part, mm'),
        metal: number(0, 100, 'Moving metal to metal, mm'),
      },
      'Least gaps wanted',
    ),
    lock: number(5, 70, 'Steering lock, degrees to each side'),
    statures: span(500, 2500, 'Shortest and tallest who shall fit'),
    legSlide: span(-1000, 1000, 'Range of what is slid for the legs, against its present place'),
    armSlide: span(-1000, 1000, 'Range of what is slid for the arms, against its present place'),
  },
  'Riders in their places',
);
