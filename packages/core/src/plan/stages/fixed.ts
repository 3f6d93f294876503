import { fixedPart } from '../../frame/apart.js';
import { parts, stage } from '../stage.js';
import { frame } from './frame.js';

/** The frame without what is made apart and put in last. */
export const fixedFrame = stage(
  'fixedFrame',
  { document: parts('frame'), frame },
  ({ document, frame: of }) => fixedPart(document, of),
);
