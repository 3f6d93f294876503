import type { Solid } from '../fixture/solids.js';
import type { Piece } from '../frame/frame.js';
import { carried, pointOn } from '../frame/path.js';
import { sizeAt } from '../frame/sections.js';
import { boundsOf, type Bounds } from '../proximity/bounds.js';
import { cornersOf } from '../proximity/distance.js';
import { boxAt, rodFrom, type Box, type Rod, type Shape } from '../proximity/shapes.js';
import { add, cross, scale, type Vector } from '../vector/vector.js';

/** What stands in a torch's or a tube's way: a piece, a plate or a part of the fixture. */
export interface Obstacle {
  readonly id: string;
  readonly mark: string;
  readonly shapes: readonly Shape[];
  readonly bounds: Bounds;
}

/** A bent tube is looked at as straight rods of this length at most, mm. */
const CHORD = 25;

/** A piece as shapes: rods along its centre line; flat-sided ones as boxes. */
export function obstacleOf(piece: Piece, trim: readonly [number, number] = [0, 0]): Obstacle {
  const from = trim[0];
  const to = piece.length - trim[1];
  const corners = piece.path.arcs.flatMap(({ station, length }) => {
    const count = Math.ceil(length / CHORD);
    return Array.from({ length: count + 1 }, (_, index) => station + (length * index) / count);
  });
  const stations = [from, ...corners.filter((at) => at > from && at < to), to];
  const shapes = stations.slice(1).flatMap((end, index): Shape[] => {
    const start = stations[index]!;
    return end - start < 1e-6 ? [] : [stretch(piece, start, end)];
  });
  return {
    id: piece.id,
    mark: piece.mark,
    shapes,
    bounds: boundsOf(
      stations.map((station) => pointOn(piece.path, station).at),
      acrossOfPiece(piece) / 2,
    ),
  };
}
const acrossOfPiece = ({ section, length }: Piece): number => {
  const { width, height } = sizeAt(section, length, 0);
  return section.shape === 'rectangular' ? Math.hypot(width, height) : Math.max(width, height);
};

function stretch(piece: Piece, start: number, end: number): Rod | Box {
  const [a, b] = [pointOn(piece.path, start).at, pointOn(piece.path, end).at];
  const { width, height } = sizeAt(piece.section, piece.length, (start + end) / 2);
  if (piece.section.shape !== 'rectangular') return rodFrom(a, b, Math.max(width, height) / 2);
  const middle = (start + end) / 2;
  const { direction } = pointOn(piece.path, middle);
  const top = carried(piece.path, piece.top, middle);
  const half: Vector = [(end - start) / 2, width / 2, height / 2];
  return boxAt(scale(add(a, b), 0.5), half, [direction, cross(top, direction), top]);
}

/** A part of the fixture; it is named by what it is. */
export const obstacleOfSolid = (solid: Solid): Obstacle => ({
  id: solid.id,
  mark: solid.name,
  shapes: [solid],
  bounds: boundsOf(cornersOf(solid), solid.as === 'rod' ? solid.radius : 0),
});
