import type { Quantity } from '../units/quantity.js';
import type { FindingValues } from './values.js';

/** A finding in words: the same on screen, on paper and in the log. */
export interface FindingText {
  readonly title: string;
  readonly text: string;
  readonly remedies: readonly string[];
}
/** How lengths, angles and masses are put into the build's units. */
export interface Say {
  readonly mm: (millimetres: number) => string;
  readonly degrees: (degrees: number) => string;
  readonly kg: (kilograms: number) => string;
  /** A length or an angle, as its quantity says. */
  readonly measure: (value: number, quantity: Quantity) => string;
}

/** Words for every finding of a subject. */
export type Words<Codes extends keyof FindingValues> = {
  readonly [C in Codes]: (values: FindingValues[C], say: Say) => FindingText;
};
