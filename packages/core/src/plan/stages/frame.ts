import { frameOf } from '../../frame/frame.js';
import { parts, stage } from '../stage.js';
import { stance } from './stance.js';
import { steeringPoints } from './steering.js';

/** Every tube and plate where it stands, before any is cut. */
export const frame = stage(
  'frame',
  { document: parts('frame'), stance, steeringPoints },
  ({ document, stance: on, steeringPoints: more }) =>
    frameOf(document, { ...on, points: { ...on.points, ...more } }),
);
