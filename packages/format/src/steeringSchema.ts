import { Type, type Static } from '@sinclair/typebox';
import { closed, id, literals, values } from './parts.js';

/** Ways of turning the wheels. A new one is added here and in the core's registry of linkages. */
export const LINKAGE_IDS = [
  'bars',
  'push-rod',
  'sticks-to-fork',
  'track-rod',
  'drag-link',
  'two-rods',
  'rack',
  'under-seat-bar',
  'side-sticks',
] as const;
export type LinkageId = (typeof LINKAGE_IDS)[number];

/** Parts of a front end that the builder makes. A new one is added here and in the core's registry of made parts. */
export const MADE_IDS = ['column', 'fork', 'donor-fork', 'knuckles', 'collar'] as const;
export type MadeId = (typeof MADE_IDS)[number];

const MadeSchema = closed(
  {
    what: literals('What is made', ...MADE_IDS),
    sizes: values('Sizes that differ from what the stance gives, by id'),
    choices: Type.Record(Type.String({ pattern: '^[A-Za-z][A-Za-z0-9]{0,39}$' }), id('One of its choices'), {
      description: 'What was chosen, by id',
      additionalProperties: false,
    }),
    found: values('How far the trial in card or board was out, by size: what was found less what is drawn'),
  },
  'A part that the builder makes',
);
export type Made = Static<typeof MadeSchema>;

export const SteeringSchema = closed(
  {
    linkage: literals('How the wheels are turned', ...LINKAGE_IDS),
    held: values('Held dimensions of the linkage by id; all others follow'),
    near: Type.Optional(values('Sizes to set out from, where the held ones allow more than one linkage')),
    made: Type.Array(MadeSchema, { maxItems: MADE_IDS.length }),
  },
  'Steering: left out, it begins with what builders of this kind use, sized from the stance',
);
export type SteeringData = Static<typeof SteeringSchema>;
