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
 * `real` is the distance along it to the first surface that is there, `beyond` to the first that would be there, had its
 * host not ended before; Infinity where there is none.
 */
export interface Lines {
  readonly u: Float64Array;
  readonly v: Float64Array;
  /** How many of them. */
  readonly count: number;
  /** A surface further back than this is not met: the tube's body begins there. */
  readonly behind: number;
  readonly real: Float64Array;
  readonly beyond: Float64Array;
}

/** Casts lines at one surface: keeps what it meets where that is nearer than what was met before. */
export type Cast = (lines: Lines) => void;
