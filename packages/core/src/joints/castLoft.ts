import { inHost } from './hostFrame.js';
import { keep, met, passed, station } from './kept.js';
import type { Cast, Wall } from './lines.js';
import { march } from './march.js';
import type { Loft } from './surfaces.js';

/**
 * Casts wall lines at the end of a host that is pressed oval: ellipses whose half sizes change evenly along it. How far a
 * point is out of its ellipse, times the least half size, is never more than its distance, but for the slope of the wall.
 */
export function castAtLoft(host: Loft, wall: Wall): Cast {
  const { x, y, z } = inHost(host, wall);
  const { length, start, end } = host;
  const least = Math.min(start.halfHeight, start.halfWidth, end.halfHeight, end.halfWidth);
  const slope =
    Math.max(Math.abs(end.halfHeight - start.halfHeight), Math.abs(end.halfWidth - start.halfWidth)) / length;
  return (lines) => {
    for (let line = 0; line < lines.count; line += 1) {
      const [u, v] = [lines.u[line]!, lines.v[line]!];
      const px = x.centre + u * x.u + v * x.v;
      const py = y.centre + u * y.u + v * y.v;
      const pz = z.centre + u * z.u + v * z.v;
      const away = (t: number): number => {
        const share = Math.min(1, Math.max(0, (pz + t * z.out) / length));
        const a = start.halfHeight + (end.halfHeight - start.halfHeight) * share;
        const b = start.halfWidth + (end.halfWidth - start.halfWidth) * share;
        const out = Math.hypot((px + t * x.out) / a, (py + t * y.out) / b);
        return (least * (out - 1)) / (1 + out * slope);
      };
      const [from, to] = within(px, py, x.out, y.out, host);
      const found = march(away, Math.max(lines.behind, from), to);
      met[line] = found.at;
      passed[line] = found.passed ? 1 : 0;
      station[line] = pz + found.at * z.out;
    }
    keep(lines, host);
  };
}

/** Between which places of a line there is anything of the host's outside to meet. */
function within(px: number, py: number, dx: number, dy: number, { start, end }: Loft): [number, number] {
  const radius = Math.max(start.halfHeight, start.halfWidth, end.halfHeight, end.halfWidth);
  const squared = dx * dx + dy * dy;
  if (squared < 1e-12) return [Infinity, -Infinity];
  const middle = -(px * dx + py * dy) / squared;
  const half = (radius + 1) / Math.sqrt(squared);
  return [middle - half, middle + half];
}
