import { toRadians } from '../../units/angle.js';
import type { Seam } from './seams.js';

/** How an edge is made ready for a weld of which the crown is ground off: what is left then has to go through. mm */
export interface FlushEdge {
  /** Left standing at the inside of the wall. */
  readonly land: number;
  /** Taken off the outside of the edge, along the wall; none of a thin wall. */
  readonly bevel: number;
  /** Between edge and host, before it is tacked. */
  readonly gap: number;
}

/** Walls under this get a gap and no bevel; a land of so much; bevelled at this angle from square. Common practice, no source. */
export const FLUSH_WELD = { thin: 2, land: 1, angle: 35, gap: 0.5 } as const;

/**
 * The edge of a seam that is ground flush, so that the weld goes through the wall.
 * @param seam its thinner wall, mm
 */
export function flushEdge({ wall }: Pick<Seam, 'wall'>): FlushEdge {
  const { thin, land, angle, gap } = FLUSH_WELD;
  if (wall < thin) return { land: wall, bevel: 0, gap: gap * wall };
  return { land, bevel: (wall - land) * Math.tan(toRadians(angle)), gap: land };
}
