import type { Body } from '../../../rider/body.js';
import type { Seat } from '../../../rider/place.js';
import type { Vector } from '../../../vector/vector.js';
import type { Dimension, Drawn, Handle, Points, State } from '../../dimension.js';
import type { Pictured } from '../../pictures/pictured.js';

/** One of the three things that a rider's place is made of (seat, feet, hands): its numbers and what they come to. */
export interface Part<S, T> {
  readonly start: State;
  readonly dimensions: readonly Dimension[];
  readonly points?: (state: S) => Points;
  readonly drawn?: readonly Drawn[];
  readonly handles?: readonly Handle[];
  readonly pictured?: Pictured;
  readonly of: (state: S) => T;
}

/** How a body sits: where its hips are and how its trunk leans. */
export interface Sitting {
  readonly hip: Vector;
  readonly trunkAngle: number;
  readonly seat: Seat;
}
export type SeatPart<S> = Omit<Part<S, never>, 'of'> & {
  readonly of: (state: S, body: Body) => Sitting;
  /** The dimension that leans the trunk. */
  readonly lean: string;
};

/** Names of one rider's dimensions: the first rider's have none of their own, those of others say whose they are. */
export interface Naming {
  readonly id: (id: string) => string;
  readonly name: (name: string) => string;
  readonly symbol: (symbol: string) => string;
}

/** @param place 0 for the first rider */
export function naming(slot: string, place: number): Naming {
  const capital = (text: string) => text[0]!.toUpperCase() + text.slice(1);
  return {
    id: (id) => (slot === '' ? id : slot + capital(id)),
    name: (name) =>
      slot === '' ? name : `${capital(slot)} rider’s ${name[0]!.toLowerCase()}${name.slice(1)}`,
    symbol: (symbol) => (place === 0 ? symbol : `${symbol}${place + 1}`),
  };
}

/** A value of the state by its id, where the id is put together. */
export const read = (state: object, id: string): number => (state as Record<string, number>)[id]!;
