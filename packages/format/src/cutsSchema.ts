import { Type, type Static } from '@sinclair/typebox';
import { closed, id, literals, name, number } from './parts.js';

const length = (about: string) => number(0, 20000, `${about}, mm`);

const BendingSchema = closed(
  {
    die: Type.Optional(id('Die of the workshop; left out, the one of its radius and size')),
    from: literals('End that the marks are measured from', 'start', 'end'),
    extra: closed(
      { start: length('Left on at the start'), end: length('Left on at the end') },
      'Bent long, trimmed afterwards',
    ),
  },
  'How a tube is bent',
);
export type Bending = Static<typeof BendingSchema>;

/** A bar that was cut: what came out of it, and what is left. */
const BarSchema = closed(
  {
    id: id('Bar id'),
    section: id('Section id'),
    material: id('Material id'),
    length: number(1, 20000, 'Of the bar, mm'),
    offcut: Type.Optional(id('The off-cut of the rack that it was')),
    pieces: Type.Array(
      closed({ piece: id('Member id'), mark: name('Piece mark'), length: length('Cut') }, 'A piece'),
      { maxItems: 200 },
    ),
    left: length('What is left of it'),
  },
  'A bar that was cut',
);
export type CutBar = Static<typeof BarSchema>;

export const CutsSchema = closed(
  {
    bends: Type.Record(Type.String({ pattern: '^[A-Za-z0-9._-]{1,60}$' }), BendingSchema, {
      description: 'By member',
      additionalProperties: false,
    }),
    twins: Type.Optional(
      literals(
        'How the second of a pair is made: by its own settings, or after the first',
        'each',
        'template',
      ),
    ),
    bars: Type.Array(BarSchema, { maxItems: 300, description: 'Bars that were cut' }),
  },
  'How its pieces are made',
);
export type CutsData = Static<typeof CutsSchema>;
