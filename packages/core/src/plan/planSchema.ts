import { Type, type TSchema } from '@sinclair/typebox';

/** The plan as a file: what an independent reader may count on. More may stand beside it. */
const open = (properties: Record<string, TSchema>, description: string) =>
  Type.Object(properties, { description });
const number = (description: string) => Type.Number({ description });
const vector = (description: string) =>
  Type.Tuple([Type.Number(), Type.Number(), Type.Number()], {
    description: `${description}; x forward, y left, z up`,
  });
const text = (description: string) => Type.String({ description });

const EndSchema = open(
  {
    end: Type.Union([Type.Literal('start'), Type.Literal('end')]),
    cut: text('plain, coped, mitred, slotted, plate, capped or flattened'),
    hosts: Type.Array(Type.String(), { description: 'Marks of the pieces that it fits' }),
    includedAngle: number('Acute angle to the first host, degrees'),
    offSquare: number('What a saw reads, degrees'),
    offset: number('Between the two centre lines, mm'),
    cutterDiameter: number('mm; 0 where no round cutter makes the cut'),
    matchAngle: number('From the match line to the acute side, right-handed about the outward axis, degrees'),
    centre: vector('Cutter centre, mm'),
    outward: vector('Unit vector along the axis, out of the end'),
    matchSide: vector('Unit vector to the match line'),
    edge: open(
      {
        outer: Type.Array(Type.Number(), {
          minItems: 360,
          maxItems: 360,
          description:
            'Where each outer wall line ends along the outward axis from the cutter centre, mm; line 0 is the match line, and of a round tube a line is a degree',
        }),
        inner: Type.Array(Type.Number(), { minItems: 360, maxItems: 360, description: 'The same, inside' }),
        missedLines: Type.Array(Type.Integer(), {
          description: 'Lines that meet no host; they are told as long as the longest',
        }),
      },
      'The cut edge, unrolled',
    ),
  },
  'One end of a piece, cut',
);
const CutSchema = open(
  {
    piece: text('Id'),
    mark: text('Piece mark: 3, or 7L and 7R'),
    name: text('For people'),
    ends: Type.Tuple([EndSchema, EndSchema]),
    betweenCentres: number('Between the two cutter centres along the centre line, mm'),
    overall: number('Longest point to longest point, mm'),
    saddleToSaddle: number('Deepest point to deepest point, mm'),
    blank: number('To cut off, allowances in, mm'),
    mass: number('kg'),
    centre: vector('Centre of gravity, mm'),
  },
  'A piece, cut',
);
const PlateSchema = open(
  {
    id: text('Id'),
    mark: text('Piece mark'),
    name: text('For people'),
    at: vector('Where its outline is drawn from, mm'),
    axes: Type.Tuple([vector('First axis of the outline'), vector('Second axis')]),
    plate: open(
      {
        thickness: number('mm'),
        outline: Type.Array(Type.Tuple([Type.Number(), Type.Number()]), {
          description: 'Corners along the two axes, mm',
        }),
        holes: Type.Array(
          open({ at: Type.Tuple([Type.Number(), Type.Number()]), diameter: Type.Number() }, 'A hole, mm'),
        ),
      },
      'As the document has it',
    ),
    mass: number('kg'),
  },
  'A plate where it lies',
);
const SettingSchema = open(
  {
    id: text('Setting id'),
    name: text('For people'),
    quantity: text('length or angle'),
    reading: number('What to set on the scale, mm or degrees'),
    exact: number('Before any mark of the scale'),
    step: number('mm or degrees'),
    tolerance: number('To either side'),
  },
  'One scale to set',
);
const FindingSchema = open(
  {
    code: text('What it is'),
    severity: Type.Union([Type.Literal('stop'), Type.Literal('look'), Type.Literal('note')]),
    where: open({ station: Type.String(), ref: Type.String() }, 'Where to look'),
    words: open(
      { title: Type.String(), text: Type.String(), remedies: Type.Array(Type.String()) },
      'In words, in the build’s units',
    ),
  },
  'What the builder should know',
);

export const PlanFileSchema = Type.Object(
  {
    format: Type.Literal('larchwood-plan'),
    version: Type.Literal(1),
    name: text('Of the build'),
    kind: text('Kind of vehicle'),
    stance: open(
      {
        values: Type.Record(Type.String(), Type.Number(), { description: 'Every dimension, mm or degrees' }),
        points: Type.Record(Type.String(), vector('A named point, mm')),
      },
      'The stance',
    ),
    frame: open(
      {
        nodes: Type.Record(Type.String(), vector('A node, mm')),
        pieces: Type.Array(
          open(
            { id: text('Id'), mark: text('Piece mark'), start: vector('mm'), end: vector('mm') },
            'A tube where it lies',
          ),
        ),
        plates: Type.Array(PlateSchema),
      },
      'The frame',
    ),
    cuts: Type.Array(CutSchema, { description: 'Pieces to cut' }),
    given: Type.Array(CutSchema, { description: 'Pieces that are there already' }),
    bends: Type.Array(
      open(
        {
          piece: text('Piece id'),
          mark: text('Piece mark'),
          from: text('End that the marks are measured from'),
          tube: number('Length as it is bent, mm'),
          bends: Type.Array(
            open(
              {
                mark: number('Start of the bend from that end, mm'),
                angle: number('Turn of the tube, degrees'),
                rotation: number(
                  'From the plane of the bend before it along the tube, clockwise seen from the other end',
                ),
                radius: number('Of the centre line, mm'),
              },
              'A bend, from that end on',
            ),
          ),
          order: Type.Array(number('Of a bend, from that end: 1 for the first'), {
            description: 'In which order they are made',
          }),
        },
        'A piece that is bent',
      ),
    ),
    holes: Type.Array(
      open(
        {
          piece: text('Piece id'),
          mark: text('Piece mark'),
          bores: Type.Array(
            open(
              {
                name: text('What it is for'),
                fromStart: number('From the longest point of the start, as cut, mm'),
                face: number('About the tube from the section’s top, clockwise seen from its start; degrees'),
                round: number('Along the outside from the top, clockwise, mm'),
                diameter: number('mm'),
                long: number('From end to end, mm'),
              },
              'A hole or slot in one wall',
            ),
          ),
        },
        'A piece that is drilled',
      ),
    ),
    mass: open({ laden: open({ mass: number('kg'), at: vector('mm') }, 'Riders aboard') }, 'Masses'),
    fixture: open(
      {
        school: text('How the frame is held'),
        settings: Type.Array(SettingSchema),
      },
      'The fixture',
    ),
    findings: Type.Array(FindingSchema),
  },
  {
    $id: 'larchwood-plan-1',
    title: 'Larchwood plan, version 1',
    description:
      'All that follows from a build. Lengths in millimetres, angles in degrees, masses in kilograms, axes ISO 8855. Properties that are not listed may change.',
  },
);
