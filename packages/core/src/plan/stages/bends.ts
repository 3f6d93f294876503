import { bendSchedule, type BendSchedule } from '../../bends/schedule.js';
import { parts, stage } from '../stage.js';
import { frame } from './frame.js';
import { cuts } from './joints.js';

/** Marks and turns of every bent piece that the builder makes. */
export const bends = stage(
  'bends',
  { document: parts('cuts'), frame, cuts },
  ({ document, frame: { pieces }, cuts: { cuts: own } }): readonly BendSchedule[] => {
    const byPiece = new Map(own.map((cut) => [cut.piece, cut]));
    return pieces.flatMap((piece) => {
      const cut = byPiece.get(piece.id);
      const schedule = cut && bendSchedule(piece, cut, document.cuts?.bends[piece.member.id]);
      return schedule ? [schedule] : [];
    });
  },
);
