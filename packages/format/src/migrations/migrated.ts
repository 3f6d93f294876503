import { fromVersion1 } from './version1.js';
import { fromVersion2 } from './version2.js';
import { fromVersion3 } from './version3.js';
import { fromVersion4 } from './version4.js';
import { fromVersion5 } from './version5.js';
import { fromVersion6 } from './version6.js';
import { fromVersion7 } from './version7.js';
import { fromVersion8 } from './version8.js';
import { fromVersion9 } from './version9.js';
import { fromVersion10 } from './version10.js';
import { fromVersion11 } from './version11.js';

/** From each earlier version to the next; literal data only, so that a file loads the same for ever. */
const STEPS: readonly ((value: Record<string, unknown>) => Record<string, unknown>)[] = [
  fromVersion1,
  fromVersion2,
  fromVersion3,
  fromVersion4,
  fromVersion5,
  fromVersion6,
  fromVersion7,
  fromVersion8,
  fromVersion9,
  fromVersion10,
  fromVersion11,
];

/** A document of an earlier version as this version writes it; one that is no build, or not older, comes back as it is. */
export const migrated = (value: Record<string, unknown>): Record<string, unknown> =>
  STEPS.reduce((now, step, index) => (now.version === index + 1 ? step(now) : now), value);
