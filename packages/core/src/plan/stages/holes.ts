import { drilledPieces, type DrilledPiece } from '../../holes/holes.js';
import { stage } from '../stage.js';
import { frame } from './frame.js';
import { cuts } from './joints.js';

/** Everything that is drilled or sawn into tubes, where it is marked. */
export const holes = stage(
  'holes',
  { frame, cuts },
  ({ frame: of, cuts: { cuts: own } }): readonly DrilledPiece[] => drilledPieces(of, own),
);
