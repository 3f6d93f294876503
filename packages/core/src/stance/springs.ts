import type { Compression } from './dimension.js';
import type { Springs } from './states.js';

/** Against ride height, at which all dimensions are told: a rigid end has no travel and stays. */
export const unladen = (s: Springs): Compression => ({
  front: -s.frontSag,
  rear: -s.rearSag,
});
export const fullTravel = (s: Springs): Compression => ({
  front: s.frontTravel - s.frontSag,
  rear: s.rearTravel - s.rearSag,
});
