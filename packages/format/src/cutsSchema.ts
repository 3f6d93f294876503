import { Type, type Static } from '@sinclair/typebox';
import { closed, id, literals, name, number } from './parts.js';

const length = (about: string) => number(0, 20000, `${about}, mm`);

const BendingSchema = closed(
  {
    die: Type.Optional(id('Die of the workshop; left out, the one of its radius and size')),
    from: literals('End that the marks are measured from', 'start', 'end'),
    order: Type.Optional(
      Type.Array(Type.Integer({ minimum: 1, maximum: 60 }), {
        maxItems: 60,
        description:
          'Bends by their number from that end, in the order they are made; left out, along the tube',
      }),
    ),
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

const day = (about: string) => Type.String({ pattern: '^[0-9]{4}-[0-9]{2}-[0-9]{2}$', description: about });

/** What is cut by somebody else: so long as it is in this list, nobody saws it here. */
const OrderSchema = closed(
  {
    id: id('The service’s own number'),
    service: name('Who cuts it'),
    on: day('Ordered'),
    due: day('Promised to be sent'),
    price: number(0, 1000000, 'Of all, in the workshop’s money'),
    tolerance: number(0.01, 20, 'Of a length, as the service states it, to either side, mm'),
    edges: Type.String({ maxLength: 300, description: 'How its edges come, as the service states it' }),
    pieces: Type.Array(
      closed(
        {
          piece: id('Member or plate id'),
          mark: name('Piece mark'),
          length: length('As ordered'),
          of: Type.String({ maxLength: 300, description: 'What it was ordered as, in words' }),
          figures: Type.Array(number(-20000, 20000, 'mm or degrees'), {
            maxItems: 4000,
            description: 'The same in figures: size, ends, holes, outline',
          }),
        },
        'A piece',
      ),
      { minItems: 1, maxItems: 700 },
    ),
  },
  'An order at a cutting service',
);
export type CutOrder = Static<typeof OrderSchema>;

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
    orders: Type.Optional(Type.Array(OrderSchema, { maxItems: 60, description: 'Ordered cut' })),
  },
  'How its pieces are made',
);
export type CutsData = Static<typeof CutsSchema>;
