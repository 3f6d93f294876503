import { cross, dot, squareTo, type Vector } from '../vector/vector.js';
import type { Piece } from './frame.js';
import { carried } from './path.js';
import { sizeAt } from './sections.js';

/** What of a piece says how wide it is, and which way its section lies. */
export type Sized = Pick<Piece, 'section' | 'path' | 'top' | 'length'>;

/**
 * How far a tube's outside reaches from its centre line in a direction, at a way along it; mm. A direction along the tube
 * has none of it: what counts is its part square to the tube.
 *
 *     halfAcross(rail, 400, [0, 1, 0]) // 12.5 of a rail 75 high and 25 wide
 *
 * @param station way along the centre line from the piece's start, mm
 * @param towards unit vector in the vehicle's axes
 * Source: support function of an ellipse, and of a rectangle with rounded corners.
 */
export function halfAcross(piece: Sized, station: number, towards: Vector): number {
  const { section } = piece;
  const { path } = piece;
  // A round tube without bends is alike in every direction: no need to know which way is up.
  const direction = directionAt(piece, station);
  const { width, height } = sizeAt(section, piece.length, station);
  if (section.shape === 'round' && width === height) {
    const along = dot(towards, direction);
    return (width / 2) * Math.sqrt(Math.max(0, 1 - along * along));
  }
  const top = carried(path, piece.top, station);
  const up = dot(towards, top);
  const over = dot(towards, cross(direction, top));
  if (section.shape !== 'rectangular') return Math.hypot((up * height) / 2, (over * width) / 2);
  const corner = Math.min(section.corner, width / 2, height / 2);
  return (
    Math.abs(up) * (height / 2 - corner) +
    Math.abs(over) * (width / 2 - corner) +
    corner * Math.hypot(up, over)
  );
}

/** The same, in the direction square to the tube that comes nearest to `towards`; zero where that runs along the tube. */
export function halfBeside(piece: Sized, station: number, towards: Vector): number {
  const beside = squareTo(towards, directionAt(piece, station));
  const size = Math.hypot(...beside);
  if (size < 1e-9) return 0;
  return halfAcross(piece, station, [beside[0] / size, beside[1] / size, beside[2] / size]);
}

function directionAt({ path }: Sized, station: number): Vector {
  if (path.arcs.length === 0) return path.legs[0]!.direction;
  return carried(path, path.legs[0]!.direction, station);
}
