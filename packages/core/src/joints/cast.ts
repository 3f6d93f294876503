import { along, cross, dot, squareTo, subtract, unit, type Vector } from '../vector/vector.js';

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

/** The wall of the tube that is cut: rays run along `outward`, from a circle round `centre`. */
export interface Wall {
  readonly centre: Vector;
  readonly outward: Vector;
  /** Unit vectors square to `outward`: towards the match line, and outward x that. */
  readonly side: Vector;
  readonly across: Vector;
}

/** The first surface of a host met by the wall line at `radius` and an angle (its cosine and sine), or undefined. */
export type Cast = (radius: number, cosine: number, sine: number, behind: number) => Hit | undefined;

/**
 * Casts wall lines at one host. A cope casts hundreds of them, so everything that does not depend on the line is worked
 * out once, in the wall's own frame; what is left is a dozen multiplications and a root.
 * A surface further back than `behind` (a distance along the ray) is not met: the tube's body begins there.
 * Source: ray and cylinder, plane trigonometry square to the host's axis.
 */
export function caster(host: HostCylinder, wall: Wall): Cast {
  const slope = dot(wall.outward, host.axis);
  const sine2 = 1 - slope * slope;
  const away = subtract(wall.centre, host.point);
  const rise = {
    centre: dot(away, host.axis),
    side: dot(wall.side, host.axis),
    across: dot(wall.across, host.axis),
  };
  const from = {
    outward: dot(away, wall.outward),
    side: dot(away, wall.side),
    across: dot(away, wall.across),
  };
  const constant = dot(away, away) - host.radius * host.radius;
  return (radius, cosine, sine, behind) => {
    if (sine2 < 1e-12) return undefined;
    const c = radius * cosine;
    const s = radius * sine;
    const height = rise.centre + c * rise.side + s * rise.across;
    const half = from.outward - height * slope;
    const rest = constant + 2 * (c * from.side + s * from.across) + radius * radius - height * height;
    const square = half * half - sine2 * rest;
    if (square < 0) return undefined;
    const at = (-half - Math.sqrt(square)) / sine2;
    if (at < behind) return undefined;
    const station = height + at * slope;
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
  // Square to its host, a tube has no acute side: then the host's own direction counts, whatever the rounding.
  const towards: Vector = slope > 1e-9 ? [-host.axis[0], -host.axis[1], -host.axis[2]] : host.axis;
  const acuteSide = unit(squareTo(towards, outward));
  const station = dot(subtract(along(node, outward, at), host.point), host.axis);
  const nearest = along(host.point, host.axis, station);
  const offset = dot(subtract(nearest, along(node, outward, at)), cross(outward, acuteSide));
  return { at, includedAngle: (Math.acos(Math.min(1, Math.abs(slope))) * 180) / Math.PI, acuteSide, offset };
}
