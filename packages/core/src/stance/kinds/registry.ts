import type { Kind } from '../dimension.js';
import { BICYCLE } from './bicycle.js';

/** Every kind of vehicle. A new kind is one entry. */
export const KINDS: readonly Kind[] = [BICYCLE];

export const findKind = (id: string): Kind | undefined => KINDS.find((kind) => kind.id === id);
