import { cross, dot, subtract, type Vector } from '../vector/vector.js';
import type { Wall } from './lines.js';
import type { Loft, OvalCylinder, Prism } from './surfaces.js';

/** A host's own flat frame: where the wall's centre, its two sides and its outward axis lie along the host's directions. */
export function inHost(host: Prism | OvalCylinder | Loft, wall: Wall) {
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
