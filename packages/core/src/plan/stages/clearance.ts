import { clearancesOf } from '../../clearance/sweep.js';
import { fitRange } from '../../seat/range.js';
import { parts, stage } from '../stage.js';
import { frame } from './frame.js';
import { made } from './made.js';
import { stance } from './stance.js';
import { steering } from './steering.js';

/** The sweep of everything that moves: asked for where it is looked at. */
export const clearances = stage(
  'clearances',
  { document: parts('seat', 'mass', 'frame'), stance, steering, made, frame },
  ({ document, ...standing }) => clearancesOf(document, standing),
);

/** Who fits, of all statures that shall: asked for where it is looked at. */
export const fit = stage(
  'fit',
  { document: parts('kind', 'startingSet', 'wheels', 'stance', 'brief', 'seat') },
  ({ document }) => fitRange(document),
);
