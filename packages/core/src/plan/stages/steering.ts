import { steeringOf } from '../../steering/steering.js';
import { parts, stage } from '../stage.js';
import { stance } from './stance.js';

/** The linkage on its stance, through all of its sweep; none where no linkage suits the vehicle. */
export const steering = stage(
  'steering',
  { document: parts('steering', 'seat'), stance },
  ({ document, stance: on }) => steeringOf(document, on),
);

/** Points of the linkage straight ahead, for the parts that are tied to them. */
export const steeringPoints = stage('steeringPoints', { steering }, ({ steering: made }) =>
  made?.ok
    ? Object.fromEntries(Object.entries(made.steering.built.points).map(([name, { at }]) => [name, at]))
    : {},
);
