import { Type, type TObject, type TProperties } from '@sinclair/typebox';

/** Pieces that the document's schemas are put together from. */
export const closed = <T extends TProperties>(properties: T, about: string): TObject<T> =>
  Type.Object(properties, { additionalProperties: false, description: about });

export const id = (about: string) =>
  Type.String({ minLength: 1, maxLength: 60, pattern: '^[A-Za-z0-9._-]+$', description: about });
/** No control characters: paper, tables and lists would break at them. */
export const PRINTABLE = '^[^\\u0000-\\u001f\\u007f-\\u009f\\u2028\\u2029]*$';
export const name = (about: string) =>
  Type.String({ minLength: 1, maxLength: 120, pattern: PRINTABLE, description: about });
export const number = (low: number, high: number, about: string) =>
  Type.Number({ minimum: low, maximum: high, description: about });
export const literals = <T extends string>(about: string, ...values: T[]) =>
  Type.Union(
    values.map((value) => Type.Literal(value)),
    { description: about },
  ) as ReturnType<typeof Type.Unsafe<T>>;
export const coordinate = number(-20000, 20000, 'mm');
export const vector = Type.Tuple([coordinate, coordinate, coordinate], {
  description: 'x forward, y left, z up; mm',
});

/** Numbers by the name of what they size. */
export const values = (about: string) =>
  Type.Record(
    Type.String({ pattern: '^[A-Za-z][A-Za-z0-9]{0,39}$' }),
    number(-20000, 20000, 'mm or degrees'),
    {
      description: about,
      additionalProperties: false,
    },
  );
