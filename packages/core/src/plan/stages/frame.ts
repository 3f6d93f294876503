import { frameOf } from '../../frame/frame.js';
import { parts, stage } from '../stage.js';
import { stance } from './stance.js';

/** Every tube and plate where it stands, before any is cut. */
export const frame = stage('frame', { document: parts('frame'), stance }, ({ document, stance: on }) =>
  frameOf(document, on),
);
