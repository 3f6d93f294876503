import { add, along, dot, length, scale, subtract, type Vector } from '../vector/vector.js';
import { UPRIGHT_AXES, type Box, type Rod, type Shape } from './shapes.js';

/**
 * Distance from a point to a shape's surface, mm; negative within.
 * Written out: a sweep asks it tens of thousands of times.
 */
export function distanceTo(shape: Shape, p: Vector): number {
  switch (shape.as) {
    case 'rod': {
      const { from, to, radius } = shape;
      const [wx, wy, wz] = [to[0] - from[0], to[1] - from[1], to[2] - from[2]];
      const [ox, oy, oz] = [p[0] - from[0], p[1] - from[1], p[2] - from[2]];
      const size = wx * wx + wy * wy + wz * wz;
      const share = size > 0 ? Math.min(1, Math.max(0, (ox * wx + oy * wy + oz * wz) / size)) : 0;
      const [x, y, z] = [ox - share * wx, oy - share * wy, oz - share * wz];
      return Math.sqrt(x * x + y * y + z * z) - radius;
    }
    case 'disc': {
      const { centre, spindle, radius, half, round } = shape;
      const dx = p[0] - centre[0];
      const dy = p[1] - centre[1];
      const dz = p[2] - centre[2];
      const across = dx * spindle[0] + dy * spindle[1] + dz * spindle[2];
      const out = Math.sqrt(Math.max(0, dx * dx + dy * dy + dz * dz - across * across));
      const x = Math.abs(across) - half;
      const y = out - radius;
      if (x > 0 && y > 0) return Math.sqrt(x * x + y * y) - round;
      return Math.max(x, y) - round;
    }
    case 'box': {
      const off = subtract(p, shape.centre);
      let [outside, inside] = [0, -Infinity];
      for (const axis of AXES) {
        const beyond = Math.abs(dot(off, shape.axes[axis])) - shape.half[axis];
        if (beyond > 0) outside += beyond * beyond;
        inside = Math.max(inside, beyond);
      }
      return outside > 0 ? Math.sqrt(outside) : inside;
    }
    case 'ground': {
      const { rear, front } = shape;
      const slope = (front[2] - rear[2]) / (front[0] - rear[0]);
      return (p[2] - rear[2] - slope * (p[0] - rear[0])) / Math.sqrt(1 + slope * slope);
    }
  }
}
const AXES = [0, 1, 2] as const;

/** The point of a box, or of a rod's axis, that is nearest to a point; from inside a box, on its nearest face. */
export function nearestOf(shape: Rod | Box, point: Vector): Vector {
  if (shape.as === 'rod') {
    const way = subtract(shape.to, shape.from);
    const size = dot(way, way);
    const share = size > 0 ? Math.min(1, Math.max(0, dot(subtract(point, shape.from), way) / size)) : 0;
    return along(shape.from, way, share);
  }
  const { axes, centre, half } = shape;
  const off = subtract(point, centre);
  const ways = axes.map((axis) => dot(off, axis)) as [number, number, number];
  if (ways.every((way, index) => Math.abs(way) <= half[index]!)) {
    const room = ways.map((way, index) => half[index]! - Math.abs(way));
    const face = room.indexOf(Math.min(...room)) as 0 | 1 | 2;
    ways[face] = (ways[face] < 0 ? -1 : 1) * half[face];
  }
  return axes.reduce(
    (sum, axis, index) => along(sum, axis, Math.min(half[index]!, Math.max(-half[index]!, ways[index]!))),
    centre,
  );
}

/** Unit vector from a point to the nearest of a shape; from inside a box, to its nearest face. */
export function towards(shape: Rod | Box, point: Vector): Vector {
  const way = subtract(nearestOf(shape, point), point);
  const size = length(way);
  return size > 1e-9 ? scale(way, 1 / size) : shape.as === 'box' ? shape.axes[0] : UPRIGHT_AXES[2];
}

/** How far from a point, in a direction (a unit vector), a shape begins; mm. */
export function leastAlong(shape: Rod | Box, point: Vector, way: Vector): number {
  if (shape.as === 'rod')
    return (
      Math.min(dot(subtract(shape.from, point), way), dot(subtract(shape.to, point), way)) - shape.radius
    );
  const reach = shape.axes.reduce(
    (sum, axis, index) => sum + Math.abs(dot(axis, way)) * shape.half[index]!,
    0,
  );
  return dot(subtract(shape.centre, point), way) - reach;
}

/** The eight corners of a box, or the two ends of a rod's axis. */
export function cornersOf(shape: Rod | Box): Vector[] {
  if (shape.as === 'rod') return [shape.from, shape.to];
  const { centre, axes, half } = shape;
  const ways = [-1, 1] as const;
  return ways.flatMap((a) =>
    ways.flatMap((b) =>
      ways.map((c) =>
        add(
          centre,
          add(scale(axes[0], a * half[0]), add(scale(axes[1], b * half[1]), scale(axes[2], c * half[2]))),
        ),
      ),
    ),
  );
}
