import type { Band } from '../dimension.js';

export const PRACTICE = 'common practice';
const MEMORY = 'common practice, from memory';

/** A usual range for a use; without a source it is from memory and says so. */
export const band = (use: string, low: number, high: number, source = MEMORY): Band => ({
  low,
  high,
  use,
  source,
});
