import { KINDS } from '../stance/kinds/registry.js';
import { Type, type Static } from '@sinclair/typebox';
import { closed, coordinate, id, literals, name, number, vector } from './schemaParts.js';
import { LumpSchema, ScalesSchema, SeatSchema } from './seatSchema.js';

export type { Lump, Scales } from './seatSchema.js';

/**
 * The build document, version 3: the open format `.larchwood.json`. This schema is the one place that says what a
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

const ButtSchema = closed(
  {
    wall: number(0.3, 20, 'Wall in the zone, mm'),
    length: number(0, 2000, 'Length of the zone from this end of the tube as sold, mm'),
    taper: number(0, 500, 'Length over which it thins to the middle wall, mm'),
  },
  'One thick end of a butted tube',
);
export const SectionSchema = closed(
  {
    id: id('Reference used by members'),
    name: name('As sold, e.g. 28.6 x 0.9'),
    shape: Type.Literal('round'),
    diameter: number(4, 300, 'Outer diameter, mm; of the larger end when tapered'),
    wall: number(0.3, 30, 'Wall, mm; of the thin middle when butted'),
    butts: Type.Optional(
      closed(
        { start: ButtSchema, end: ButtSchema, soldLength: number(50, 6000, 'Length as sold, mm') },
        'Butted: thick ends',
      ),
    ),
    taper: Type.Optional(
      closed(
        {
          diameter: number(4, 300, 'Outer diameter of the small end, mm'),
          length: number(1, 3000, 'Length of the taper, mm, up to the member’s end'),
        },
        'Tapered towards the member’s end',
      ),
    ),
  },
  'A tube section',
);
export type Section = Static<typeof SectionSchema>;

const AnchorSchema = Type.Union([
  closed(
    { on: Type.Literal('stance'), point: id('A named stance point, e.g. bottomBracket'), offset: vector },
    'Tied to a stance point',
  ),
  closed(
    {
      on: Type.Literal('member'),
      member: id('Member id'),
      from: literals('Which end the distance is from', 'start', 'end'),
      distance: number(-5000, 5000, 'Along the centre line, mm'),
      offset: vector,
    },
    'On a member’s centre line',
  ),
  closed({ on: Type.Literal('fixed'), at: vector }, 'At fixed coordinates'),
]);
export const NodeSchema = closed(
  { id: id('Node id'), name: name('For people'), anchor: AnchorSchema },
  'A named point of the frame',
);
export type Node = Static<typeof NodeSchema>;

const allowance = number(0, 500, 'Extra length left on for trimming, mm');
const HostSchema = closed(
  { member: id('Member id'), side: literals('Which twin of a mirrored host', 'same', 'left', 'right') },
  'A member that this end is cut to fit; it runs through',
);
export const EndSchema = Type.Union([
  closed(
    { cut: Type.Literal('plain'), setback: number(-500, 2000, 'Cut short of the node, mm'), allowance },
    'Square cut',
  ),
  closed(
    {
      cut: Type.Literal('coped'),
      hosts: Type.Array(HostSchema, { minItems: 1, maxItems: 6 }),
      besideAxis: Type.Boolean({ description: 'Meant to sit off the host’s axis' }),
      allowance,
    },
    'Coped to its hosts',
  ),
  closed(
    {
      cut: Type.Literal('slotted'),
      setback: number(-500, 2000, 'Tube end short of the node, mm'),
      slotWidth: number(0.5, 50, 'Slot width, the plate’s thickness, mm'),
      slotDepth: number(1, 200, 'Slot depth, mm'),
      allowance,
    },
    'Slotted over a plate that lies in the side view’s plane',
  ),
]);
export type End = Static<typeof EndSchema>;

export const MemberSchema = closed(
  {
    id: id('Member id'),
    piece: Type.Integer({ minimum: 1, maximum: 999, description: 'Piece number; twins are marked L and R' }),
    name: name('For people'),
    nodes: Type.Tuple([id('Start node'), id('End node')], { description: 'From, to' }),
    section: id('Section id'),
    material: id('Material id'),
    mirrored: Type.Boolean({ description: 'Stands for a left and a right part' }),
    supplied: Type.Boolean({ description: 'Bought to length, not cut by the builder' }),
    ends: closed({ start: EndSchema, end: EndSchema }, 'How each end is cut'),
  },
  'A tube',
);
export type Member = Static<typeof MemberSchema>;

export const PlateSchema = closed(
  {
    id: id('Plate id'),
    piece: Type.Integer({ minimum: 1, maximum: 999 }),
    name: name('For people'),
    node: id('Node the outline is drawn from'),
    thickness: number(0.5, 50, 'mm'),
    material: id('Material id'),
    mirrored: Type.Boolean(),
    outline: Type.Array(Type.Tuple([coordinate, coordinate]), {
      minItems: 3,
      maxItems: 200,
      description: 'x forward, z up from the node, mm',
    }),
    holes: Type.Array(
      closed({ at: Type.Tuple([coordinate, coordinate]), diameter: number(0.5, 200, 'mm') }, 'A round hole'),
      { maxItems: 50 },
    ),
  },
  'A flat plate parallel to the middle plane',
);
export type Plate = Static<typeof PlateSchema>;

export const AxisSchema = closed(
  {
    id: literals(
      'What the scale sets',
      'axleBehind',
      'axleAbove',
      'seatAngle',
      'seatCone',
      'headAngle',
      'headCarriage',
      'lowerCone',
      'upperCone',
    ),
    zero: number(-3000, 3000, 'Scale reading when the quantity is zero'),
    direction: Type.Union([Type.Literal(1), Type.Literal(-1)], {
      description: 'Scale rises (1) or falls (−1) as the quantity grows',
    }),
    step: number(0.001, 50, 'Smallest setting that can be made: mm or degrees'),
    low: number(-3000, 5000, 'Lowest reading on the scale'),
    high: number(-3000, 5000, 'Highest reading on the scale'),
  },
  'One scale of a fixture',
);
export type Axis = Static<typeof AxisSchema>;
export const ProfileSchema = closed(
  {
    name: name('The fixture’s name in the workshop'),
    pivotHeight: number(-500, 1000, 'Head post’s pivot above the BB post’s axis, mm'),
    seatConeHeight: number(-100, 300, 'Seat cone: from where its scale reads to the tube’s top face, mm'),
    lowerConeHeight: number(
      -100,
      300,
      'Lower head cone: from where its scale reads to the tube’s lower face, mm',
    ),
    upperConeHeight: number(
      -100,
      300,
      'Upper head cone: from the tube’s upper face to where its scale reads, mm',
    ),
    axes: Type.Array(AxisSchema, { minItems: 8, maxItems: 8 }),
  },
  'A slide-and-post fixture',
);
export type Profile = Static<typeof ProfileSchema>;

const values = (about: string) =>
  Type.Record(
    Type.String({ pattern: '^[A-Za-z][A-Za-z0-9]{0,39}$' }),
    number(-20000, 20000, 'mm or degrees'),
    {
      description: about,
      additionalProperties: false,
    },
  );

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
export const SCHOOLS = ['wall-board', 'slide-and-post', 'stay', 'table', 'spine', 'plan', 'none'] as const;
/** A measured segment of a rider; what is left out comes from the stature and the inseam. */
const segment = (about: string) => Type.Optional(number(20, 1000, `Measured: ${about}, mm`));
const BriefSchema = closed(
  {
    purpose: Type.String({ maxLength: 2000, description: 'What it is for' }),
    riders: Type.Array(
      closed(
        {
          name: name('For people'),
          stature: number(500, 2500, 'Standing height, mm'),
          mass: number(5, 300, 'kg'),
          inseam: Type.Optional(number(150, 1400, 'Floor to crotch, mm, where it was measured')),
          thigh: segment('hip joint to knee'),
          shank: segment('knee to ankle'),
          ankleHeight: segment('ankle above the sole'),
          trunk: segment('hip joint to shoulder joint'),
          upperArm: segment('shoulder to elbow'),
          forearm: segment('elbow to wrist'),
        },
        'Someone who sits in it',
      ),
      { maxItems: 6 },
    ),
    shelf: Type.Array(ShelfSchema, { maxItems: 30 }),
    limits: Type.Array(RuleLimitSchema, { maxItems: 30 }),
    school: literals('How the builder means to hold the frame', ...SCHOOLS),
  },
  'What was known before the first dimension',
);
export type Brief = Static<typeof BriefSchema>;

