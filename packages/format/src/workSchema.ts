import { Type, type Static } from '@sinclair/typebox';
import { closed, literals, name, number } from './parts.js';

/** The order in which a frame is built, what was moved in it by the builder, and what is done. */
export const WAY_IDS = [
  'front-first',
  'rear-first',
  'floor-first',
  'held-first',
  'donor-first',
  'flat-first',
  'base-first',
  'groups',
] as const;
export type WayId = (typeof WAY_IDS)[number];

const stepId = (about: string) => Type.String({ pattern: '^[A-Za-z0-9._:>-]{1,160}$', description: about });
const byStep = <T extends Parameters<typeof Type.Record>[1]>(value: T, about: string) =>
  Type.Record(Type.String({ pattern: '^[A-Za-z0-9._:>-]{1,160}$' }), value, {
    description: about,
    additionalProperties: false,
  });
const DAY = '^[0-9]{4}-[0-9]{2}-[0-9]{2}$';
const hours = (about: string) => number(0, 2000, `${about}, hours`);

const OwnStepSchema = closed(
  {
    id: Type.String({ pattern: '^own:[A-Za-z0-9_-]{1,60}$', description: 'Step id' }),
    name: name('What is to be done'),
    hours: hours('It takes'),
    after: Type.Optional(stepId('Right after this step')),
    due: Type.Optional(
      Type.String({ pattern: DAY, description: 'Cannot begin before this day: a delivery, a helper' }),
    ),
  },
  'A step of the builder’s own',
);
export type OwnStep = Static<typeof OwnStepSchema>;

/** A class of four shares a frame; more than so many are in each other's way. Common practice, no source. */
export const MOST_PEOPLE = 8;
const CalendarSchema = closed(
  {
    from: Type.String({ pattern: DAY, description: 'First day' }),
    week: Type.Array(number(0, 24, 'Hours of that day'), {
      minItems: 7,
      maxItems: 7,
      description: 'Working time of each day, from Monday on',
    }),
    people: Type.Optional(
      Type.Integer({
        minimum: 1,
        maximum: MOST_PEOPLE,
        description: 'So many work at the same time; one where it is left out',
      }),
    ),
  },
  'When there is time to work',
);
export type Calendar = Static<typeof CalendarSchema>;

export const WorkSchema = closed(
  {
    way: Type.Optional(literals('Which part is built first; left out, the one that is usual', ...WAY_IDS)),
    welding: literals(
      'Welded on the fixture, tacked on it and welded off it, or in short tacks all round until it is full',
      'on',
      'off',
      'stitch',
    ),
    vents: literals(
      'Closed tubes are vented and drained, or vented while hot and sealed after',
      'drained',
      'sealed',
    ),
    moves: Type.Array(
      closed(
        { step: stepId('Step'), after: stepId('Right after this step; “start”: before all') },
        'A step that the builder put elsewhere',
      ),
      { maxItems: 300 },
    ),
    own: Type.Array(OwnStepSchema, { maxItems: 100 }),
    needs: Type.Array(
      closed(
        { step: stepId('Step'), needs: stepId('Step that must be done before') },
        'A step that waits for another',
      ),
      { maxItems: 200 },
    ),
    hours: byStep(hours('By the builder’s own estimate'), 'Own hours by step'),
    waits: byStep(
      number(0, 365, 'days'),
      'Days that must pass after a step: parts on their way, paint that dries',
    ),
    seams: Type.Array(
      closed(
        { seam: stepId('Segment of a seam'), after: stepId('Right after this segment; “start”: before all') },
        'A weld that the builder put elsewhere',
      ),
      { maxItems: 300 },
    ),
    flush: Type.Optional(
      Type.Array(stepId('Seam'), {
        maxItems: 300,
        description: 'Seams that are ground flush, since bodywork lies close to them',
      }),
    ),
    calendar: Type.Optional(CalendarSchema),
  },
  'How it is built',
);
export type WorkData = Static<typeof WorkSchema>;

const DoneSchema = closed(
  {
    step: stepId('Step'),
    of: Type.String({ maxLength: 300, description: 'What was to be made when it was done' }),
    done: Type.Boolean({ description: 'Ticked as done' }),
    on: Type.Optional(
      Type.String({ pattern: '^[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9:.]{5,12}Z$', description: 'When, UTC' }),
    ),
    was: Type.Optional(
      byStep(number(-20000, 20000, 'mm or degrees'), 'Numbers that it was done by, by line of the step'),
    ),
    kept: Type.Optional(
      Type.String({
        maxLength: 300,
        description: 'What it was to be when the builder looked at what was made, and kept it',
      }),
    ),
    hours: Type.Optional(hours('It took')),
    wrong: Type.Optional(Type.String({ maxLength: 500, description: 'What is wrong' })),
  },
  'A step that was done, or where something is wrong',
);
export type Done = Static<typeof DoneSchema>;
export const DoneListSchema = Type.Array(DoneSchema, {
  maxItems: 3000,
  description: 'What is done of the work',
});
