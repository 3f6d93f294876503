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
import type { Layout } from './layout.js';
import { PERIMETER_KART } from './perimeterKart.js';
import { SCOOTER_FRAME } from './scooter.js';
import { TADPOLE } from './tadpole.js';
import { TANDEM_FRAME } from './tandem.js';
import { TRELLIS } from './trellis.js';

/** Every layout of a frame. A new one is one file and one line here. */
export const LAYOUTS: readonly Layout[] = [
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

export const findLayout = (id: string): Layout | undefined => LAYOUTS.find((layout) => layout.id === id);

/** The layouts that can be made for a kind of vehicle, the usual one for a starting set first. */
export function layoutsFor(kind: string, startingSet: string): readonly Layout[] {
  const fit = LAYOUTS.filter((layout) => layout.kinds.includes(kind));
  const first = fit.find((layout) => layout.sets?.includes(startingSet));
  return first ? [first, ...fit.filter((layout) => layout !== first)] : fit;
}
