import type { Piece } from '../frame/frame.js';
import { cross, dot, scale } from '../vector/vector.js';
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
export function handedness(piece: Piece, [start, end]: readonly [EndCut, EndCut]): Handedness {
  const { arcs } = piece.path;
  const [first] = arcs;
  if (first) {
    const planar = arcs.every((arc) => Math.abs(Math.abs(dot(arc.axis, first.axis)) - 1) < 1e-9);
    if (!planar) return 'mirror';
  }
  const step = piece.section.shape === 'round' ? 1 : WALL_LINES / 4;
  for (let line = 0; line < WALL_LINES / 2; line += step) {
    if (first && !inBendPlane(piece, start, line)) continue;
    if (halved(start, WALL_LINES - line) && halved(end, line)) return 'turned over';
  }
  return 'mirror';
}

/** Its sine. */
const HALF_DEGREE = Math.sin(Math.PI / 360);

/** Whether a wall line of the start lies, to half a degree, in the plane of the piece's bends. */
function inBendPlane(piece: Piece, start: EndCut, line: number): boolean {
  const { outline, matchSide } = start;
  const reversed = (WALL_LINES - line) % WALL_LINES;
  const across = scale(cross(piece.direction, matchSide), -1);
  const [u, v] = [outline.u[reversed]!, outline.v[reversed]!];
  const axis = piece.path.arcs[0]!.axis;
  return Math.abs(u * dot(matchSide, axis) + v * dot(across, axis)) < Math.hypot(u, v) * HALF_DEGREE;
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
