import type { Vector } from '../vector/vector.js';
import type { EndCut } from './endCut.js';
import type { Handedness } from './handedness.js';

/** Trimming of a butted tube: how much to cut off each sold end so that the thick ends are shared out best; mm. */
export interface ButtTrim {
  readonly start: number;
  readonly end: number;
  /** Least thick length left behind the throat of a cope. */
  readonly thickLeft: { readonly start: number; readonly end: number };
  /** Sold length less what is needed: negative when the tube is too short. */
  readonly spare: number;
}
export interface PieceCut {
  readonly piece: string;
  readonly mark: string;
  readonly name: string;
  readonly ends: readonly [EndCut, EndCut];
  /** Between the two cutter centres, along the centre line. */
  readonly betweenCentres: number;
  /** Longest point to longest point, along the tube. */
  readonly overall: number;
  /** Deepest point to deepest point. */
  readonly saddleToSaddle: number;
  /** Overall, and the allowances to trim. */
  readonly blank: number;
  /** Least length of wall between the two cuts, over all wall lines. */
  readonly leastWallLine: number;
  readonly butts?: ButtTrim;
  /** For one of a pair: whether the other is the same piece turned over. */
  readonly handedness?: Handedness;
  /** Of the cut piece, kg; and its centre of gravity. */
  readonly mass: number;
  readonly centre: Vector;
}
