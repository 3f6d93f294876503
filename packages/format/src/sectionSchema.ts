import { Type, type Static } from '@sinclair/typebox';
import { closed, id, name, number } from './parts.js';

/** Sections of tubes: round, with butts or a taper; rectangular; oval. */
const ButtSchema = closed(
  {
    wall: number(0.3, 20, 'Wall in the zone, mm'),
    length: number(0, 2000, 'Length of the zone from this end of the tube as sold, mm'),
    taper: number(0, 500, 'Length over which it thins to the middle wall, mm'),
  },
  'One thick end of a butted tube',
);
const outer = (about: string) => number(4, 300, `${about}, mm`);
const wall = number(0.3, 30, 'Wall, mm; of the thin middle when butted; half of a round bar that is solid');
const sectionId = id('Reference used by members');
const sectionName = name('As sold, e.g. 28.6 x 0.9');

export const RoundSectionSchema = closed(
  {
    id: sectionId,
    name: sectionName,
    shape: Type.Literal('round'),
    diameter: outer('Outer diameter; of the larger end when tapered'),
    wall,
    butts: Type.Optional(
      closed(
        { start: ButtSchema, end: ButtSchema, soldLength: number(50, 6000, 'Length as sold, mm') },
        'Butted: thick ends',
      ),
    ),
    taper: Type.Optional(
      closed(
        {
          diameter: outer('Outer diameter of the small end'),
          length: number(1, 3000, 'Length of the taper, mm, up to the member’s end'),
        },
        'Tapered towards the member’s end',
      ),
    ),
    ovalEnd: Type.Optional(
      closed(
        {
          width: outer('Across, at the member’s end'),
          height: outer('Up, at the member’s end'),
          length: number(1, 3000, 'Length over which it turns from round to oval, mm'),
        },
        'Pressed oval towards the member’s end',
      ),
    ),
  },
  'A round tube',
);
export const RectangularSectionSchema = closed(
  {
    id: sectionId,
    name: sectionName,
    shape: Type.Literal('rectangular'),
    width: outer('Outer size across'),
    height: outer('Outer size up'),
    wall,
    corner: number(0, 100, 'Outer radius of the corners, mm'),
  },
  'A square or rectangular tube',
);
export const OvalSectionSchema = closed(
  {
    id: sectionId,
    name: sectionName,
    shape: Type.Literal('oval'),
    width: outer('Outer size across'),
    height: outer('Outer size up'),
    wall,
  },
  'An oval tube: an ellipse outside, the wall even all round',
);
export const SectionSchema = Type.Union([RoundSectionSchema, RectangularSectionSchema, OvalSectionSchema], {
  description: 'A tube section',
});
export type Section = Static<typeof SectionSchema>;
export type RoundSection = Static<typeof RoundSectionSchema>;
