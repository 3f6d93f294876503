import type { Piece, PlacedPlate } from '../frame/frame.js';
import { along, distance, mirror } from '../vector/vector.js';
import { blankLines, WALL_LINES, type Edge, type Extreme } from './edge.js';
import { hostPiece, plateFor, type EndCut, type Surroundings } from './endCut.js';
import type { PieceCut } from './cut.js';

/** Hosts and plates of both ends of a piece: with the piece itself, all that its cuts are made of. */
export function neighbours(
  piece: Piece,
  { pieces, plates }: Surroundings,
): (Piece | PlacedPlate | undefined)[] {
  return (['start', 'end'] as const).flatMap((name): (Piece | PlacedPlate | undefined)[] => {
    const end = piece.member.ends[name];
    if (end.cut === 'plate') return [plateFor(piece, piece[name], end.plate, plates)];
    const hosts = end.cut === 'coped' ? end.hosts : end.cut === 'mitred' ? [end.with] : [];
    return hosts.map((host) => hostPiece(host, piece.side, pieces));
  });
}

/** Whether the right twin's surroundings mirror the left one's, so that its cut is the mirror of the other. */
export function reflects(left: Piece, right: Piece, around: Surroundings): boolean {
  const [ours, theirs] = [neighbours(left, around), neighbours(right, around)];
  return ours.every((one, index) => {
    const other = theirs[index];
    if (!one || !other) return one === other;
    if ('plate' in one || 'plate' in other) return one !== other;
    return one === other ? straddles(one) : one.member === other.member;
  });
}

/** Whether a piece is its own mirror image across the middle plane: it lies in the plane, or runs square across. */
function straddles({ path, start, end, section, member }: Piece): boolean {
  if (section.shape !== 'round' && member.turn % 90 !== 0) return false;
  const corners = [start, ...path.legs.slice(1).map((leg) => leg.from), end];
  if (corners.every((corner) => Math.abs(corner[1]) < 1e-9)) return true;
  if (section.shape === 'round' && section.taper) return false;
  const ends = [...path.legs.map((leg) => along(leg.from, leg.direction, leg.length))].reverse();
  return path.legs.every((leg, index) => distance(mirror(leg.from), ends[index]!) < 1e-6);
}

/** The cut of a right twin from that of its left one. */
export function mirroredCut(left: PieceCut, right: Piece): PieceCut {
  const [start, end] = left.ends;
  return {
    ...left,
    piece: right.id,
    mark: right.mark,
    name: right.name,
    centre: mirror(left.centre),
    ends: [mirroredEnd(start, right), mirroredEnd(end, right)],
  };
}

const otherSide = (mark: string): string =>
  mark.endsWith('L') ? `${mark.slice(0, -1)}R` : mark.endsWith('R') ? `${mark.slice(0, -1)}L` : mark;

function mirroredEnd(end: EndCut, right: Piece): EndCut {
  const flip = (angle: number) => (angle === 180 || angle === 0 ? angle : -angle);
  return {
    ...end,
    piece: right.id,
    hosts: end.hosts.map(otherSide),
    edge: mirroredEdge(end.edge),
    ...(end.saw ? { saw: { ...end.saw, onMatchFace: -end.saw.onMatchFace, miter: -end.saw.miter } } : {}),
    matchAngle: flip(end.matchAngle),
    ...(end.slotAngle === undefined ? {} : { slotAngle: flip(end.slotAngle) }),
    centre: mirror(end.centre),
    outward: mirror(end.outward),
    matchSide: mirror(end.matchSide),
  };
}

function mirroredEdge(edge: Edge): Edge {
  const reversed = (values: Edge['outer']) => {
    const out = blankLines();
    for (let line = 0; line < WALL_LINES; line += 1) out[line] = values[(WALL_LINES - line) % WALL_LINES]!;
    return out;
  };
  const at = ({ at, angle }: Extreme): Extreme => ({ at, angle: (WALL_LINES - angle) % WALL_LINES });
  return {
    ...edge,
    outer: reversed(edge.outer),
    inner: reversed(edge.inner),
    missedLines: edge.missedLines.map((line) => (WALL_LINES - line) % WALL_LINES),
    longest: at(edge.longest),
    shortest: at(edge.shortest),
  };
}
