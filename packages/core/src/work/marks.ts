import type { Frame, Piece } from '../frame/frame.js';
import type { PieceCut } from '../joints/cut.js';

/** Two ends are taken for each other when they differ by less; mm and degrees. */
const ALIKE = { length: 0.5, angle: 0.5 } as const;

/**
 * Pieces that go in the other way round just as well, and are wrong then: both ends are cut alike, and something on them is
 * not in the middle.
 */
export function fitsBothWays(frame: Frame, cuts: readonly PieceCut[]): readonly Piece[] {
  const pieces = new Map(frame.pieces.map((piece) => [piece.id, piece]));
  return cuts.flatMap((cut) => {
    const piece = pieces.get(cut.piece);
    return piece && piece.side !== 'right' && endsAlike(cut) && !turnsOver(piece, cut) ? [piece] : [];
  });
}

function endsAlike({ ends: [start, end] }: PieceCut): boolean {
  return (
    start.cut === end.cut &&
    start.cut !== 'plain' &&
    Math.abs(start.offSquare - end.offSquare) < ALIKE.angle &&
    Math.abs(start.depth - end.depth) < ALIKE.length &&
    Math.abs(start.cutterDiameter - end.cutterDiameter) < ALIKE.length
  );
}

/** Whether its holes and bends lie the same from either end; a vent may be at either. */
function turnsOver({ member, path, length }: Piece, { overall }: PieceCut): boolean {
  const holes = (member.holes ?? []).filter(({ use }) => use !== 'vent');
  const fromStart = holes.map(({ from, distance }) =>
    from === 'start' ? distance : from === 'end' ? overall - distance : overall / 2 + distance,
  );
  const holesSame = fromStart.every((at, index) =>
    fromStart.some(
      (other, which) =>
        Math.abs(overall - at - other) < ALIKE.length && holes[which]!.diameter === holes[index]!.diameter,
    ),
  );
  const bends = path.arcs.map(({ station, length: arc }) => station + arc / 2);
  return (
    holesSame && bends.every((at) => bends.some((other) => Math.abs(length - at - other) < ALIKE.length))
  );
}
