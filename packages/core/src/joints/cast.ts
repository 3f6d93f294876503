import { along, cross, dot, squareTo, subtract, unit, type Vector } from '../vector/vector.js';
import { WALL_LINES } from '../frame/outline.js';
import { castAtTorus } from './castTorus.js';
import type { Cast, Lines, Wall } from './lines.js';
import type { Cone, Cylinder, OvalCylinder, Prism, Surface } from './surfaces.js';

/**
 * Casts wall lines at one surface. A cope casts hundreds of them, so everything that does not depend on the line is worked
 * out once, in the wall's own frame, and all lines are cast in one loop: a dozen multiplications and a root each.
 */
export function caster(surface: Surface, wall: Wall): Cast {
  switch (surface.shape) {
    case 'cylinder':
    case 'cone':
      return atCone(surface, wall);
    case 'oval':
      return atOval(surface, wall);
    case 'prism':
      return atPrism(surface, wall);
    case 'torus':
      return castAtTorus(surface, wall);
  }
}

/** A line that passes a surface by less than this still touches it: tubes of one size meet at a tangent. Of radius squared; mm. */
const GRAZE = 1e-9;
const TOUCH = 1e-6;

/** Where each line meets the surface that is cast at, and how far along the host that is; NaN where it does not. */
const met = new Float64Array(WALL_LINES);
const station = new Float64Array(WALL_LINES);

/** Keeps what each line met, if the surface is there, or carried on there, and nothing nearer was met before. */
function keep(
  { count, behind, real, beyond }: Lines,
  { length, openStart, openEnd }: Exclude<Surface, { shape: 'torus' }>,
): void {
  for (let line = 0; line < count; line += 1) {
    const at = met[line]!;
    if (!(at >= behind)) continue;
    const along = station[line]!;
    if (along < -1e-9) {
      if (openStart && at < beyond[line]!) beyond[line] = at;
    } else if (along > length + 1e-9) {
      if (openEnd && at < beyond[line]!) beyond[line] = at;
    } else if (at < real[line]!) real[line] = at;
  }
}

/** Source: ray and cone (or cylinder), a quadratic in the distance along the ray. */
function atCone(host: Cylinder | Cone, wall: Wall): Cast {
  const grow = host.shape === 'cone' ? host.slope : 0;
  const rise = dot(wall.outward, host.axis);
  // With the radius growing by g per length, |w|^2 - (w.h)^2 = (R + g w.h)^2.
  const k = 1 + grow * grow;
  const squared = 1 - k * rise * rise;
  const away = subtract(wall.centre, host.point);
  const height0 = dot(away, host.axis);
  const heightU = dot(wall.side, host.axis);
  const heightV = dot(wall.across, host.axis);
  const radius = host.radius;
  const half0 = dot(away, wall.outward) - grow * radius * rise;
  const fromU = 2 * dot(away, wall.side);
  const fromV = 2 * dot(away, wall.across);
  const rest0 = dot(away, away) - radius * radius;
  const growth = 2 * grow * radius;
  const graze = GRAZE * radius * radius;
  const perSquared = 1 / squared;
  return (lines) => {
    if (squared < 1e-12) return;
    const { u: us, v: vs, count } = lines;
    for (let line = 0; line < count; line += 1) {
      const u = us[line]!;
      const v = vs[line]!;
      const height = height0 + u * heightU + v * heightV;
      const half = half0 - k * height * rise;
      const rest = rest0 + u * (fromU + u) + v * (fromV + v) - height * (k * height + growth);
      const square = half * half - squared * rest;
      const at = square < -graze ? NaN : (-half - Math.sqrt(square > 0 ? square : 0)) * perSquared;
      met[line] = at;
      station[line] = height + at * rise;
    }
    keep(lines, host);
  };
}

/** A host's own flat frame: where the wall's centre, its two sides and its outward axis lie along the host's directions. */
function inHost(host: Prism | OvalCylinder, wall: Wall) {
  const side = cross(host.axis, host.top);
  const away = subtract(wall.centre, host.point);
  const of = (direction: Vector) => ({
    centre: dot(away, direction),
    u: dot(wall.side, direction),
    v: dot(wall.across, direction),
    out: dot(wall.outward, direction),
  });
  return { x: of(host.top), y: of(side), z: of(host.axis) };
}

/** Source: ray and ellipse, a quadratic after both are scaled to a circle. */
function atOval(host: OvalCylinder, wall: Wall): Cast {
  const { x, y, z } = inHost(host, wall);
  const [a, b] = [host.halfHeight, host.halfWidth];
  const [dx, dy] = [x.out / a, y.out / b];
  const squared = dx * dx + dy * dy;
  return (lines) => {
    if (squared < 1e-15) return;
    for (let line = 0; line < lines.count; line += 1) {
      const u = lines.u[line]!;
      const v = lines.v[line]!;
      const px = (x.centre + u * x.u + v * x.v) / a;
      const py = (y.centre + u * y.u + v * y.v) / b;
      const half = px * dx + py * dy;
      const square = half * half - squared * (px * px + py * py - 1);
      const at = square < -GRAZE * squared ? NaN : (-half - Math.sqrt(Math.max(0, square))) / squared;
      met[line] = at;
      station[line] = z.centre + u * z.u + v * z.v + at * z.out;
    }
    keep(lines, host);
  };
}

/** Source: ray and rounded rectangle: its four faces where they are flat, its corners as quarter circles. */
function atPrism(host: Prism, wall: Wall): Cast {
  const { x, y, z } = inHost(host, wall);
  const { halfHeight: a, halfWidth: b } = host;
  const r = Math.min(host.corner, a, b);
  const dx = x.out;
  const dy = y.out;
  const squared = dx * dx + dy * dy;
  return (lines) => {
    if (squared < 1e-15) return;
    for (let line = 0; line < lines.count; line += 1) {
      const u = lines.u[line]!;
      const v = lines.v[line]!;
      const px = x.centre + u * x.u + v * x.v;
      const py = y.centre + u * y.u + v * y.v;
      let at = Infinity;
      if (Math.abs(dx) > 1e-12) {
        const t = ((dx > 0 ? -a : a) - px) / dx;
        if (Math.abs(py + t * dy) <= b - r + TOUCH) at = t;
      }
      if (Math.abs(dy) > 1e-12) {
        const t = ((dy > 0 ? -b : b) - py) / dy;
        if (t < at && Math.abs(px + t * dx) <= a - r + TOUCH) at = t;
      }
      for (let corner = 0; r > 0 && corner < 4; corner += 1) {
        const sx = corner & 1 ? 1 : -1;
        const sy = corner & 2 ? 1 : -1;
        const ox = px - sx * (a - r);
        const oy = py - sy * (b - r);
        const half = ox * dx + oy * dy;
        const square = half * half - squared * (ox * ox + oy * oy - r * r);
        if (square < -GRAZE * r * r) continue;
        const t = (-half - Math.sqrt(Math.max(0, square))) / squared;
        if (t < at && sx * (ox + t * dx) >= -TOUCH && sy * (oy + t * dy) >= -TOUCH) at = t;
      }
      met[line] = at < Infinity ? at : NaN;
      station[line] = z.centre + u * z.u + v * z.v + at * z.out;
    }
    keep(lines, host);
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
export function crossing(
  node: Vector,
  outward: Vector,
  host: { readonly point: Vector; readonly axis: Vector },
): Crossing | undefined {
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
