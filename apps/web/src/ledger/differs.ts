import type { Dimension } from '@larchwood/core';

/** Smallest change worth showing: what nobody measures is left out. mm and degrees. */
const SEEN = { length: 0.05, angle: 0.005 } as const;

/** True when two values of a dimension differ by more than anyone measures. */
export const differs = ({ quantity }: Pick<Dimension, 'quantity'>, a: number, b: number): boolean =>
  Math.abs(a - b) > SEEN[quantity];
