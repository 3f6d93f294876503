import type { Disc } from '../proximity/shapes.js';
import type { StandingWheel } from './dimension.js';

/** How round a tyre's shoulders are, as a share of the wheel's radius: a narrow tyre is round all over. Common practice, no source. */
const SHOULDER = 0.12;

/** A wheel as its tyre stands out. */
export function tyre({ centre, spindle, radius, width }: StandingWheel): Disc {
  const round = Math.min(width / 2, radius * SHOULDER);
  return { as: 'disc', centre, spindle, radius: radius - round, half: width / 2 - round, round };
}
