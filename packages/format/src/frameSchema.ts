import { Type, type Static } from '@sinclair/typebox';
import { closed, coordinate, id, literals, name, number, vector } from './parts.js';
import { SectionSchema } from './sectionSchema.js';

/** The frame's part of the build document: nodes, members with their ends, plates, groups; its sections stand beside. */
/** What a hole is for. */
export const HOLE_USES = ['bearing', 'bolt', 'cable', 'axle', 'vent', 'plug', 'other'] as const;

const share = number(-5, 6, 'Part of the way: 0 at the first, 1 at the second');
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
      distance: number(-5000, 20000, 'Along the centre line, mm'),
      offset: vector,
    },
    'On a member’s centre line, at a distance',
  ),
  closed(
    { on: Type.Literal('share'), member: id('Member id'), share, offset: vector },
    'On a member’s centre line, part of the way from its start to its end',
  ),
  closed({ on: Type.Literal('node'), node: id('Node id'), offset: vector }, 'Beside another node'),
  closed(
    { on: Type.Literal('between'), nodes: Type.Tuple([id('Node id'), id('Node id')]), share, offset: vector },
    'Between two nodes',
  ),
  closed({ on: Type.Literal('mirror'), node: id('Node id') }, 'The same as a node, on the other side'),
  closed(
    { on: Type.Literal('square'), member: id('Member id'), node: id('Node id') },
    'On a member, where a line from the node meets it square',
  ),
  closed(
    {
      on: Type.Literal('inLine'),
      member: id('Member id'),
      nodes: Type.Tuple([id('Node id'), id('Node id')]),
    },
    'On a member, in line with two nodes',
  ),
  closed(
    {
      on: Type.Literal('parallel'),
      member: id('Member on which it sits'),
      to: id('Member that the line is parallel to'),
      distance: number(-5000, 5000, 'Between the two lines, mm; positive towards the member’s end'),
    },
    'On a member, at a distance from another one’s line',
  ),
  closed({ on: Type.Literal('fixed'), at: vector }, 'At fixed coordinates'),
]);
export const NodeSchema = closed(
  { id: id('Node id'), name: name('For people'), anchor: AnchorSchema },
  'A named point of the frame',
);
export type Node = Static<typeof NodeSchema>;
export type Anchor = Node['anchor'];

const allowance = number(0, 500, 'Extra length left on for trimming, mm');
const setback = number(-500, 2000, 'Cut short of the node, mm');
const HostSchema = closed(
  { member: id('Member id'), side: literals('Which twin of a mirrored host', 'same', 'left', 'right') },
  'A member that this end is cut to fit; it runs through',
);
export type Host = Static<typeof HostSchema>;
export const PlainEndSchema = closed(
  {
    cut: Type.Literal('plain'),
    setback,
    allowance,
    lost: Type.Optional(
      Type.String({
        minLength: 1,
        maxLength: 80,
        description: 'Name of the member that this end fitted until that was taken out',
      }),
    ),
  },
  'Square cut',
);
export const EndSchema = Type.Union([
  PlainEndSchema,
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
    { cut: Type.Literal('mitred'), with: HostSchema, allowance },
    'Cut in the plane that halves the corner with another member’s end',
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
  closed(
    { cut: Type.Literal('capped'), setback, thickness: number(0.5, 20, 'Cap, mm'), allowance },
    'Square cut and closed with a cap',
  ),
  closed(
    { cut: Type.Literal('flattened'), setback, length: number(1, 300, 'Flattened over, mm'), allowance },
    'Square cut and pressed flat',
  ),
  closed(
    { cut: Type.Literal('plate'), plate: id('Plate id'), allowance },
    'Open, cut in a plane against a plate’s face',
  ),
]);
export type End = Static<typeof EndSchema>;

export const HoleSchema = closed(
  {
    id: id('Hole id'),
    name: name('What it is for'),
    use: literals('What goes through it', ...HOLE_USES),
    from: literals('Where the distance begins', 'start', 'end', 'middle'),
    at: Type.Optional(
      id(
        'Stance point or node beside the tube at which the distance begins, towards its end; instead of `from`',
      ),
    ),
    distance: number(
      -10000,
      20000,
      'To its middle, along the tube: from the longest point of that end, as cut; from the middle towards the end; mm',
    ),
    face: number(-360, 360, 'About the tube from the section’s top, clockwise seen from its start; degrees'),
    off: number(-150, 150, 'Off the middle of that face, clockwise; mm'),
    diameter: number(0.5, 200, 'In the wall that it is placed on; the width of a slot; mm'),
    slot: Type.Optional(number(1, 1000, 'Length of a slot along the tube, from end to end, mm')),
    far: Type.Optional(
      number(0.5, 200, 'In the far wall, square through; left out where that stays whole; mm'),
    ),
    circle: Type.Optional(
      closed(
        {
          count: Type.Integer({ minimum: 1, maximum: 24 }),
          diameter: number(1, 300, 'Of the circle through their middles, mm'),
          hole: number(0.5, 100, 'Of each, mm'),
          first: number(-360, 360, 'The first one, from the tube’s own way, clockwise; degrees'),
        },
        'Bolt holes on a circle about it, through the same walls',
      ),
    ),
    axle: Type.Optional(number(1, 100, 'Diameter of the axle, or across its flats, mm')),
    between: Type.Optional(
      number(1, 1000, 'Length of the axle between the faces of its nuts or bearings, mm'),
    ),
    sleeve: Type.Optional(number(1, 150, 'Outer diameter of a crush sleeve, mm')),
  },
  'A hole or slot',
);
export type Hole = Static<typeof HoleSchema>;

