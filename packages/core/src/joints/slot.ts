import { WALL_LINES } from '../frame/outline.js';
import type { EndCut } from './endCut.js';

type Slotted = Pick<EndCut, 'slot' | 'slotAngle' | 'outerDiameter'>;

/** Half of what a slot takes of the wall, in wall lines; none where the end has no slot. */
export function halfSlot({ slot, slotAngle, outerDiameter }: Slotted): number | undefined {
  if (!slot || slotAngle === undefined) return undefined;
  return (Math.asin(Math.min(1, slot.width / outerDiameter)) * WALL_LINES) / (2 * Math.PI);
}

/** How much of each wall line a slot takes away, mm: a slot is sawn through both walls. Undefined where the end has none. */
export function slotDepths(end: Slotted): ((line: number) => number) | undefined {
  const half = halfSlot(end);
  if (half === undefined) return undefined;
  const { slotAngle, slot } = end;
  return (line) => {
    const off = Math.abs(((((line - slotAngle!) % 180) + 270) % 180) - 90);
    return off < half ? slot!.depth : 0;
  };
}
