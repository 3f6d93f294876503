import { massOf } from '../../mass/mass.js';
import { frameWeight } from '../../mass/weight.js';
import { tippingOf } from '../../tipping/tipping.js';
import { parts, stage } from '../stage.js';
import { frame } from './frame.js';
import { holes } from './holes.js';
import { ends } from './joints.js';
import { made } from './made.js';
import { stance } from './stance.js';

/** Mass of every tube as cut and drilled, and of every plate. */
export const weights = stage(
  'weights',
  { frame, ends, holes, made },
  ({ frame: of, ends: all, holes: drilled, made: parts }) =>
    frameWeight(
      of,
      all,
      drilled,
      parts.flatMap(({ result }) => result.recesses ?? []),
    ),
);

export const mass = stage(
  'mass',
  { document: parts('mass', 'brief', 'seat'), stance, weights },
  ({ document, stance: on, weights: of }) => massOf(document, on, of),
);

/** None where nothing has a weight. */
export const tipping = stage('tipping', { mass, stance }, ({ mass: { laden }, stance: on }) =>
  laden.mass > 0 && laden.at[2] > 0 ? tippingOf(laden, on) : undefined,
);
