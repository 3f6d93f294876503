import { along, cross, dot, squareTo, subtract, unit, type Vector } from '../vector/vector.js';
import { castAtBend } from './castBend.js';
import { castAtLoft } from './castLoft.js';
import { castAtTorus } from './castTorus.js';
import { inHost } from './hostFrame.js';
import { keep, met, passed, station } from './kept.js';
import { FLUSH, GRAZE, type Cast, type Wall } from './lines.js';
import type { Cone, Cylinder, OvalCylinder, Prism, Surface } from './surfaces.js';

/**
 * Casts wall lines at one surface. A cope casts hundreds of them, so everything that does not depend on the line is worked
 * out once, in the wall's own frame, and all lines are cast in one loop: a dozen multiplications and a root each.
 * @param surface what is met: mm
 * @param wall the lines that are cast: a tube's outside or inside, mm
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
    case 'loft':
      return castAtLoft(surface, wall);
    case 'torus':
      return castAtTorus(surface, wall);
    case 'bend':
      return castAtBend(surface, wall);
  }
}

/** A line this far beside a flat face still meets it, mm. */
const TOUCH = 1e-6;

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
      const at = (-half - Math.sqrt(square > 0 ? square : 0)) * perSquared;
      const on = height + at * rise;
      // Nearest to the axis, a line that misses is out by as much more than the radius there squared.
      const missed = square < -graze;
      const near = radius + grow * on;
      met[line] = missed && -square * perSquared > FLUSH * (2 * near + FLUSH) ? NaN : at;
      passed[line] = missed ? 1 : 0;
      station[line] = on;
    }
    keep(lines, host);
  };
}

/** Source: ray and ellipse, a quadratic after both are scaled to a circle. */
function atOval(host: OvalCylinder, wall: Wall): Cast {
  const { x, y, z } = inHost(host, wall);
  const [a, b] = [host.halfHeight, host.halfWidth];
  const [dx, dy] = [x.out / a, y.out / b];
  const squared = dx * dx + dy * dy;
  // One mm beside the ellipse, as the circle has it: along the normal of the line.
  const scaled = Math.hypot(dy / a, dx / b) / Math.sqrt(squared);
  const flush = FLUSH * scaled * (2 + FLUSH * scaled);
  return (lines) => {
    if (squared < 1e-15) return;
    for (let line = 0; line < lines.count; line += 1) {
      const u = lines.u[line]!;
      const v = lines.v[line]!;
      const px = (x.centre + u * x.u + v * x.v) / a;
      const py = (y.centre + u * y.u + v * y.v) / b;
      const half = px * dx + py * dy;
      const square = half * half - squared * (px * px + py * py - 1);
      const missed = square < -GRAZE * squared;
      const at =
        missed && -square > flush * squared ? NaN : (-half - Math.sqrt(Math.max(0, square))) / squared;
      met[line] = at;
      passed[line] = missed ? 1 : 0;
      station[line] = z.centre + u * z.u + v * z.v + at * z.out;
    }
    keep(lines, host);
  };
}

/** Source: ray and rounded rectangle: its four faces where they are flat, its corners as quarter circles, of no radius where they are sharp. */
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
      let flush = Infinity;
      if (Math.abs(dx) > 1e-12) {
        const t = ((dx > 0 ? -a : a) - px) / dx;
        const over = Math.abs(py + t * dy) - (b - r);
        if (over <= TOUCH) at = t;
      }
      if (Math.abs(dy) > 1e-12) {
        const t = ((dy > 0 ? -b : b) - py) / dy;
        const over = Math.abs(px + t * dx) - (a - r);
        if (over <= TOUCH) at = Math.min(at, t);
      }
      for (let corner = 0; corner < 4; corner += 1) {
        const sx = corner & 1 ? 1 : -1;
        const sy = corner & 2 ? 1 : -1;
        const ox = px - sx * (a - r);
        const oy = py - sy * (b - r);
        const half = ox * dx + oy * dy;
        const square = half * half - squared * (ox * ox + oy * oy - r * r);
        const missed = square < -GRAZE * r * r;
        if (missed && -square > squared * FLUSH * (2 * r + FLUSH)) continue;
        const t = (-half - Math.sqrt(Math.max(0, square))) / squared;
        if (sx * (ox + t * dx) < -TOUCH || sy * (oy + t * dy) < -TOUCH) continue;
        if (missed) flush = Math.min(flush, t);
        else at = Math.min(at, t);
      }
      const missed = !(at < Infinity);
      if (missed) at = flush;
      met[line] = at < Infinity ? at : NaN;
      passed[line] = missed ? 1 : 0;
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
