import type { Piece } from '../frame/frame.js';
import { acrossOf } from '../frame/sections.js';
import { nearestOn, pointOn } from '../frame/path.js';
import { WALL_LINES } from '../frame/outline.js';
import type { PieceCut } from '../joints/cut.js';
import { wallPoint } from '../joints/edge.js';
import type { EndCut } from '../joints/endCut.js';
import { apart, type Bounds } from '../proximity/bounds.js';
import { gap, leastPossible } from '../proximity/gap.js';
import type { Rod, Shape } from '../proximity/shapes.js';
import { distanceTo } from '../proximity/distance.js';
import { add, cross, dot, scale, subtract, unit, type Vector } from '../vector/vector.js';
import { obstacleOf, type Obstacle } from './obstacle.js';

/** How a piece comes to its place once others stand. */
export interface WayIn {
  /** Straight in: unit vector of the way it comes out again. None where every way is barred. */
  readonly out: Vector | undefined;
  /** Its hosts must give way by so much in all for the lips of its copes to pass, mm. */
  readonly spring: number;
  /** What bars the least barred way, where all are. */
  readonly by: readonly string[];
}

/** A piece is through when it has come so far, and looked at this often on its way; mm. */
const OUT = 240;
const EVERY = 10;
/** Within this of a host's own line a cope slides along it: sine of 6 degrees. */
const ALONG = Math.sin((6 * Math.PI) / 180);
/** So much of it is filed or pressed past: less is no touch; mm. */
const TOUCH = 1.5;

/** The 26 directions to the faces, edges and corners of a cube. */
const DIRECTIONS: readonly Vector[] = [-1, 0, 1].flatMap((x) =>
  [-1, 0, 1].flatMap((y) =>
    [-1, 0, 1].flatMap((z): Vector[] => (x === 0 && y === 0 && z === 0 ? [] : [unit([x, y, z])])),
  ),
);

/**
 * Whether a piece can still be put in: straight, along any of a set of directions, past all that stands. Its body between
 * the copes must come past everything; a cope's lips come past its own host if that is spread, or if it slides along it, or
 * if the piece comes away from it. Nothing is turned on its way.
 * @param hosts of either end that stand already
 */
export function wayIn(
  piece: Piece,
  cut: PieceCut,
  hosts: readonly (readonly Piece[])[],
  standing: readonly Obstacle[],
): WayIn {
  const [start, end] = cut.ends;
  const inside = (at: number) => Math.max(0, at) + 1;
  const body = obstacleOf(piece, [
    inside(start.station - start.edge.shortest.at),
    inside(piece.length - end.station - end.edge.shortest.at),
  ]);
  const own = new Set([piece.id, ...hosts.flat().map(({ id }) => id)]);
  const others = standing.filter(({ id }) => !own.has(id));
  const fixed = standing.filter(({ id }) => own.has(id) && id !== piece.id);
  const side = unit(cross(piece.direction, piece.top));
  const ways = [
    ...[piece.direction, piece.top, side].flatMap((way) => [way, scale(way, -1)]),
    ...hosts.flat().flatMap(({ direction }) => [direction, scale(direction, -1)]),
    ...DIRECTIONS,
  ];
  const lips = cut.ends.map((of, index) => lipsOf(of, hosts[index]!));
  let least: WayIn | undefined;
  for (const way of ways) {
    const by = barred(body, way, others, fixed);
    const spring = Math.min(...lips.map((own) => springOf(own, way)));
    if (by.length === 0) {
      if (!least?.out || spring < least.spring) least = { out: way, spring, by };
      if (spring < TOUCH) return { out: way, spring: 0, by };
    } else if (!least || (!least.out && by.length < least.by.length))
      least = { out: undefined, spring: 0, by };
  }
  return least!;
}

/** What meets the body on its way; what touches it in its place, besides, only where it gets deeper. */
function barred(
  body: Obstacle,
  way: Vector,
  others: readonly Obstacle[],
  hosts: readonly Obstacle[],
): string[] {
  const all = [...others, ...hosts];
  const swept = extended(body.bounds, scale(way, OUT));
  const near = all.filter(({ bounds }) => !apart(swept, bounds));
  return near
    .filter((other) => {
      const now = gapOf(body.shapes, [0, 0, 0], other);
      const allowed = Math.min(0, now) - TOUCH;
      // What is so far off is not met before it has come as far.
      for (let on = Math.max(EVERY, now); on <= OUT;) {
        const left = gapOf(body.shapes, scale(way, on), other);
        if (left < allowed) return true;
        on += Math.max(EVERY, left);
      }
      return false;
    })
    .map(({ id }) => id);
}

const extended = ({ low, high }: Bounds, by: Vector): Bounds => ({
  low: low.map((value, axis) => Math.min(value, value + by[axis]!)) as unknown as Vector,
  high: high.map((value, axis) => Math.max(value, value + by[axis]!)) as unknown as Vector,
});

function gapOf(shapes: readonly Shape[], moved: Vector, { shapes: other }: Obstacle): number {
  let least = Infinity;
  for (const shape of shapes) {
    const at = shifted(shape, moved);
    for (const against of other)
      if (at.as !== 'rod' || leastPossible(at, against) < least)
        least = Math.min(least, between(at, against));
  }
  return least;
}
function shifted(shape: Shape, by: Vector): Shape {
  if (shape.as === 'rod') return { ...shape, from: add(shape.from, by), to: add(shape.to, by) };
  return shape.as === 'box' ? { ...shape, centre: add(shape.centre, by) } : shape;
}
/** Two boxes are looked at as one box and the middle line of the other, as thick as it is thin. */
function between(a: Shape, b: Shape): number {
  if (a.as === 'rod') return gap(a, b);
  if (b.as === 'rod') return gap(b, a);
  if (a.as !== 'box') return distanceTo(b, [0, 0, 0]);
  const rod: Rod = {
    as: 'rod',
    from: add(a.centre, scale(a.axes[0], a.half[0])),
    to: add(a.centre, scale(a.axes[0], -a.half[0])),
    radius: Math.min(a.half[1], a.half[2]),
  };
  return gap(rod, b);
}

/** A host, and where the edge of a cope lies about it. */
interface Lips {
  readonly direction: Vector;
  readonly half: number;
  readonly from: readonly Vector[];
}
/** Wall lines of a cope that are looked at. */
const LOOKS = 24;

function lipsOf(end: EndCut, hosts: readonly Piece[]): readonly Lips[] {
  if (end.cut !== 'coped' && end.cut !== 'mitred') return [];
  return hosts.map(({ direction, section, path }) => ({
    direction,
    half: acrossOf(section) / 2,
    from: Array.from({ length: LOOKS }, (_, look) => {
      const line = (look * WALL_LINES) / LOOKS;
      const at = wallPoint(end, line, end.edge.outer[line]!);
      return subtract(at, pointOn(path, nearestOn(path, at).station).at);
    }),
  }));
}

/**
 * How far one end's lips stand round its hosts against a way out. A lip passes when host and piece are so far apart as the
 * host's half reaches over it, square to the host and to the way. The piece is swung about the other host: only the end
 * with less of it must be sprung.
 */
function springOf(lips: readonly Lips[], way: Vector): number {
  let most = 0;
  for (const { direction, half, from } of lips) {
    const across = cross(direction, way);
    const size = Math.hypot(...across);
    // Along the host: its cope slides.
    if (size < ALONG) continue;
    for (const at of from)
      if (dot(at, way) < 0) most = Math.max(most, half - Math.abs(dot(at, across)) / size);
  }
  return most;
}
