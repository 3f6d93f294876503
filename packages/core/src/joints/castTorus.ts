import { leastBetween } from '../numeric/golden.js';
import { rootBetween } from '../numeric/root.js';
import { cross, dot, subtract } from '../vector/vector.js';
import { FLUSH, GRAZE, type Cast, type Lines, type Wall } from './lines.js';
import type { Torus } from './surfaces.js';

/** A line this far outside the bend's wedge still counts as in it, mm. */
const TOUCH = 1e-9;
const MOST_STEPS = 100;
/** Of the radius: nearer than this, the distance is as good as a parabola along the line. */
const NEAR = 0.05;

/** The part of a line that clipping has left: one for all, since lines are cast one after another. */
const part = { from: 0, to: 0 };
/** Keeps the part of the line on which `at + t * rate` is not negative. */
function clip(at: number, rate: number): void {
  if (rate > 1e-12) part.from = Math.max(part.from, -at / rate);
  else if (rate < -1e-12) part.to = Math.min(part.to, -at / rate);
  else if (at < 0) part.to = -Infinity;
}

/**
 * Casts wall lines at a bent host. Source: the torus (rho - R)^2 + h^2 = r^2. The line is clipped to the bend's own wedge,
 * walked by its distance from the bend while that is far, and closed in on by Newton's rule, until the bend is a hundred
 * millionth of its radius away.
 */
export function castAtTorus({ arc, radius }: Torus, wall: Wall): Cast {
  const R = arc.radius;
  const radial = subtract(arc.from, arc.centre);
  const size = Math.sqrt(dot(radial, radial));
  const x = [radial[0] / size, radial[1] / size, radial[2] / size] as const;
  const y = cross(arc.axis, x);
  const away = subtract(wall.centre, arc.centre);
  const [cx, cy, cz] = [dot(away, x), dot(away, y), dot(away, arc.axis)];
  const [ux, uy, uz] = [dot(wall.side, x), dot(wall.side, y), dot(wall.side, arc.axis)];
  const [vx, vy, vz] = [dot(wall.across, x), dot(wall.across, y), dot(wall.across, arc.axis)];
  const [dx, dy, dz] = [dot(wall.outward, x), dot(wall.outward, y), dot(wall.outward, arc.axis)];
  const turn = (arc.angle * Math.PI) / 180;
  const [sine, cosine] = [Math.sin(turn), Math.cos(turn)];
  const near = GRAZE * radius * radius;
  const flush = FLUSH * (2 * radius + FLUSH);
  const thick = radius + FLUSH;
  /** How far out of the bend a point of the line is, negative inside: distance squared less radius squared. */
  const beyond = (px: number, py: number, pz: number) => (t: number) => {
    const qx = px + t * dx;
    const qy = py + t * dy;
    const h = pz + t * dz;
    const out = Math.sqrt(qx * qx + qy * qy) - R;
    return out * out + h * h - radius * radius;
  };
  const castOne = (lines: Lines, line: number): number => {
    const u = lines.u[line]!;
    const v = lines.v[line]!;
    const px = cx + u * ux + v * vx;
    const py = cy + u * uy + v * vy;
    const pz = cz + u * uz + v * vz;
    part.from = lines.behind;
    part.to = lines.real[line]!;
    clip(thick - pz, -dz);
    clip(thick + pz, dz);
    clip(py + TOUCH, dy);
    clip(px * sine - py * cosine + TOUCH, dx * sine - dy * cosine);
    const from = part.from;
    let to = part.to;
    if (!(to >= from)) return NaN;
    // Past the point where the line leaves the bend's outer ball there is nothing more to meet.
    const fx = px + from * dx;
    const fy = py + from * dy;
    to = Math.min(to, from + 4 * (R + radius) + Math.sqrt(fx * fx + fy * fy));
    let t = from;
    let last = from;
    let falling = false;
    for (let step = 0; step < MOST_STEPS && t <= to; step += 1) {
      const qx = px + t * dx;
      const qy = py + t * dy;
      const h = pz + t * dz;
      const rho = Math.sqrt(qx * qx + qy * qy);
      const out = rho - R;
      const square = out * out + h * h;
      const at = square - radius * radius;
      if (at <= near) {
        // A line that sets out inside the bend has met another part of the host before.
        if (step === 0 && at < -near) return NaN;
        return at < -near ? rootBetween(beyond(px, py, pz), last, t) : t;
      }
      const slope = 2 * ((out * (qx * dx + qy * dy)) / (rho || 1) + h * dz);
      if (falling && slope >= 0) {
        // The step went over a dip: the line may have touched the bend in it.
        const value = beyond(px, py, pz);
        const dip = leastBetween(value, last, t, 1e-7);
        const atDip = value(dip);
        if (atDip <= near) return atDip < -near ? rootBetween(value, last, dip) : dip;
        if (atDip <= flush && dip < lines.flush[line]!) lines.flush[line] = dip;
      }
      falling = slope < 0;
      const away = Math.sqrt(square) - radius;
      last = t;
      // Walking by the distance passes nothing; Newton's step is longer, and is trusted near the bend only.
      const most = away < NEAR * radius ? Infinity : away * 3;
      t += slope < 0 ? Math.max(away, Math.min(-at / slope, most)) : away;
    }
    return NaN;
  };
  return (lines) => {
    for (let line = 0; line < lines.count; line += 1) {
      const at = castOne(lines, line);
      if (at < lines.real[line]!) lines.real[line] = at;
    }
  };
}
