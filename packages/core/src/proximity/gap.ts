import { leastBetween } from '../numeric/golden.js';
import { add, along, length, scale, subtract, type Vector } from '../vector/vector.js';
import { distanceTo } from './distance.js';
import { nearestOfSegments } from './segments.js';
import type { Rod, Shape } from './shapes.js';

/** Gap between a rod and anything, mm; negative where they overlap. */
export function gap(rod: Rod, other: Shape): number {
  if (other.as === 'rod') return nearestOfSegments(rod, other).distance - rod.radius - other.radius;
  return distanceTo(other, nearestOn(rod, other)) - rod.radius;
}

/** Where the gap is: half way between the two surfaces. */
export function gapPlace(rod: Rod, other: Shape): Vector {
  if (other.as === 'rod') {
    const { onA, onB, distance } = nearestOfSegments(rod, other);
    if (distance < 1e-9) return onA;
    const share = (rod.radius + (distance - rod.radius - other.radius) / 2) / distance;
    return along(onA, subtract(onB, onA), share);
  }
  const at = nearestOn(rod, other);
  const h = 1e-3;
  const down = [0, 1, 2].map((axis) => {
    const step = [0, 0, 0];
    step[axis] = h;
    const s = step as unknown as Vector;
    return (distanceTo(other, add(at, s)) - distanceTo(other, subtract(at, s))) / (2 * h);
  }) as unknown as Vector;
  const size = Math.max(1e-9, length(down));
  return along(at, scale(down, 1 / size), -(distanceTo(other, at) + rod.radius) / 2);
}

/** A rod's nearest place is found to within this share of its length: a millimetre on five metres. */
const WITHIN = 1.9e-4;

/** The place of a rod's axis that is nearest to a shape that bulges outwards: the distance to it has one least place. */
function nearestOn({ from, to }: Rod, other: Exclude<Shape, Rod>): Vector {
  const [dx, dy, dz] = [to[0] - from[0], to[1] - from[1], to[2] - from[2]];
  if (dx * dx + dy * dy + dz * dz < 1e-12) return from;
  const at = (share: number): Vector => [from[0] + dx * share, from[1] + dy * share, from[2] + dz * share];
  return at(leastBetween((share) => distanceTo(other, at(share)), 0, 1, WITHIN));
}

/** A gap that the two cannot be under, quick to tell: from middle to middle, less how far each reaches. */
export function leastPossible({ from: a, to: b, radius }: Rod, other: Shape): number {
  if (other.as === 'ground') return Math.min(a[2], b[2]) - radius - LEVEL_WITHIN;
  const reach = halfLength(a, b) + radius;
  if (other.as === 'rod') {
    const { from: p, to: q } = other;
    return (
      fromMiddle(a, b, (p[0] + q[0]) / 2, (p[1] + q[1]) / 2, (p[2] + q[2]) / 2) -
      reach -
      halfLength(p, q) -
      other.radius
    );
  }
  const [x, y, z] = other.centre;
  const size =
    other.as === 'disc'
      ? Math.sqrt(other.radius * other.radius + other.half * other.half) + other.round
      : halfLength(other.half, [-other.half[0], -other.half[1], -other.half[2]]);
  return fromMiddle(a, b, x, y, z) - reach - size;
}
// Written out: these two are asked tens of thousands of times in a sweep, and Math.hypot is slow.
function halfLength(a: Vector, b: Vector): number {
  const [x, y, z] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  return Math.sqrt(x * x + y * y + z * z) / 2;
}
function fromMiddle(a: Vector, b: Vector, x: number, y: number, z: number): number {
  const dx = (a[0] + b[0]) / 2 - x;
  const dy = (a[1] + b[1]) / 2 - y;
  const dz = (a[2] + b[2]) / 2 - z;
  return Math.sqrt(dx * dx + dy * dy + dz * dz);
}
/** Ground below moved wheels is lower or higher than at ride height by less than this, mm. */
const LEVEL_WITHIN = 1000;
