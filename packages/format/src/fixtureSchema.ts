import { Type, type Static } from '@sinclair/typebox';
import { closed, id, literals, name, number } from './parts.js';

/** How the frame is held, and the paper it is printed on. */
export const SCHOOL_IDS = ['wall-board', 'slide-and-post', 'stay', 'table', 'spine', 'plan', 'none'] as const;
export type SchoolId = (typeof SCHOOL_IDS)[number];

const byId = <T extends Parameters<typeof Type.Record>[1]>(value: T, about: string) =>
  Type.Record(Type.String({ pattern: '^[A-Za-z][A-Za-z0-9]{0,39}$' }), value, {
    description: about,
    additionalProperties: false,
  });
const ScaleSchema = closed(
  {
    zero: number(-5000, 5000, 'Scale reading when the quantity is zero'),
    direction: Type.Union([Type.Literal(1), Type.Literal(-1)], {
      description: 'Scale rises (1) or falls (−1) as the quantity grows',
    }),
    step: number(0.001, 50, 'Smallest setting that can be made: mm or degrees'),
    low: number(-20000, 20000, 'Lowest reading on the scale'),
    high: number(-20000, 20000, 'Highest reading on the scale'),
    tolerance: Type.Optional(
      number(0, 50, 'How far a setting may be off to either side; half a step if left out'),
    ),
  },
  'One scale of a fixture',
);
export const ProfileSchema = closed(
  {
    school: literals('School that it is of', ...SCHOOL_IDS),
    name: name('The fixture’s name in the workshop'),
    units: literals('Units of its scales; build: those of the build', 'build', 'mm', 'inch', 'fraction'),
    sizes: byId(number(-20000, 20000, 'mm'), 'Sizes of the tool that differ from the school’s standard'),
    choices: byId(id('Option'), 'Choices that differ from the standard'),
    scales: byId(ScaleSchema, 'Scales that differ from the standard'),
    stock: byId(
      Type.Array(
        closed(
          {
            name: name('What it is'),
            size: number(0, 10000, 'Thickness or length, mm'),
            count: Type.Integer({ minimum: 0, maximum: 10000 }),
          },
          'Something on hand',
        ),
        { maxItems: 40 },
      ),
      'What is on hand, where it differs from the standard',
    ),
  },
  'A fixture as it stands in the workshop; what it leaves out is as its school has it',
);
export type Profile = Static<typeof ProfileSchema>;

export const FixtureSchema = closed(
  {
    profiles: Type.Array(ProfileSchema, { maxItems: 7, description: 'One at most for each school' }),
    readings: Type.Array(
      closed(
        {
          school: literals('School', ...SCHOOL_IDS),
          setting: Type.String({ minLength: 1, maxLength: 120, description: 'Setting id' }),
          set: Type.Boolean({ description: 'Ticked as set' }),
          at: Type.Optional(number(-20000, 20000, 'Reading that it was ticked at, mm or degrees')),
          drawn: Type.Optional(
            number(-20000, 20000, 'Reading as it was drawn when it was ticked, mm or degrees'),
          ),
          found: Type.Optional(number(-20000, 20000, 'Reading as found, mm or degrees')),
        },
        'A setting that stands already',
      ),
      { maxItems: 2000 },
    ),
  },
  'How the frame is held',
);

export const SHEET_SIZES = ['A4', 'A3', 'Letter', 'Tabloid'] as const;
export type SheetSize = (typeof SHEET_SIZES)[number];
const factor = number(0.9, 1.1, 'Length wanted over length as printed: what the next print is stretched by');
export const PaperSchema = closed(
  {
    size: literals('Sheet size', ...SHEET_SIZES),
    thickness: number(0, 2, 'Thickness of the pattern paper, mm'),
    planOn: literals('Full-size plan on one roll sheet, or on tiles of the sheet size', 'roll', 'tiles'),
    rollWidth: number(200, 2000, 'Roll width, mm'),
    overlap: number(0, 60, 'Overlap of tiles, mm'),
    printer: closed(
      { x: factor, y: factor },
      'Correction of the printer: x along a sheet’s short side or across a roll, y along its long side',
    ),
  },
  'Paper',
);
