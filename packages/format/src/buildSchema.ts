import { Type, type Static } from '@sinclair/typebox';
import { ChecksSchema, MeasuredListSchema } from './checksSchema.js';
import { CutsSchema } from './cutsSchema.js';
import { FrameSchema } from './frameSchema.js';
import { closed, id, literals, name, number, values } from './parts.js';
import { SEGMENT_IDS, SEGMENTS, type Segment } from './segments.js';
import { FixtureSchema, PaperSchema, SCHOOL_IDS } from './fixtureSchema.js';
import { LumpSchema, ScalesSchema, SeatSchema } from './seatSchema.js';
import { SteeringSchema } from './steeringSchema.js';
import { DoneListSchema, WorkSchema } from './workSchema.js';

/**
 * The build document, version 10: the open format `.larchwood.json`. This schema is the one place that says what a
 * document holds; the types, the check on import and the published JSON Schema all come from it.
 * Lengths are mm and angles degrees throughout.
 */
const sag = number(0, 100, 'Drop of the axle as the loaded tyre flattens, mm');
export const WheelSchema = Type.Union([
  closed(
    { by: Type.Literal('marking'), marking: Type.String({ minLength: 1, maxLength: 30 }), sag },
    'By tyre marking, e.g. 37-622',
  ),
  closed(
    {
      by: Type.Literal('diameter'),
      diameter: number(100, 1200, 'Measured outer diameter, mm'),
      width: number(10, 400, 'Tyre width, mm'),
      sag,
    },
    'By measured diameter',
  ),
  closed(
    {
      by: Type.Literal('rollOut'),
      circumference: number(314, 3770, 'Distance of one turn on the ground, mm'),
      width: number(10, 400, 'Tyre width, mm'),
      sag,
    },
    'By measured roll-out',
  ),
]);
export type Wheel = Static<typeof WheelSchema>;

/** Kinds of vehicle. A new one is added here and in the core's registry. */
export const KIND_IDS = [
  'bicycle',
  'tandem',
  'triplet',
  'scooter',
  'motorcycle',
  'low-motorcycle',
  'delta-trike',
  'tadpole-trike',
  'kart',
  'buggy',
] as const;

export const SHELF_SORTS = [
  'front wheel',
  'rear wheel',
  'fork',
  'donor part',
  'engine',
  'stock',
  'other',
] as const;
const ShelfSchema = closed(
  {
    sort: literals('What it is', ...SHELF_SORTS),
    name: name('For people'),
    marking: Type.Optional(
      Type.String({ minLength: 1, maxLength: 30, description: 'Tyre marking of a wheel' }),
    ),
    box: Type.Optional(
      Type.Tuple(
        [number(1, 3000, 'Length, mm'), number(1, 3000, 'Width, mm'), number(1, 3000, 'Height, mm')],
        {
          description: 'Room it takes: length, width, height',
        },
      ),
    ),
    gives: values('Dimensions that it settles, by id'),
  },
  'A part that is there already',
);
export type ShelfItem = Static<typeof ShelfSchema>;
const RuleLimitSchema = closed(
  {
    dimension: id('Dimension id'),
    bound: literals('Which way it limits', 'most', 'least'),
    value: number(-20000, 20000, 'mm or degrees'),
    rule: Type.String({ maxLength: 200, description: 'Where the limit comes from' }),
  },
  'A limit that the builder wants kept',
);
export type RuleLimit = Static<typeof RuleLimitSchema>;
/** A measured segment of a rider; what is left out comes from the stature and the inseam. */
const segment = (about: string) => Type.Optional(number(20, 1000, `Measured: ${about}, mm`));
const segments = Object.fromEntries(
  SEGMENT_IDS.map((each) => [each, segment(SEGMENTS[each].span)]),
) as Record<Segment, ReturnType<typeof segment>>;
/** A rider, as the brief and the workshop's list hold one. */
export const RiderSchema = closed(
  {
    name: name('For people'),
    stature: number(500, 2500, 'Standing height, mm'),
    mass: number(5, 300, 'kg'),
    inseam: Type.Optional(number(150, 1400, 'Floor to crotch, mm, where it was measured')),
    ...segments,
  },
  'Someone who sits in it',
);
const BriefSchema = closed(
  {
    purpose: Type.String({ maxLength: 2000, description: 'What it is for' }),
    riders: Type.Array(RiderSchema, { maxItems: 6 }),
    shelf: Type.Array(ShelfSchema, { maxItems: 30 }),
    limits: Type.Array(RuleLimitSchema, { maxItems: 30 }),
    school: literals('How the builder means to hold the frame', ...SCHOOL_IDS),
  },
  'What was known before the first dimension',
);
export type Brief = Static<typeof BriefSchema>;

export type Rider = Brief['riders'][number];

export const BuildSchema = Type.Object(
  {
    format: Type.Literal('larchwood-build'),
    version: Type.Literal(12),
    name: name('Name of the build'),
    kind: literals('Kind of vehicle', ...KIND_IDS),
    startingSet: id('The set the build was started from; chooses the usual bands'),
    notes: Type.String({ maxLength: 20000 }),
    brief: BriefSchema,
    units: closed(
      {
        length: literals('Display unit for lengths', 'mm', 'inch', 'fraction'),
        denominator: Type.Union([Type.Literal(16), Type.Literal(32), Type.Literal(64)], {
          description: 'Finest fraction shown',
        }),
      },
      'Display units; stored values stay mm and degrees',
    ),
    wheels: closed({ front: WheelSchema, rear: WheelSchema }, 'Wheels and tyres'),
    stance: closed(
      {
        held: values('Held dimensions by id; all others follow'),
        near: Type.Optional(
          values(
            'State entries to set out from, where the held dimensions allow more than one vehicle: kept when a dimension is pinned',
          ),
        ),
      },
      'Stance',
    ),
    seat: SeatSchema,
    steering: Type.Optional(SteeringSchema),
    mass: closed(
      {
        lumps: Type.Array(LumpSchema, { maxItems: 60 }),
        scales: Type.Optional(ScalesSchema),
      },
      'What the vehicle carries besides its tubes and riders',
    ),
    frame: FrameSchema,
    cuts: Type.Optional(CutsSchema),
    fixture: FixtureSchema,
    work: Type.Optional(WorkSchema),
    done: Type.Optional(DoneListSchema),
    checks: Type.Optional(ChecksSchema),
    measured: Type.Optional(MeasuredListSchema),
    paper: PaperSchema,
  },
  {
    $id: 'larchwood-build-12',
    title: 'Larchwood build, version 10',
    description:
      'Lengths in millimetres, angles in degrees, masses in kilograms, axes ISO 8855 (x forward, y left, z up).',
    additionalProperties: false,
  },
);
export type BuildDocument = Static<typeof BuildSchema>;
export const FORMAT_VERSION = 12;
export const FILE_SUFFIX = '.larchwood.json';
