import { toDegrees } from '../units/angle.js';
import type { Quantity } from '../units/quantity.js';
import { distance, subtract, type Vector } from '../vector/vector.js';
import type { ViewName } from '../stance/dimension.js';
import type { Tolerance, Tool } from './tolerances.js';

/** How a reading follows from where its points lie. Lengths mm, angles degrees. */
export type How =
  /** From point to point. */
  | 'distance'
  /** Above the table. */
  | 'height'
  /** Left of the middle plane; to the right it is negative. */
  | 'beside'
  /** From the first point to the second, against level, as the side shows it. */
  | 'level'
  /** From the first point to the second, out of plumb to the left, as the front shows it. */
  | 'lean'
  /** What a vehicle on its wheels has: one of the outcomes, by its name. */
  | 'outcome'
  /** From a string or a straight-edge to a wheel or a sprocket, whatever the frame's points do. */
  | 'gap';

/** A string beside a vehicle, and what is measured to from it. */
export interface Strung {
  /** From the middle plane to the string, mm. */
  readonly string: number;
  /** Where that lies as drawn. */
  readonly at: Vector;
  /** How long the straight-edge is whose end it is, mm. */
  readonly edge?: number;
}

/** One thing to measure: what the tool shall read, and how far it may be off. Plain data. */
export interface Measurand {
  readonly id: string;
  readonly name: string;
  /** How it is taken, in a sentence. */
  readonly about: string;
  readonly as: How;
  /** Measuring points; of an outcome, all that it hangs on. */
  readonly points: readonly string[];
  readonly outcome?: string;
  /** Of a gap from a string. */
  readonly strung?: Strung;
  readonly quantity: Quantity;
  readonly nominal: number;
  readonly tolerance: Tolerance;
  readonly tool: Tool;
  /** How well it is read: one standard deviation, mm or degrees. */
  readonly reads: number;
  /** Where it shows best. */
  readonly view: ViewName;
  /** On its wheels, instead of as a bare frame. */
  readonly whole: boolean;
  readonly own?: true;
}

/** Two readings against each other, four corners against a plane, or gaps on the left against those on the right. */
export interface Comparison {
  readonly id: string;
  readonly name: string;
  /** Measures: the first less the second; of four corners, once round; of four gaps, the left ones first. */
  readonly of: readonly string[];
  readonly as: 'difference' | 'flat' | 'beside';
  readonly quantity: Quantity;
  readonly nominal: number;
  readonly tolerance: Tolerance;
}

/** Where every point lies. */
export type At = (point: string) => Vector;

/** What a tool would read with the points there; outcomes are not of points alone, and gaps of none: they read as drawn. */
export function readingOf(
  {
    as,
    points: [from, to],
    strung,
    nominal = 0,
  }: Pick<Measurand, 'as' | 'points' | 'strung'> & Partial<Measurand>,
  at: At,
): number {
  if (as === 'gap') return strung ? strung.string - Math.abs(strung.at[1]) : nominal;
  const a = at(from!);
  if (as === 'height') return a[2];
  if (as === 'beside') return a[1];
  const b = at(to!);
  if (as === 'distance') return distance(a, b);
  const way = subtract(b, a);
  if (as === 'lean') return toDegrees(Math.atan2(way[1], Math.hypot(way[0], way[2])));
  return toDegrees(Math.atan2(way[2], Math.abs(way[0])));
}

/**
 * A comparison of readings in their order: a difference, how far one corner hangs above the plane of the others, or how far
 * to the left what lies between two strings is of their middle.
 */
export function comparedOf({ as }: Pick<Comparison, 'as'>, readings: readonly number[]): number {
  const [a = 0, b = 0, c = 0, d = 0] = readings;
  if (as === 'beside') return (c + d - a - b) / 4;
  return as === 'difference' ? a - b : a - b + c - d;
}
