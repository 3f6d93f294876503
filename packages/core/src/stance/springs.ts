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

/**
 * Where ride height lies between unladen, 0, and pressed home, 1: by the end that travels further.
 * @param state travel and sag of each end, mm
 */
export function restTravel(state: Partial<Springs>): number {
  const { frontTravel = 0, frontSag = 0, rearTravel = 0, rearSag = 0 } = state;
  const [travel, sag] = frontTravel >= rearTravel ? [frontTravel, frontSag] : [rearTravel, rearSag];
  return travel > 0 ? sag / travel : 0;
}
