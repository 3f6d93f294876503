import type { Shape3D } from 'replicad';
import {
  add,
  along,
  cross,
  dot,
  scale,
  subtract,
  surfacesCutting,
  toRadians,
  unit,
  wallPoint,
  type EndCut,
  type Piece,
  type Surface,
  type Surroundings,
  type Vector,
} from '@larchwood/core';
import { between, cylinder, lathe, straight, turned, type Across } from './shapes.js';

/** A piece that cannot be made of exact surfaces: it comes in flat facets. */
export class NotExact extends Error {}

/** Where an edge meets a host past its end, the host is carried on so far as its cope is, mm. */
const CARRIED_ON = 300;
/** An end that is pressed oval is carried on no farther: it would come to nothing, mm. */
const OVAL_ON = 60;
const LEAST_RADIUS = 0.5;

/**
 * What is taken off a tube to make one of its ends.
 * @param wider so much a round host is larger in radius, mm: one that is as wide as the tube only touches it
 * @throws NotExact
 */
export function toolsOf(piece: Piece, end: EndCut, around: Surroundings, wider: number): readonly Shape3D[] {
  const { cut, edge, outward, centre, matchSide, outline, slot, slotAngle, impossible } = end;
  if (impossible) throw new NotExact('its cut is impossible');
  if (cut === 'coped') {
    const carriedOn = edge.pastHostEnd > 0;
    return surfacesCutting(piece, end.end, around)
      .filter((surface) => isMet(surface, end))
      .map((surface) => solidOf(surface, carriedOn, wider));
  }
  // A cut in one plane: three points of its edge span it.
  const [a, b, c] = [0, 120, 240].map((line) => wallPoint(end, line, edge.outer[line]!)) as [
    Vector,
    Vector,
    Vector,
  ];
  const across = unit(cross(subtract(b, a), subtract(c, a)));
  const wide = 10 * outline.reach;
  const beyond = cylinder(a, dot(across, outward) > 0 ? across : scale(across, -1), wide, wide);
  if (!slot || slotAngle === undefined) return [beyond];
  const [turn, side] = [toRadians(slotAngle), cross(outward, matchSide)];
  const sawn: Across = {
    at: along(centre, outward, edge.longest.at - slot.depth),
    direction: outward,
    top: add(scale(matchSide, Math.cos(turn)), scale(side, Math.sin(turn))),
    height: 4 * outline.reach,
    width: slot.width,
    corner: 0,
  };
  return [beyond, straight(sawn, scale(outward, slot.depth + wide))];
}

/** How near an edge comes to a surface that cuts it, mm. */
const ON = 0.02;

/** Whether an edge lies on a surface anywhere: of a bent host's straights and bends most are passed by. */
function isMet(surface: Surface, end: EndCut): boolean {
  const { edge } = end;
  const meets = (off: (at: Vector) => number) =>
    [edge.outer, edge.inner].some((side, inside) =>
      side.some((at, line) => off(wallPoint(end, line, at, inside === 1)) < ON),
    );
  switch (surface.shape) {
    case 'cylinder':
      return meets((at) => {
        const away = subtract(at, surface.point);
        return Math.abs(Math.hypot(...cross(away, surface.axis)) - surface.radius);
      });
    case 'torus':
      return meets((at) => {
        const away = subtract(at, surface.arc.centre);
        const up = dot(away, surface.arc.axis);
        const out = Math.hypot(...cross(away, surface.arc.axis)) - surface.arc.radius;
        return Math.abs(Math.hypot(up, out) - surface.radius);
      });
    default:
      return true;
  }
}

/** A host as a full body. @throws NotExact of a bend that is not evenly round */
function solidOf(surface: Surface, carriedOn: boolean, wider: number): Shape3D {
  if (surface.shape === 'bend') throw new NotExact('its host bends and is not round');
  if (surface.shape === 'torus') {
    const { arc, radius } = surface;
    const size = 2 * (radius + wider);
    const section = { at: arc.from, direction: arc.direction, top: arc.axis, width: size, height: size };
    return turned(section, arc.centre, arc.axis, arc.angle);
  }
  const { point, axis, length, openStart, openEnd } = surface;
  const on = surface.shape === 'loft' ? OVAL_ON : CARRIED_ON;
  const [from, to] = [carriedOn && openStart ? -on : 0, length + (carriedOn && openEnd ? on : 0)];
  switch (surface.shape) {
    case 'cylinder':
      return cylinder(along(point, axis, from), axis, to - from, surface.radius + wider);
    case 'cone': {
      const radius = (way: number) => Math.max(LEAST_RADIUS, surface.radius + surface.slope * way);
      return lathe(point, axis, anySquareTo(axis), [
        [from, 0],
        [from, radius(from)],
        [to, radius(to)],
        [to, 0],
      ]);
    }
    case 'prism':
    case 'oval': {
      const section: Across = {
        at: along(point, axis, from),
        direction: axis,
        top: surface.top,
        height: 2 * surface.halfHeight,
        width: 2 * surface.halfWidth,
        ...(surface.shape === 'prism' ? { corner: surface.corner } : {}),
      };
      return straight(section, scale(axis, to - from));
    }
    case 'loft': {
      const size = (of: 'halfHeight' | 'halfWidth', way: number) =>
        2 *
        Math.max(LEAST_RADIUS, surface.start[of] + ((surface.end[of] - surface.start[of]) * way) / length);
      const section = (way: number): Across => ({
        at: along(point, axis, way),
        direction: axis,
        top: surface.top,
        height: size('halfHeight', way),
        width: size('halfWidth', way),
      });
      return between(section(from), section(to));
    }
  }
}

/** A unit vector square to another. */
function anySquareTo(axis: Vector): Vector {
  const least = axis.map(Math.abs).indexOf(Math.min(...axis.map(Math.abs)));
  const other: Vector = [least === 0 ? 1 : 0, least === 1 ? 1 : 0, least === 2 ? 1 : 0];
  return unit(cross(axis, other));
}
