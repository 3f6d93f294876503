import { DIAMOND } from './diamond.js';
import type { Pattern } from './pattern.js';

/** Every frame pattern. A new one is one file and one line here. */
export const PATTERNS: readonly Pattern[] = [DIAMOND];
