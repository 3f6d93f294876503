import type { Kind } from '../dimension.js';
import { BICYCLE, TANDEM, TRIPLET } from './bicycle.js';
import { BUGGY, KART } from './karts.js';
import { LOW_MOTORCYCLE, MOTORCYCLE } from './motorcycle.js';
import { SCOOTER } from './scooter.js';
import { DELTA_TRIKE, TADPOLE_TRIKE } from './trikes.js';

/** Every kind of vehicle. A new kind is one entry. */
export const KINDS: readonly Kind[] = [
  BICYCLE,
  TANDEM,
  TRIPLET,
  SCOOTER,
  MOTORCYCLE,
  LOW_MOTORCYCLE,
  DELTA_TRIKE,
  TADPOLE_TRIKE,
  KART,
  BUGGY,
];

export const findKind = (id: string): Kind | undefined => KINDS.find((kind) => kind.id === id);
