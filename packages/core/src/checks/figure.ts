import type { Quantity } from '../units/quantity.js';
import type { Tolerance } from './tolerances.js';

/** A dimension as it came out, with how well it is known. mm and degrees. */
export interface AsBuiltFigure {
  readonly id: string;
  readonly name: string;
  readonly quantity: Quantity;
  /** As drawn; before it is welded in a fixture that is set off, as held. */
  readonly drawn: number;
  readonly value: number;
  /** One standard deviation. */
  readonly sigma: number;
  readonly tolerance: Tolerance;
  /** Whether the readings tell it at all. */
  readonly told: boolean;
  /** The measure that would tell most of it, of those not taken. */
  readonly next?: { readonly measure: string; readonly sigma: number };
}
