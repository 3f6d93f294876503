import type { StandingWheel } from '../stance/dimension.js';
import { add, along, dot, length, scale, subtract, type Vector } from '../vector/vector.js';

/** A rod with round ends; a ball where both ends are one. */
export interface Capsule {
  readonly is: 'capsule';
  readonly a: Vector;
  readonly b: Vector;
  readonly radius: number;
}
/** A wheel with rounded shoulders: a thinner disc, swollen by `round`. */
export interface Disc {
  readonly is: 'disc';
  readonly centre: Vector;
  readonly spindle: Vector;
  /** Of the thinner disc. */
  readonly radius: number;
  readonly half: number;
  readonly round: number;
}
/** A box square to the vehicle. */
export interface Box {
  readonly is: 'box';
  readonly centre: Vector;
  readonly half: Vector;
}
/** The ground below wheels that have moved: a plane, level across. */
export interface Ground {
  readonly is: 'ground';
  readonly rear: Vector;
  readonly front: Vector;
}
export type Shape = Capsule | Disc | Box | Ground;

export const capsule = (a: Vector, b: Vector, radius: number): Capsule => ({ is: 'capsule', a, b, radius });
export const ball = (at: Vector, radius: number): Capsule => capsule(at, at, radius);

/** How round a tyre's shoulders are, as a share of the wheel's radius: a narrow tyre is round all over. Common practice, no source. */
const SHOULDER = 0.12;
export function tyre({ centre, spindle, radius, width }: StandingWheel): Disc {
  const round = Math.min(width / 2, radius * SHOULDER);
  return { is: 'disc', centre, spindle, radius: radius - round, half: width / 2 - round, round };
}

/** Distance from a point to a shape's surface; negative within. */
export function distanceTo(shape: Disc | Box | Ground, p: Vector): number {
  if (shape.is === 'disc') {
    const { centre, spindle } = shape;
    const dx = p[0] - centre[0];
    const dy = p[1] - centre[1];
    const dz = p[2] - centre[2];
    const across = dx * spindle[0] + dy * spindle[1] + dz * spindle[2];
    const out = Math.sqrt(Math.max(0, dx * dx + dy * dy + dz * dz - across * across));
    const x = Math.abs(across) - shape.half;
    const y = out - shape.radius;
    if (x > 0 && y > 0) return Math.sqrt(x * x + y * y) - shape.round;
    return Math.max(x, y) - shape.round;
  }
  if (shape.is === 'box') {
    const over = [0, 1, 2].map((axis) => Math.abs(p[axis]! - shape.centre[axis]!) - shape.half[axis]!);
    const outside = Math.hypot(...over.map((by) => Math.max(0, by)));
    return outside > 0 ? outside : Math.max(...over);
  }
  const { rear, front } = shape;
  const slope = (front[2] - rear[2]) / (front[0] - rear[0]);
  return (p[2] - rear[2] - slope * (p[0] - rear[0])) / Math.hypot(1, slope);
}

/** Steps of the search along a rod: the distance to what bulges outwards has one least place. */
const STEPS = 18;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** Gap between a rod and anything, mm; negative where they overlap. */
export function gap(rod: Capsule, other: Shape): number {
  if (other.is === 'capsule') return betweenRods(rod, other).distance - rod.radius - other.radius;
  return distanceTo(other, nearestOn(rod, other)) - rod.radius;
}

/** A gap that the two cannot be under, quick to tell: from middle to middle, less how far each reaches. */
export function leastPossible({ a, b, radius }: Capsule, other: Shape): number {
  if (other.is === 'ground') return Math.min(a[2], b[2]) - radius - LEVEL_WITHIN;
  const reach = halfLength(a, b) + radius;
  if (other.is === 'capsule') {
    const { a: p, b: q } = other;
    return (
      apart(a, b, (p[0] + q[0]) / 2, (p[1] + q[1]) / 2, (p[2] + q[2]) / 2) -
      reach -
      halfLength(p, q) -
      other.radius
    );
  }
  const [x, y, z] = other.centre;
  const size =
    other.is === 'disc'
      ? Math.sqrt(other.radius * other.radius + other.half * other.half) + other.round
      : halfLength(other.half, [-other.half[0], -other.half[1], -other.half[2]]);
  return apart(a, b, x, y, z) - reach - size;
}
// Written out: these two are asked tens of thousands of times in a sweep, and Math.hypot is slow.
function halfLength(a: Vector, b: Vector): number {
  const [x, y, z] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  return Math.sqrt(x * x + y * y + z * z) / 2;
}
function apart(a: Vector, b: Vector, x: number, y: number, z: number): number {
  const dx = (a[0] + b[0]) / 2 - x;
  const dy = (a[1] + b[1]) / 2 - y;
  const dz = (a[2] + b[2]) / 2 - z;
  return Math.sqrt(dx * dx + dy * dy + dz * dz);
}
/** Ground below moved wheels is lower or higher than at ride height by less than this, mm. */
const LEVEL_WITHIN = 1000;

/** Where the gap is: half way between the two surfaces. */
export function gapPlace(rod: Capsule, other: Shape): Vector {
  if (other.is === 'capsule') {
    const { onA, onB, distance } = betweenRods(rod, other);
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

/** Golden section: distance to an outward-bulging shape is convex along a line. */
function nearestOn({ a, b }: Capsule, other: Disc | Box | Ground): Vector {
  const [dx, dy, dz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  if (dx * dx + dy * dy + dz * dz < 1e-12) return a;
  const at = (share: number): Vector => [a[0] + dx * share, a[1] + dy * share, a[2] + dz * share];
  let low = 0;
  let high = 1;
  let x = 1 - GOLDEN;
  let y = GOLDEN;
  let fx = distanceTo(other, at(x));
  let fy = distanceTo(other, at(y));
  for (let step = 0; step < STEPS; step += 1) {
    if (fx < fy) {
      high = y;
      y = x;
      fy = fx;
      x = high - GOLDEN * (high - low);
      fx = distanceTo(other, at(x));
    } else {
      low = x;
      x = y;
      fx = fy;
      y = low + GOLDEN * (high - low);
      fy = distanceTo(other, at(y));
    }
  }
  return at((low + high) / 2);
}

/** Nearest points of two segments. Source: Ericson, Real-Time Collision Detection, 5.1.9. */
export function betweenRods(
  { a: p, b: q }: Pick<Capsule, 'a' | 'b'>,
  { a: r, b: s }: Pick<Capsule, 'a' | 'b'>,
): { readonly distance: number; readonly onA: Vector; readonly onB: Vector } {
  const [d1, d2, from] = [subtract(q, p), subtract(s, r), subtract(p, r)];
  const [a, e, f] = [dot(d1, d1), dot(d2, d2), dot(d2, from)];
  const within = (value: number) => Math.min(1, Math.max(0, value));
  let [t, u] = [0, 0];
  if (a <= 1e-12 && e <= 1e-12) [t, u] = [0, 0];
  else if (a <= 1e-12) u = within(f / e);
  else {
    const c = dot(d1, from);
    if (e <= 1e-12) t = within(-c / a);
    else {
      const b = dot(d1, d2);
      const flat = a * e - b * b;
      t = flat > 1e-9 * a * e ? within((b * f - c * e) / flat) : 0;
      u = (b * t + f) / e;
      if (u < 0) [u, t] = [0, within(-c / a)];
      else if (u > 1) [u, t] = [1, within((b - c) / a)];
    }
  }
  const [onA, onB] = [along(p, d1, t), along(r, d2, u)];
  return { distance: length(subtract(onA, onB)), onA, onB };
}
