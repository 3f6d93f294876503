import { BACKBONE } from './backbone.js';
import { CAGED } from './caged.js';
import { CRADLE } from './cradle.js';
import { CRUISER } from './cruiser.js';
import { DELTA } from './delta.js';
import { DIAMOND } from './diamond.js';
import { FRONT_BOX } from './frontBox.js';
import { LADDER_KART } from './ladderKart.js';
import { LONG_TAIL } from './longTail.js';
import { LOW_MOTORCYCLE_FRAME } from './lowMotorcycle.js';
import { OPEN } from './open.js';
import type { Pattern } from './pattern.js';
import { PERIMETER_KART } from './perimeterKart.js';
import { SCOOTER_FRAME } from './scooter.js';
import { TADPOLE } from './tadpole.js';
import { TANDEM_FRAME } from './tandem.js';
import { TRELLIS } from './trellis.js';

/** Every frame pattern. A new one is one file and one line here. */
export const PATTERNS: readonly Pattern[] = [
  DIAMOND,
  OPEN,
  CRUISER,
  LONG_TAIL,
  FRONT_BOX,
  TANDEM_FRAME,
  SCOOTER_FRAME,
  CRADLE,
  TRELLIS,
  BACKBONE,
  LOW_MOTORCYCLE_FRAME,
  DELTA,
  TADPOLE,
  PERIMETER_KART,
  LADDER_KART,
  CAGED,
];

export const findPattern = (id: string): Pattern | undefined => PATTERNS.find((pattern) => pattern.id === id);

/** The patterns that can be made for a kind of vehicle, the usual one for a starting set first. */
export function patternsFor(kind: string, startingSet: string): readonly Pattern[] {
  const fit = PATTERNS.filter((pattern) => pattern.kinds.includes(kind));
  const first = fit.find((pattern) => pattern.sets?.includes(startingSet));
  return first ? [first, ...fit.filter((pattern) => pattern !== first)] : fit;
}