export type Rider = Brief['riders'][number];

export const BuildSchema = Type.Object(
  {
    format: Type.Literal('larchwood-build'),
    version: Type.Literal(3),
    name: name('Name of the build'),
    kind: literals('Kind of vehicle', ...KINDS.map((kind) => kind.id)),
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
    mass: closed(
      {
        lumps: Type.Array(LumpSchema, { maxItems: 60 }),
        scales: Type.Optional(ScalesSchema),
      },
      'What the vehicle carries besides its tubes and riders',
    ),
    frame: closed(
      {
        sections: Type.Array(SectionSchema, { maxItems: 200 }),
        nodes: Type.Array(NodeSchema, { maxItems: 1000 }),
        members: Type.Array(MemberSchema, { maxItems: 500 }),
        plates: Type.Array(PlateSchema, { maxItems: 200 }),
      },
      'The frame graph',
    ),
    fixture: closed(
      { school: Type.Literal('slide-and-post'), profile: ProfileSchema },
      'How the frame is held',
    ),
    paper: closed(
      {
        size: literals('Sheet size', 'A4', 'Letter'),
        thickness: number(0, 2, 'Thickness of the pattern paper, mm'),
      },
      'Pattern paper',
    ),
  },
  {
    $id: 'larchwood-build-3',
    title: 'Larchwood build, version 3',
    description:
      'Lengths in millimetres, angles in degrees, masses in kilograms, axes ISO 8855 (x forward, y left, z up).',
    additionalProperties: false,
  },
);
export type BuildDocument = Static<typeof BuildSchema>;
export const FORMAT_VERSION = 3;
export const FILE_SUFFIX = '.larchwood.json';
