import { Type, type Static } from '@sinclair/typebox';
import { closed, literals, name, number, vector } from './parts.js';

/** What is measured of a frame as it is built, and what was found. */
export const CHECK_STAGE_IDS = [
  'dry',
  'tacked',
  'root',
  'cap',
  'off',
  'relieved',
  'assembled',
  'ridden',
] as const;
export type CheckStage = (typeof CHECK_STAGE_IDS)[number];

const PLACE = '^[A-Za-z0-9._:>-]{1,160}$';
const place = (about: string) => Type.String({ pattern: PLACE, description: about });
const byPlace = <T extends Parameters<typeof Type.Record>[1]>(value: T, about: string) =>
  Type.Record(Type.String({ pattern: PLACE }), value, { description: about, additionalProperties: false });
const found = (about: string) => number(-20000, 20000, about);
const day = Type.String({
  pattern: '^[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9:.]{5,12}Z$',
  description: 'When, UTC',
});

const OwnMeasureSchema = closed(
  {
    id: Type.String({ pattern: '^own:[A-Za-z0-9_-]{1,60}$', description: 'Measure id' }),
    name: name('What is measured'),
    as: literals('How it is measured', 'distance', 'height', 'beside'),
    from: place('Measuring point'),
    to: Type.Optional(place('Measuring point, for a distance')),
    tolerance: number(0.01, 500, 'To either side, mm'),
  },
  'A measure of the builder’s own',
);
export type OwnMeasure = Static<typeof OwnMeasureSchema>;

export const ChecksSchema = closed(
  {
    own: Type.Array(OwnMeasureSchema, { maxItems: 60 }),
    tolerances: byPlace(
      number(0.01, 500, 'To either side, mm or degrees'),
      'Tolerances that differ from the usual ones, by measure',
    ),
    preset: byPlace(
      vector,
      'How far a key point is set off where it is drawn, against the movement that welding brings; by point, mm',
    ),
    presetOn: Type.Optional(day),
    heightsFrom: Type.Optional(
      literals('Where heights are measured from while the frame stands in its fixture', 'ground', 'fixture'),
    ),
  },
  'How the frame is measured',
);
export type ChecksData = Static<typeof ChecksSchema>;

const MeasuredSchema = closed(
  {
    stage: literals('When it was measured', ...CHECK_STAGE_IDS),
    measure: place('Measure'),
    value: found('As read, mm or degrees'),
    spread: Type.Optional(number(0, 1000, 'Standard deviation of several readings, mm or degrees')),
    on: Type.Optional(day),
    note: Type.Optional(Type.String({ maxLength: 300 })),
    before: Type.Optional(
      Type.Array(closed({ value: found('As read before'), on: Type.Optional(day) }, 'An earlier reading'), {
        maxItems: 20,
        description: 'What it read before it was read again, oldest first',
      }),
    ),
  },
  'A reading',
);
export type Measured = Static<typeof MeasuredSchema>;
export const MeasuredListSchema = Type.Array(MeasuredSchema, {
  maxItems: 3000,
  description: 'What was measured',
});
