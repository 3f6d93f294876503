import type { Preset } from '../fixture/context.js';
import type { Comparison, Measurand } from './measure.js';
import type { MeasuringPoints } from './points.js';

/** A fixture that holds key points off where they are drawn, so that welding brings them there. */
export interface SetOff {
  /** By key point, mm. */
  readonly by: Preset;
  /** Since when; what was read before was read of a frame that was held as drawn. */
  readonly since?: string;
  /** What each measure that it changes should read before it is welded. */
  readonly reads: Readonly<Record<string, number>>;
}
/** Everything that there is to measure of a build, as plain data. */
export interface MeasuringList {
  readonly points: MeasuringPoints;
  readonly measures: readonly Measurand[];
  readonly comparisons: readonly Comparison[];
  /** Own measures whose points are there no longer. */
  readonly lost: readonly { readonly id: string; readonly name: string }[];
  /** What it should read while the fixture is set off against what welding moves. */
  readonly setOff?: SetOff;
}
