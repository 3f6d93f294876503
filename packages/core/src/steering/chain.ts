import { toDegrees } from '../units/angle.js';
import { add, along, cross, dot, length, scale, subtract, turn, type Vector } from '../vector/vector.js';

/** A part of the steering that moves one way only: it turns about a line, or slides along one. Straight ahead it is at 0. */
export type Body =
  | { readonly as: 'turns'; readonly point: Vector; /** Unit vector. */ readonly axis: Vector }
  | { readonly as: 'slides'; /** Unit vector. */ readonly axis: Vector };

/** A point that moves with a body, where it is straight ahead; mm. */
export interface OnBody {
  readonly body: string;
  readonly at: Vector;
}
/** What one body moves the next by. */
export type Link =
  | {
      /** A rod with a ball at each end: it keeps its length, and may lie any way in space. */
      readonly as: 'rod';
      readonly id: string;
      readonly name: string;
      readonly from: OnBody;
      readonly to: OnBody;
      /** Ball to ball, mm, where that is not how far apart they are straight ahead. */
      readonly length?: number;
    }
  | {
      /** A pinion on a rack: so many mm for a whole turn. */
      readonly as: 'pinion';
      readonly from: string;
      readonly to: string;
      readonly perTurn: number;
    }
  | {
      /** One shaft: they turn by the same, or by what the joints between them make of it. */
      readonly as: 'shaft';
      readonly from: string;
      readonly to: string;
      readonly turned?: (angle: number) => number;
    };

/** Bodies and what joins them, in the order in which one moves the next. Straight ahead all of them are at 0. */
export interface Chain {
  /** The body that the hands move. */
  readonly driver: string;
  readonly bodies: Readonly<Record<string, Body>>;
  readonly links: readonly Link[];
  /** The body that carries each steered wheel, by the wheel's id. */
  readonly wheels: Readonly<Record<string, string>>;
}
/** Where every body is: degrees turned, or mm slid. */
export type Positions = Readonly<Record<string, number>>;
export interface Stuck {
  /** The rod that is too short or too long to go there. */
  readonly rod: string;
}

/** A point that goes with a body, when that has moved. */
export function moved(chain: Chain, { body, at }: OnBody, positions: Positions): Vector {
  const of = chain.bodies[body]!;
  const by = positions[body] ?? 0;
  return of.as === 'slides'
    ? along(at, of.axis, by)
    : add(of.point, turn(subtract(at, of.point), of.axis, by));
}

/**
 * Where everything goes when the driver is moved. Each rod is closed exactly: the end that turns runs on a circle, and
 * of the two places at which it is a rod's length from the other end it takes the one that the steering came by.
 * @param drive of the driver: degrees, or mm where it slides
 * @returns degrees or mm by body; or the rod that cannot reach
 */
export function moveChain(chain: Chain, drive: number): Positions | Stuck {
  const positions: Record<string, number> = { [chain.driver]: drive };
  for (const link of chain.links) {
    if (link.as === 'rod') {
      const body = chain.bodies[link.to.body]!;
      const pull = moved(chain, link.from, positions);
      const long = link.length ?? rodLength(link);
      const by =
        body.as === 'turns'
          ? turnedTo(body, link.to.at, pull, long, link.from.at)
          : slidTo(body.axis, link.to.at, pull, long, link.from.at);
      if (by === undefined) return { rod: link.id };
      positions[link.to.body] = by;
    } else if (link.as === 'pinion') {
      positions[link.to] = (positions[link.from]! / 360) * link.perTurn;
    } else {
      const angle = positions[link.from]!;
      positions[link.to] = link.turned ? link.turned(angle) : angle;
    }
  }
  return positions;
}
export const isStuck = (result: Positions | Stuck): result is Stuck =>
  typeof (result as Stuck).rod === 'string';

/**
 * Turn of a body at which its point is a given distance from another point: A cos t + B sin t = C.
 * @param straight the other point straight ahead, which tells on which side the rod stands
 */
function turnedTo(
  { point, axis }: Extract<Body, { as: 'turns' }>,
  at: Vector,
  other: Vector,
  long: number,
  straight: Vector,
): number | undefined {
  const arm = subtract(at, point);
  const up = scale(axis, dot(arm, axis));
  const out = subtract(arm, up);
  const across = cross(axis, out);
  const centre = add(point, up);
  const angleOf = (to: Vector) => {
    const w = subtract(to, centre);
    return { a: dot(out, w), b: dot(across, w), square: dot(w, w) };
  };
  const { a, b, square } = angleOf(other);
  const before = angleOf(straight);
  const cosine = (dot(out, out) + square - long * long) / (2 * Math.hypot(a, b));
  if (!(Math.abs(cosine) <= 1 + 1e-12)) return undefined;
  const side = before.b > 0 ? -1 : 1;
  const angle = Math.atan2(b, a) + side * Math.acos(Math.min(1, Math.max(-1, cosine)));
  return toDegrees(Math.atan2(Math.sin(angle), Math.cos(angle)));
}

function slidTo(axis: Vector, at: Vector, other: Vector, long: number, straight: Vector): number | undefined {
  const w = subtract(other, at);
  const forward = dot(w, axis);
  const root = forward * forward - dot(w, w) + long * long;
  if (root < 0) return undefined;
  const side = dot(subtract(straight, at), axis) > 0 ? -1 : 1;
  return forward + side * Math.sqrt(root);
}

/** How far a rod is from pushing along the body's own axis or centre, degrees: 90 moves it best, 0 moves it no more. */
export function pushAngle(chain: Chain, end: OnBody, other: OnBody, positions: Positions): number {
  return pushed(chain, end, moved(chain, end, positions), moved(chain, other, positions));
}

/** The smaller of the angles at a rod's two ends, degrees. */
export function rodAngle(
  chain: Chain,
  { from, to }: Extract<Link, { as: 'rod' }>,
  positions: Positions,
): number {
  const [a, b] = [moved(chain, from, positions), moved(chain, to, positions)];
  return Math.min(pushed(chain, from, a, b), pushed(chain, to, b, a));
}

/** @param at the end, where it is; @param other the rod's other end */
function pushed(chain: Chain, { body: id }: OnBody, at: Vector, other: Vector): number {
  const body = chain.bodies[id]!;
  const rod = subtract(other, at);
  const way = body.as === 'slides' ? body.axis : cross(body.axis, subtract(at, body.point));
  const sine = Math.abs(dot(rod, way)) / (length(rod) * length(way));
  return toDegrees(Math.asin(Math.min(1, sine)));
}

/** Straight-ahead length of a rod, ball to ball; mm. */
export const rodLength = (link: Extract<Link, { as: 'rod' }>): number =>
  length(subtract(link.to.at, link.from.at));
