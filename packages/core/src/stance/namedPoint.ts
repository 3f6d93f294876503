import type { Vector } from '../vector/vector.js';
import type { Points } from './dimension.js';

/** A point of a stance by the name that a document has for it, on the frame or on a rider; undefined where there is none. */
export function namedPoint(
  { points, seatPoints }: { readonly points: Points; readonly seatPoints: Points },
  name: string,
): Vector | undefined {
  return own(points, name) ?? own(seatPoints, name);
}

/** What a record itself has by a key that came from outside: never what every object inherits. */
export const own = <T>(record: Readonly<Record<string, T>>, key: string): T | undefined =>
  Object.hasOwn(record, key) ? record[key] : undefined;
