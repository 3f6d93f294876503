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
  | 'outcome';

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

/** Two readings against each other, or four corners against a plane. */
export interface Comparison {
  readonly id: string;
  readonly name: string;
  /** Measures: the first less the second; of four, once round. */
  readonly of: readonly string[];
  readonly as: 'difference' | 'flat';
  readonly quantity: Quantity;
  readonly nominal: number;
  readonly tolerance: Tolerance;
}

/** Where every point lies. */
export type At = (point: string) => Vector;

/** What a tool would read with the points there; outcomes are not of points alone. */
export function readingOf({ as, points: [from, to] }: Pick<Measurand, 'as' | 'points'>, at: At): number {
  const a = at(from!);
  if (as === 'height') return a[2];
  if (as === 'beside') return a[1];
  const b = at(to!);
  if (as === 'distance') return distance(a, b);
  const way = subtract(b, a);
  if (as === 'lean') return toDegrees(Math.atan2(way[1], Math.hypot(way[0], way[2])));
  return toDegrees(Math.atan2(way[2], Math.abs(way[0])));
}

/** A comparison of readings in their order: a difference, or how far one corner hangs above the plane of the others. */
export function comparedOf({ as }: Pick<Comparison, 'as'>, readings: readonly number[]): number {
  const [a = 0, b = 0, c = 0, d = 0] = readings;
  return as === 'difference' ? a - b : a - b + c - d;
}
