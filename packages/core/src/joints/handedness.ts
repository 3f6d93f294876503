import type { Piece } from '../frame/frame.js';
import { add, cross, dot, scale, type Vector } from '../vector/vector.js';
import { WALL_LINES } from './edge.js';
import type { EndCut } from './endCut.js';

/** Whether a left and a right twin are one and the same piece turned over, or true mirror parts. */
export type Handedness = 'turned over' | 'mirror';

/** How nearly alike two wall lines must be to count as the same cut, mm. */
const ALIKE = 0.02;

/**
 * A piece is its own twin when some plane along its centre line halves it: its bends lie in that plane, and both its ends
 * are cut alike on either side.
 */
export const handedness = (piece: Piece, ends: readonly [EndCut, EndCut]): Handedness =>
  halvingSide(piece, ends) ? 'turned over' : 'mirror';

/** A direction at a piece's start that spans, with its axis, the plane that halves it; undefined where none does. */
export function halvingSide(piece: Piece, [start, end]: readonly [EndCut, EndCut]): Vector | undefined {
  const { arcs } = piece.path;
  const [first] = arcs;
  if (first) {
    const planar = arcs.every((arc) => Math.abs(Math.abs(dot(arc.axis, first.axis)) - 1) < 1e-9);
    if (!planar) return undefined;
  }
  const step = piece.section.shape === 'round' ? 1 : WALL_LINES / 4;
  for (let line = 0; line < WALL_LINES / 2; line += step) {
    if (first && !inBendPlane(piece, start, line)) continue;
    if (!halved(start, WALL_LINES - line) || !halved(end, line)) continue;
    const side = sideOf(piece, start, line);
    if (!isPressed(piece) || halvesPressed(piece, side)) return side;
  }
  return undefined;
}

const isPressed = ({ member: { ends } }: Piece): boolean =>
  ends.start.cut === 'flattened' || ends.end.cut === 'flattened';

/** Whether a plane halves what is pressed flat: it lies along the flat or square to it, to half a degree. */
function halvesPressed({ top, direction }: Piece, side: Vector): boolean {
  const size = Math.hypot(...side);
  const [upright, across] = [dot(side, top) / size, dot(side, cross(direction, top)) / size];
  return Math.min(Math.abs(upright), Math.abs(across)) < HALF_DEGREE;
}

/** From the axis towards a wall line, where lines count as the end's do. */
function sideOf(piece: Piece, { outline, matchSide }: EndCut, line: number): Vector {
  const reversed = (WALL_LINES - line) % WALL_LINES;
  const across = scale(cross(piece.direction, matchSide), -1);
  return add(scale(matchSide, outline.u[reversed]!), scale(across, outline.v[reversed]!));
}

/** Its sine. */
const HALF_DEGREE = Math.sin(Math.PI / 360);

/** Whether a wall line of the start lies, to half a degree, in the plane of the piece's bends. */
function inBendPlane(piece: Piece, start: EndCut, line: number): boolean {
  const side = sideOf(piece, start, line);
  return Math.abs(dot(side, piece.path.arcs[0]!.axis)) < Math.hypot(...side) * HALF_DEGREE;
}

function halved({ edge, slotAngle }: EndCut, about: number): boolean {
  const { outer } = edge;
  for (let step = 1; step < WALL_LINES / 2; step += 3) {
    const apart = outer[(about + step) % WALL_LINES]! - outer[(about - step + WALL_LINES) % WALL_LINES]!;
    if (!(Math.abs(apart) <= ALIKE)) return false;
  }
  if (slotAngle === undefined) return true;
  const off = Math.abs((((about - slotAngle) % 90) + 90) % 90);
  return off < 0.6 || off > 89.4;
}
