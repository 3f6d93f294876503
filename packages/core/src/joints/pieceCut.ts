import type { Frame, Piece } from '../frame/frame.js';
import { keepNothing, type Keep } from '../memo/keep.js';
import { WALL_LINES } from './edge.js';
import { cutPiece, surroundingsOf, type EndCut } from './endCut.js';
import type { ButtTrim, PieceCut } from './cut.js';
import { mirroredCut, neighbours, reflects } from './mirrored.js';
import { handedness } from './handedness.js';
import { metalOf } from './volume.js';

/**
 * Both ends of every piece, also of those that are there already. Right twins whose hosts mirror the left one's are
 * mirrored, not cast again.
 * @param keep takes the cut of a piece from before, where it and what it is cut against stand as they stood
 */
export function cutPieces(frame: Frame, keep: Keep = keepNothing): readonly PieceCut[] {
  const around = surroundingsOf(frame);
  const done = new Map<string, PieceCut>();
  return frame.pieces.map((piece) => {
    const twin = piece.side === 'right' ? around.pieces.get(`${piece.member.id}:left`) : undefined;
    const left = twin && reflects(twin, piece, around) ? done.get(twin.id) : undefined;
    const cut = keep(piece.id, [piece, neighbours(piece, around), left], () =>
      left ? mirroredCut(left, piece) : cutOne(piece, cutPiece(piece, around)),
    );
    done.set(piece.id, cut);
    return cut;
  });
}

/** All that follows from the two ends of a piece. */
function cutOne(piece: Piece, ends: readonly [EndCut, EndCut]): PieceCut {
  const [start, end] = ends;
  const betweenCentres = end.station - start.station;
  const overall = betweenCentres + start.edge.longest.at + end.edge.longest.at;
  const saddleToSaddle = betweenCentres + start.edge.shortest.at + end.edge.shortest.at;
  const { start: atStart, end: atEnd } = piece.member.ends;
  const butts = piece.section.shape === 'round' && piece.section.butts;
  const trim = butts ? trimButts(butts, start, end, overall) : undefined;
  const metal = metalOf(piece, { ends, butts: trim });
  return {
    piece: piece.id,
    mark: piece.mark,
    name: piece.name,
    ends,
    betweenCentres,
    overall,
    saddleToSaddle,
    blank: overall + atStart.allowance + atEnd.allowance,
    leastWallLine: leastWallLine(start, end, betweenCentres),
    ...(trim ? { butts: trim } : {}),
    ...(piece.side === 'middle' ? {} : { handedness: handedness(piece, ends) }),
    mass: (metal.volume * piece.density) / 1e9,
    centre: metal.centre,
  };
}

/** The two ends number their wall lines opposite ways round from the same match line. */
function leastWallLine(start: EndCut, end: EndCut, betweenCentres: number): number {
  let least = Infinity;
  for (let line = 0; line < WALL_LINES; line += 1) {
    const left = betweenCentres + end.edge.outer[line]! + start.edge.outer[(WALL_LINES - line) % WALL_LINES]!;
    if (left < least) least = left;
  }
  return Number.isFinite(least) ? least : betweenCentres;
}

type Butts = NonNullable<Extract<Piece['section'], { shape: 'round' }>['butts']>;

/** Shares the spare length between the ends so that the smaller of the two thick lengths left is as large as it can be. */
function trimButts(butts: Butts, start: EndCut, end: EndCut, overall: number): ButtTrim {
  const spare = butts.soldLength - overall;
  const freeStart = butts.start.length - start.depth;
  const freeEnd = butts.end.length - end.depth;
  const cut = Math.max(0, spare);
  const atStart = Math.min(cut, Math.max(0, (cut + freeStart - freeEnd) / 2));
  return {
    start: atStart,
    end: cut - atStart,
    thickLeft: { start: freeStart - atStart, end: freeEnd - (cut - atStart) },
    spare,
  };
}
