import { cross, dot, subtract } from '../vector/vector.js';
import type { Cast, Wall } from './lines.js';
import { march } from './march.js';
import type { Bend } from './surfaces.js';

/** Beside a bend's own sector a line counts as in it by so much, mm. */
const TOUCH = 1e-9;

/**
 * Casts wall lines at a bend of a host that is not evenly round: square, rectangular, oval or tapering. In the plane
 * through the bend's axis and a point, the host is its own section, at the bend's radius; the distance to that is the
 * distance to the bend.
 */
export function castAtBend(host: Bend, wall: Wall): Cast {
  const { arc, top } = host;
  const R = arc.radius;
  const radial = subtract(arc.from, arc.centre);
  const x = [radial[0] / R, radial[1] / R, radial[2] / R] as const;
  const y = arc.direction;
  const [topOut, topUp] = [dot(top, x), dot(top, arc.axis)];
  const side = cross(arc.direction, top);
  const [sideOut, sideUp] = [dot(side, x), dot(side, arc.axis)];
  const away = subtract(wall.centre, arc.centre);
  const turn = (arc.angle * Math.PI) / 180;
  const reach = Math.hypot(host.reach, 1);
  const { start, end, even, corner } = host;
  const slope =
    Math.max(Math.abs(end.halfHeight - start.halfHeight), Math.abs(end.halfWidth - start.halfWidth)) /
    (arc.length * (1 - even));
  const ease = 1 / (1 + 2 * slope);
  return (lines) => {
    for (let line = 0; line < lines.count; line += 1) {
      const u = lines.u[line]!;
      const v = lines.v[line]!;
      const at = (axis: readonly [number, number, number]) =>
        dot(away, axis) + u * dot(wall.side, axis) + v * dot(wall.across, axis);
      const [px, py, pz] = [at(x), at(y), at(arc.axis)];
      const [dx, dy, dz] = [dot(wall.outward, x), dot(wall.outward, y), dot(wall.outward, arc.axis)];
      const part = sectorPart(px, py, dx, dy, turn);
      // Nothing of the bend is farther from its centre than this.
      const squared = dx * dx + dy * dy + dz * dz;
      const middle = -(px * dx + py * dy + pz * dz) / squared;
      const from = Math.max(lines.behind, part.from, middle - 2 * (R + reach));
      const to = Math.min(lines.real[line]!, part.to, middle + 2 * (R + reach));
      if (!(to >= from)) continue;
      const outside = (t: number): number => {
        const qx = px + t * dx;
        const qy = py + t * dy;
        const h = pz + t * dz;
        const out = Math.sqrt(qx * qx + qy * qy) - R;
        const angle = Math.atan2(qy, qx);
        // Past the middle of what is not bent, the angle counts backwards from the bend's start.
        const on = (angle < turn / 2 - Math.PI ? angle + 2 * Math.PI : angle) / turn;
        const share = Math.min(1, Math.max(0, (on - even) / (1 - even)));
        const a = start.halfHeight + (end.halfHeight - start.halfHeight) * share;
        const b = start.halfWidth + (end.halfWidth - start.halfWidth) * share;
        const height = out * topOut + h * topUp;
        const width = out * sideOut + h * sideUp;
        return ease * outOfSection(height, width, a, b, corner);
      };
      const found = march(outside, from, to);
      if (Number.isNaN(found.at)) continue;
      const kept = found.passed ? lines.flush : lines.real;
      if (found.at < kept[line]!) kept[line] = found.at;
    }
  };
}

/** The part of a line within a bend's sector, which is less than half a turn. */
function sectorPart(px: number, py: number, dx: number, dy: number, turn: number) {
  let [from, to] = [-Infinity, Infinity];
  const clip = (at: number, rate: number): void => {
    if (rate > 1e-12) from = Math.max(from, -at / rate);
    else if (rate < -1e-12) to = Math.min(to, -at / rate);
    else if (at < 0) to = -Infinity;
  };
  const [sine, cosine] = [Math.sin(turn), Math.cos(turn)];
  clip(py + TOUCH, dy);
  clip(px * sine - py * cosine + TOUCH, dx * sine - dy * cosine);
  return { from, to };
}

/** How far a point is out of a section, by its coordinates from the centre line; never more than its distance. */
function outOfSection(
  height: number,
  width: number,
  halfHeight: number,
  halfWidth: number,
  corner: number | undefined,
): number {
  if (corner === undefined)
    return (Math.hypot(height / halfHeight, width / halfWidth) - 1) * Math.min(halfHeight, halfWidth);
  const r = Math.min(corner, halfHeight, halfWidth);
  const over = Math.abs(height) - (halfHeight - r);
  const beside = Math.abs(width) - (halfWidth - r);
  return Math.hypot(Math.max(0, over), Math.max(0, beside)) + Math.min(0, Math.max(over, beside)) - r;
}