export const MemberSchema = closed(
  {
    id: id('Member id'),
    piece: Type.Integer({ minimum: 1, maximum: 999, description: 'Piece number; twins are marked L and R' }),
    name: name('For people'),
    nodes: Type.Tuple([id('Start node'), id('End node')], { description: 'From, to' }),
    bends: Type.Array(
      closed(
        { node: id('Node at the corner'), radius: number(1, 3000, 'Centre-line radius, mm') },
        'A bend: the two straights meet in the node, were they not bent',
      ),
      { maxItems: 30, description: 'In order, from start to end' },
    ),
    section: id('Section id'),
    material: id('Material id'),
    turn: number(-360, 360, 'Section turned about the member, from its height up; degrees'),
    seam: Type.Optional(number(-360, 360, 'Weld seam, about the member from the section’s top; degrees')),
    mirrored: Type.Boolean({ description: 'Stands for a left and a right part' }),
    supplied: Type.Boolean({ description: 'Bought to length, not cut by the builder' }),
    group: Type.Optional(id('Group id')),
    through: Type.Optional(
      Type.Array(id('Member id'), {
        maxItems: 10,
        description: 'Passes through these, which are drilled for it',
      }),
    ),
    ends: closed({ start: EndSchema, end: EndSchema }, 'How each end is cut'),
    holes: Type.Optional(Type.Array(HoleSchema, { maxItems: 40, description: 'Drilled or sawn in it' })),
  },
  'A tube',
);
export type Member = Static<typeof MemberSchema>;

const point = Type.Tuple([coordinate, coordinate]);
const PlateHoleSchema = closed(
  {
    at: point,
    diameter: number(0.5, 200, 'mm; the width of a slot'),
    name: Type.Optional(name('What it is for')),
    slot: Type.Optional(
      closed(
        {
          length: number(1, 1000, 'From end to end, mm'),
          turn: number(-360, 360, 'Along it, from the outline’s first axis; degrees'),
        },
        'Longer than it is wide: a slot with round ends, its middle at the point',
      ),
    ),
  },
  'A round hole, or a slot',
);
export const PlateSchema = closed(
  {
    id: id('Plate id'),
    piece: Type.Integer({ minimum: 1, maximum: 999 }),
    name: name('For people'),
    node: id('Node the outline is drawn from'),
    thickness: number(0.5, 50, 'mm'),
    material: id('Material id'),
    mirrored: Type.Boolean(),
    group: Type.Optional(id('Group id')),
    plane: literals(
      'Lies as seen in this view: side x forward and z up, plan x forward and y left, front y left and z up',
      'side',
      'plan',
      'front',
    ),
    tilt: number(-360, 360, 'Turned about the outline’s own first axis, out of that plane; degrees'),
    turn: number(-360, 360, 'Turned in that plane; degrees'),
    outline: Type.Array(point, { minItems: 3, maxItems: 200, description: 'From the node, mm' }),
    holes: Type.Array(PlateHoleSchema, { maxItems: 50 }),
    bendLines: Type.Array(
      closed(
        { from: point, to: point, angle: number(-180, 180, 'degrees'), radius: number(0, 50, 'Inside, mm') },
        'Folded along this line',
      ),
      { maxItems: 10 },
    ),
    corners: Type.Optional(
      Type.Array(
        closed(
          {
            at: point,
            cut: literals('How the corner is made', 'sharp', 'round', 'chamfer'),
            size: number(0, 1000, 'Radius, or length taken off each side, mm'),
          },
          'A corner',
        ),
        { minItems: 3, maxItems: 60, description: 'What the outline was drawn from' },
      ),
    ),
    trial: Type.Optional(
      closed(
        {
          state: literals('How far it is', 'card', 'fits'),
          found: Type.String({ maxLength: 500, description: 'What the trial found' }),
        },
        'Trial in card or board before metal is cut',
      ),
    ),
    free: Type.Optional(
      literals(
        'Welded in already: its free face, as its view looks at it or from behind; paper is stuck on that',
        'towards',
        'away',
      ),
    ),
  },
  'A flat plate',
);
export type Plate = Static<typeof PlateSchema>;

export const GroupSchema = closed(
  {
    id: id('Group id'),
    name: name('For people'),
    donor: Type.Boolean({ description: 'There already, cut from another frame: nothing of it is cut' }),
    apart: Type.Optional(
      Type.Boolean({ description: 'Made apart from the frame, and put in last: no fixture holds it' }),
    ),
  },
  'Members that belong together',
);
export type Group = Static<typeof GroupSchema>;

const graph = {
  nodes: Type.Array(NodeSchema, { maxItems: 1000 }),
  members: Type.Array(MemberSchema, { maxItems: 500 }),
  plates: Type.Array(PlateSchema, { maxItems: 200 }),
};
export const FrameSchema = closed(
  {
    sections: Type.Array(SectionSchema, { maxItems: 200 }),
    groups: Type.Array(GroupSchema, { maxItems: 30 }),
    ...graph,
    origin: Type.Optional(
      closed(
        {
          pattern: id('Layout id'),
          options: Type.Object(
            {
              sections: Type.Optional(
                Type.Record(
                  Type.String({ pattern: '^[A-Za-z0-9._-]{1,60}$' }),
                  Type.String({ maxLength: 60 }),
                ),
              ),
            },
            {
              // The layout's own: it knows their limits.
              additionalProperties: number(-20000, 20000, 'An option of the layout by its id, mm or degrees'),
              description: 'What it was told',
            },
          ),
          ...graph,
        },
        'What the layout made, for the list of what the builder has changed since',
      ),
    ),
  },
  'The frame graph',
);
export type FrameData = Static<typeof FrameSchema>;
