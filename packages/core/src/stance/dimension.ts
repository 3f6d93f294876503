import type { Vector } from '../vector/vector.js';

/** Minimal numbers that fix a stance, by name; lengths in mm, angles in degrees. */
export type State = Readonly<Record<string, number>>;

export type Quantity = 'length' | 'angle';

/** A usual range, never a verdict. */
export interface Band {
  readonly low: number;
  readonly high: number;
  /** What it is usual for, e.g. 'road bicycle'. */
  readonly use: string;
  /** Where the figures come from; 'common practice' where nothing better is known. */
  readonly source: string;
}

/** One dimension of a kind of vehicle, as builders name it, and how it follows from the state. Written once. */
export interface Dimension {
  readonly id: string;
  readonly name: string;
  readonly symbol: string;
  readonly quantity: Quantity;
  /** What is measured, in one sentence. */
  readonly meaning: string;
  readonly formula: string;
  readonly source: string;
  /** Which way the feel goes, where builders agree. */
  readonly feel?: string;
  /** Smallest and largest value that can be held; beyond it the value is refused. */
  readonly limits: readonly [low: number, high: number];
  /** 'given': always held. 'exchange': one of its group is held, the rest follow. 'follows': never held. */
  readonly role: 'given' | 'exchange' | 'follows';
  readonly evaluate: (state: State) => number;
}

export interface Refusal {
  /** Dimension (or document path) at which to say it. */
  readonly where: string;
  readonly message: string;
}

export interface StartingSet {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly wheels: { readonly front: string; readonly rear: string };
  readonly held: Readonly<Record<string, number>>;
  readonly bands: string;
  /** Options for the pattern that makes the first frame. */
  readonly frame?: {
    readonly topTubeBelowSeat?: number;
    readonly sections?: Readonly<Record<string, string>>;
  };
}

/** A kind of vehicle is data: its state, its dimensions, its named points and its usual bands. */
export interface Kind {
  readonly id: string;
  readonly name: string;
  readonly state: readonly string[];
  /** A first guess for state entries that are not held. */
  readonly start: State;
  readonly dimensions: readonly Dimension[];
  /** Names for the groups of which exactly one dimension is held, with their members' ids. */
  readonly exchange: readonly (readonly string[])[];
  /** Ids shown on the reading strip, most wanted first. */
  readonly readings: readonly string[];
  readonly points: (state: State) => Readonly<Record<string, Vector>>;
  /** Impossible shapes, each with the limit in words. */
  readonly refuse: (state: State) => readonly Refusal[];
  /** Usual bands by use, then by dimension id. */
  readonly bands: Readonly<Record<string, Readonly<Record<string, Band>>>>;
  readonly startingSets: readonly StartingSet[];
}
