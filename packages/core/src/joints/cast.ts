import { add, along, cross, dot, squareTo, subtract, unit, type Vector } from '../vector/vector.js';

/** An unending round host: a point on its axis, the axis, the radius; and the stretch of axis that is really there. */
export interface HostCylinder {
  readonly point: Vector;
  readonly axis: Vector;
  readonly radius: number;
  readonly length: number;
}

export interface Hit {
  /** Distance along the ray to the first surface. */
  readonly at: number;
  /** Whether the host is really there, and does not end before. */
  readonly within: boolean;
}

/**
 * A bundle of rays with one direction, cast at one host. The parts of the quadratic that do not depend on the ray's
 * start are worked out once, since a cope casts hundreds of wall lines at the same host.
 * @param direction unit vector of every ray
 * @returns cast(from): the first surface met by the ray from that point at or after `behind` (a distance along the ray),
 *   or undefined when it misses. Source: ray and cylinder, plane trigonometry square to the host's axis.
 */
export function caster(
  host: HostCylinder,
  direction: Vector,
): (from: Vector, behind: number) => Hit | undefined {
  const slope = dot(direction, host.axis);
  const sine = 1 - slope * slope;
  return (from, behind) => {
    if (sine < 1e-12) return undefined;
    const wx = from[0] - host.point[0];
    const wy = from[1] - host.point[1];
    const wz = from[2] - host.point[2];
    const rise = wx * host.axis[0] + wy * host.axis[1] + wz * host.axis[2];
    const half = wx * direction[0] + wy * direction[1] + wz * direction[2] - rise * slope;
    const rest = wx * wx + wy * wy + wz * wz - rise * rise - host.radius * host.radius;
    const square = half * half - sine * rest;
    if (square < 0) return undefined;
    const at = (-half - Math.sqrt(square)) / sine;
    if (at < behind) return undefined;
    const station = rise + at * slope;
    return { at, within: station >= -1e-9 && station <= host.length + 1e-9 };
  };
}

export interface Crossing {
  /** Where, along the cut tube's outward axis from its node, the two axes pass closest; mm. */
  readonly at: number;
  /** Acute angle between the axes, degrees. */
  readonly includedAngle: number;
  /** Unit vector square to the outward axis, on the side where the two tubes make their acute angle. */
  readonly acuteSide: Vector;
  /** Signed distance between the axes, along outward x acuteSide; mm. */
  readonly offset: number;
}

/** How a tube's end stands to one host's axis. Undefined when the two are parallel. */
export function crossing(node: Vector, outward: Vector, host: HostCylinder): Crossing | undefined {
  const slope = dot(outward, host.axis);
  const sine = 1 - slope * slope;
  if (sine < 1e-9) return undefined;
  const w = subtract(node, host.point);
  const at = (dot(w, host.axis) * slope - dot(w, outward)) / sine;
  const lean =
    slope > 0
      ? squareTo([-host.axis[0], -host.axis[1], -host.axis[2]], outward)
      : squareTo(host.axis, outward);
  const acuteSide = unit(lean);
  const station = dot(subtract(along(node, outward, at), host.point), host.axis);
  const nearest = along(host.point, host.axis, station);
  const offset = dot(subtract(nearest, along(node, outward, at)), cross(outward, acuteSide));
  return { at, includedAngle: (Math.acos(Math.min(1, Math.abs(slope))) * 180) / Math.PI, acuteSide, offset };
}

/** Point on the wall of a tube: `centre + radius (cos a side + sin a (outward x side))`. */
export function wallPoint(
  centre: Vector,
  side: Vector,
  across: Vector,
  radius: number,
  cosine: number,
  sine: number,
): Vector {
  return add(centre, [
    radius * (cosine * side[0] + sine * across[0]),
    radius * (cosine * side[1] + sine * across[1]),
    radius * (cosine * side[2] + sine * across[2]),
  ]);
}
