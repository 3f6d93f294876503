import type { Vector } from '../vector/vector.js';

/** The tube that is cut: its wall lines run along `outward`, from the cut through the tube at `centre`. */
export interface Wall {
  readonly centre: Vector;
  readonly outward: Vector;
  /** Unit vectors square to `outward`: towards the match line, and outward x that. */
  readonly side: Vector;
  readonly across: Vector;
}

/**
 * Wall lines to cast, and where they ended so far. A line runs `u` to the match line's side of the axis and `v` across it;
 * `real` is the distance along it to the first surface that is there, `flush` to the first that it passes by no more than
 * `FLUSH`, `beyond` to the first that would be there, had its host not ended before; Infinity where there is none.
 */
export interface Lines {
  readonly u: Float64Array;
  readonly v: Float64Array;
  /** How many of them. */
  readonly count: number;
  /** A surface further back than this is not met: the tube's body begins there. */
  readonly behind: number;
  readonly real: Float64Array;
  readonly flush: Float64Array;
  readonly beyond: Float64Array;
}

/**
 * A wall line that passes beside a host by no more than this lies flush with it: it ends where the two are nearest, unless
 * another host ends it. Tubes of one height stand on each other so, and no bench tells less. mm; common practice, no source.
 */
export const FLUSH = 0.1;
/** A surface that is nearer than this is met: rounding of tubes of one size. Of its radius squared; mm. */
export const GRAZE = 1e-9;

/** Casts lines at one surface: keeps what it meets where that is nearer than what was met before. */
export type Cast = (lines: Lines) => void;
