import {
  add,
  along,
  cross,
  distance,
  dot,
  mirror,
  scale,
  subtract,
  turn,
  unit,
  type Vector,
} from '../vector/vector.js';
import { toDegrees, toRadians } from '../units/angle.js';

/** A straight part of a tube's centre line; mm. */
export interface Leg {
  readonly from: Vector;
  readonly direction: Vector;
  readonly length: number;
  /** Way along the centre line from the start node. */
  readonly station: number;
}
/** A bent part of a tube's centre line. */
export interface Arc {
  readonly from: Vector;
  readonly to: Vector;
  /** Direction at its beginning. */
  readonly direction: Vector;
  readonly centre: Vector;
  /** Unit vector about which it turns, right-handed. */
  readonly axis: Vector;
  /** Of the centre line. */
  readonly radius: number;
  /** Degrees. */
  readonly angle: number;
  readonly length: number;
  readonly station: number;
}
export interface Path {
  readonly legs: readonly Leg[];
  readonly arcs: readonly Arc[];
  /** Developed length of the centre line, node to node. */
  readonly length: number;
  /** Corners that had no room for their radius, by place in the list of bends, with the largest radius that fits. */
  readonly tight: readonly { readonly bend: number; readonly fits: number }[];
}

/** Turns under this are no bend, and those over the other double back: no radius joins the two. Degrees. */
const STRAIGHT = 1e-6;
const DOUBLED = 179.9;

/**
 * The centre line through corners with a radius at each inner one: straights between tangent points and arcs round them.
 * A bend that has no room gets the largest radius that fits, and is named. Source: tangent length = radius x tan(turn / 2).
 * @param corners at least two, mm
 * @param radii of the centre line, one for each inner corner, mm
 * @throws RangeError when two corners in a row are one point.
 */
export function pathOf(corners: readonly Vector[], radii: readonly number[]): Path {
  const directions = corners.slice(1).map((corner, index) => unit(subtract(corner, corners[index]!)));
  const spans = corners.slice(1).map((corner, index) => distance(corner, corners[index]!));
  const turns = radii.map((_, index) => turnBetween(directions[index]!, directions[index + 1]!));
  const tangents = radii.map((radius, index) => radius * Math.tan(toRadians(turns[index]!) / 2));
  const tight: { bend: number; fits: number }[] = [];
  const shares = tangents.map((tangent, index) => {
    const before = spans[index]! / (tangent + (tangents[index - 1] ?? 0));
    const after = spans[index + 1]! / (tangent + (tangents[index + 1] ?? 0));
    return Math.min(1, before, after);
  });
  const used = radii.map((radius, index) => {
    if (shares[index]! < 1 - 1e-9) tight.push({ bend: index, fits: radius * shares[index]! });
    return radius * shares[index]!;
  });
  const legs: Leg[] = [];
  const arcs: Arc[] = [];
  let station = 0;
  let from = corners[0]!;
  directions.forEach((direction, index) => {
    const radius = used[index];
    const bent = radius !== undefined && radius > 1e-6 && turns[index]! > STRAIGHT && turns[index]! < DOUBLED;
    const back = bent ? radius * Math.tan(toRadians(turns[index]!) / 2) : 0;
    const to = along(corners[index + 1]!, direction, -back);
    const length = Math.max(0, dot(subtract(to, from), direction));
    legs.push({ from, direction, length, station });
    station += length;
    from = to;
    if (!bent) return;
    const axis = unit(cross(direction, directions[index + 1]!));
    const centre = along(to, cross(axis, direction), radius);
    const angle = turns[index]!;
    const arc = {
      from: to,
      direction,
      centre,
      axis,
      radius,
      angle,
      station,
      length: radius * toRadians(angle),
    };
    const end = add(centre, turn(subtract(to, centre), axis, angle));
    arcs.push({ ...arc, to: end });
    station += arc.length;
    from = end;
  });
  return { legs, arcs, length: station, tight };
}

const turnBetween = (a: Vector, b: Vector): number =>
  toDegrees(Math.atan2(Math.hypot(...cross(a, b)), dot(a, b)));

export interface OnPath {
  readonly at: Vector;
  readonly direction: Vector;
}

/**
 * Point and direction on a centre line at a way from its start; beyond its ends, on the straight carried on.
 * @param station way from the path's start, mm
 */
export function pointOn(path: Path, station: number): OnPath {
  const arc = path.arcs.find((each) => station > each.station && station < each.station + each.length);
  if (arc) {
    const angle = toDegrees((station - arc.station) / arc.radius);
    return {
      at: add(arc.centre, turn(subtract(arc.from, arc.centre), arc.axis, angle)),
      direction: turn(arc.direction, arc.axis, angle),
    };
  }
  const leg = [...path.legs].reverse().find((each) => station >= each.station) ?? path.legs[0]!;
  return { at: along(leg.from, leg.direction, station - leg.station), direction: leg.direction };
}

/**
 * Way along the centre line to the point of it that is nearest to `point`, within its ends; and how far off that is.
 * @param point mm
 * @returns way from the start and distance, mm
 */
export function nearestOn(path: Path, point: Vector): { readonly station: number; readonly away: number } {
  let best = { station: 0, away: Infinity };
  const take = (station: number, at: Vector) => {
    const away = distance(at, point);
    if (away < best.away) best = { station, away };
  };
  for (const leg of path.legs) {
    const on = Math.min(leg.length, Math.max(0, dot(subtract(point, leg.from), leg.direction)));
    take(leg.station + on, along(leg.from, leg.direction, on));
  }
  for (const arc of path.arcs) {
    const radial = unit(subtract(arc.from, arc.centre));
    const away = subtract(point, arc.centre);
    const angle = toDegrees(Math.atan2(dot(away, arc.direction), dot(away, radial)));
    const on = Math.min(arc.angle, Math.max(0, angle));
    take(
      arc.station + arc.radius * toRadians(on),
      add(arc.centre, turn(subtract(arc.from, arc.centre), arc.axis, on)),
    );
  }
  return best;
}

/**
 * A direction square to the path's start, carried along it without twist to a way from the start.
 * @param direction a unit vector square to the path's start
 * @param station way from the start, mm
 */
export function carried(path: Path, direction: Vector, station: number): Vector {
  let result = direction;
  for (const arc of path.arcs) {
    if (arc.station >= station) break;
    const angle = Math.min(arc.angle, toDegrees((station - arc.station) / arc.radius));
    result = turn(result, arc.axis, angle);
  }
  return result;
}

/** The same path across the middle plane. */
export function mirroredPath(path: Path): Path {
  return {
    ...path,
    legs: path.legs.map((leg) => ({ ...leg, from: mirror(leg.from), direction: mirror(leg.direction) })),
    arcs: path.arcs.map((arc) => ({
      ...arc,
      from: mirror(arc.from),
      to: mirror(arc.to),
      direction: mirror(arc.direction),
      centre: mirror(arc.centre),
      axis: scale(mirror(arc.axis), -1),
    })),
  };
}
