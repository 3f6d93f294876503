import type { Piece } from '../frame/frame.js';
import { carried, type Arc, type Leg } from '../frame/path.js';
import { sizeAt } from '../frame/sections.js';
import { toDegrees } from '../units/angle.js';
import { along, cross, distance, dot, scale, subtract, type Vector } from '../vector/vector.js';

/**
 * The outside of a host, as surfaces that a wall line can be cast at. Straight ones run along `axis` from `point` for
 * `length`; where a tube's straight goes on into a bend, the surface is closed at that end and the bend takes over.
 */
export interface Straight {
  readonly point: Vector;
  readonly axis: Vector;
  readonly length: number;
  /** Whether a wall line that meets it before its start, or past its end, counts as interference the host carried on. */
  readonly openStart: boolean;
  readonly openEnd: boolean;
}
export interface Cylinder extends Straight {
  readonly shape: 'cylinder';
  readonly radius: number;
}
export interface Cone extends Straight {
  readonly shape: 'cone';
  /** At the start of its length. */
  readonly radius: number;
  /** Change of radius with length. */
  readonly slope: number;
}
/** A square or rectangular host: half sizes along `top` and square to it, and the radius of its corners. */
export interface Prism extends Straight {
  readonly shape: 'prism';
  readonly top: Vector;
  readonly halfHeight: number;
  readonly halfWidth: number;
  readonly corner: number;
}
export interface OvalCylinder extends Straight {
  readonly shape: 'oval';
  readonly top: Vector;
  readonly halfHeight: number;
  readonly halfWidth: number;
}
/** Half sizes of a section along its top and square to it. */
export interface HalfSize {
  readonly halfHeight: number;
  readonly halfWidth: number;
}
/** The end of a round host that is pressed oval: its half sizes change evenly from one end of it to the other. */
export interface Loft extends Straight {
  readonly shape: 'loft';
  readonly top: Vector;
  readonly start: HalfSize;
  readonly end: HalfSize;
}
/** A bend of a host that is not evenly round. */
export interface Bend {
  readonly shape: 'bend';
  readonly arc: Arc;
  /** Unit vector to the top of the section where the bend begins. */
  readonly top: Vector;
  readonly start: HalfSize;
  readonly end: HalfSize;
  /** Part of the bend over which it keeps its first size; from there it changes evenly. */
  readonly even: number;
  /** Radius of its corners; none of an ellipse. */
  readonly corner: number | undefined;
  /** Farthest of its outside from the centre line. */
  readonly reach: number;
}
export interface Torus {
  readonly shape: 'torus';
  readonly arc: Arc;
  readonly radius: number;
}
export type Surface = Cylinder | Cone | Prism | OvalCylinder | Loft | Torus | Bend;

/** Every surface of a piece, straight by straight and bend by bend. */
export function surfacesOf(piece: Piece): readonly Surface[] {
  const { legs } = piece.path;
  const straight = legs.flatMap((leg, index) => {
    const openStart = index === 0;
    const openEnd = index === legs.length - 1;
    return leg.length > 1e-6 || (openStart && openEnd) ? legSurfaces(piece, leg, openStart, openEnd) : [];
  });
  return [...straight, ...piece.path.arcs.map((arc) => bendSurface(piece, arc))];
}

function bendSurface(piece: Piece, arc: Arc): Torus | Bend {
  const { section, length } = piece;
  const half = (station: number): HalfSize => {
    const { width, height } = sizeAt(section, length, station);
    return { halfHeight: height / 2, halfWidth: width / 2 };
  };
  const [start, end] = [half(arc.station), half(arc.station + arc.length)];
  const alike = [start.halfWidth, end.halfHeight, end.halfWidth].every((each) => each === start.halfHeight);
  const changing = section.shape === 'round' ? (section.taper ?? section.ovalEnd) : undefined;
  const begins = changing ? (length - changing.length - arc.station) / arc.length : 0;
  if (section.shape === 'round' && alike) return { shape: 'torus', arc, radius: start.halfHeight };
  return {
    shape: 'bend',
    arc,
    top: carried(piece.path, piece.top, arc.station),
    start,
    end,
    even: Math.min(0.999, Math.max(0, begins)),
    corner: section.shape === 'rectangular' ? section.corner : undefined,
    reach: Math.max(...[start, end].map(({ halfHeight, halfWidth }) => Math.hypot(halfHeight, halfWidth))),
  };
}

function legSurfaces(piece: Piece, leg: Leg, openStart: boolean, openEnd: boolean): Surface[] {
  const { section } = piece;
  const base = { point: leg.from, axis: leg.direction, length: leg.length, openStart, openEnd };
  if (section.shape !== 'round') {
    const top = carried(piece.path, piece.top, leg.station + leg.length / 2);
    const half = { top, halfHeight: section.height / 2, halfWidth: section.width / 2 };
    return section.shape === 'oval'
      ? [{ ...base, ...half, shape: 'oval' }]
      : [{ ...base, ...half, shape: 'prism', corner: section.corner }];
  }
  const radius = section.diameter / 2;
  const { taper, ovalEnd } = section;
  if (ovalEnd) return pressedSurfaces(piece, base, leg, section.diameter / 2, ovalEnd);
  if (!taper) return [{ ...base, shape: 'cylinder', radius }];
  // The taper lies at the end of the member; a straight may lie before it, in it, or across its beginning.
  const begins = Math.max(0, piece.length - taper.length);
  const slope = (taper.diameter / 2 - radius) / Math.min(taper.length, piece.length);
  const split = Math.min(leg.length, Math.max(0, begins - leg.station));
  const surfaces: Surface[] = [];
  if (split > 1e-6)
    surfaces.push({
      ...base,
      shape: 'cylinder',
      radius,
      length: split,
      openEnd: openEnd && split === leg.length,
    });
  if (split < leg.length - 1e-6) {
    const at = leg.station + split;
    surfaces.push({
      ...base,
      shape: 'cone',
      point: along(leg.from, leg.direction, split),
      length: leg.length - split,
      radius: radius + slope * (at - begins),
      slope,
      openStart: openStart && split <= 1e-6,
    });
  }
  return surfaces;
}

/** A straight of a tube whose end is pressed oval: round as far as that begins, then ellipse after ellipse. */
function pressedSurfaces(
  piece: Piece,
  base: Straight,
  leg: Leg,
  radius: number,
  ovalEnd: { readonly width: number; readonly height: number; readonly length: number },
): Surface[] {
  const begins = Math.max(0, piece.length - ovalEnd.length);
  const split = Math.min(leg.length, Math.max(0, begins - leg.station));
  const surfaces: Surface[] = [];
  if (split > 1e-6)
    surfaces.push({
      ...base,
      shape: 'cylinder',
      radius,
      length: split,
      openEnd: base.openEnd && split === leg.length,
    });
  if (split < leg.length - 1e-6) {
    const half = (way: number): HalfSize => {
      const { width, height } = sizeAt(piece.section, piece.length, leg.station + way);
      return { halfHeight: height / 2, halfWidth: width / 2 };
    };
    surfaces.push({
      ...base,
      shape: 'loft',
      point: along(leg.from, leg.direction, split),
      length: leg.length - split,
      top: carried(piece.path, piece.top, leg.station + leg.length / 2),
      start: half(split),
      end: half(leg.length),
      openStart: base.openStart && split <= 1e-6,
    });
  }
  return surfaces;
}

/** The surfaces of a host that an end at `node` can meet: those within reach, and at least the nearest. */
export function surfacesNear(surfaces: readonly Surface[], node: Vector, reach: number): readonly Surface[] {
  if (surfaces.length === 1) return surfaces;
  const away = surfaces.map((surface) => awayFrom(surface, node));
  const nearest = Math.min(...away);
  return surfaces.filter((_, index) => away[index]! <= Math.max(nearest + 1e-6, reach));
}

/** Way along a straight surface to the place nearest to a point, within its ends; mm. */
const alongOf = ({ point, axis, length }: Straight, node: Vector): number =>
  Math.min(length, Math.max(0, dot(subtract(node, point), axis)));

export const isBent = (surface: Surface): surface is Torus | Bend =>
  surface.shape === 'torus' || surface.shape === 'bend';

/** How far a point is from a surface's own axis; mm. */
export function awayFrom(surface: Surface, node: Vector): number {
  if (!isBent(surface)) {
    return distance(along(surface.point, surface.axis, alongOf(surface, node)), node);
  }
  const { arc } = surface;
  const on = axisNear(surface, node).point;
  const away = subtract(on, arc.centre);
  const radial = scale(subtract(arc.from, arc.centre), 1 / arc.radius);
  const angle = toDegrees(Math.atan2(dot(away, arc.direction), dot(away, radial)));
  if (angle >= 0 && angle <= arc.angle) return distance(on, node);
  return Math.min(distance(arc.from, node), distance(arc.to, node));
}

/** A line that stands for a surface near a node: its straight, or the tangent of its bend there. */
export function axisNear(surface: Surface, node: Vector): { readonly point: Vector; readonly axis: Vector } {
  if (!isBent(surface)) return surface;
  const { arc } = surface;
  const away = subtract(node, arc.centre);
  const flat = subtract(away, scale(arc.axis, dot(away, arc.axis)));
  const size = Math.hypot(...flat);
  const radial = size < 1e-9 ? scale(subtract(arc.from, arc.centre), 1 / arc.radius) : scale(flat, 1 / size);
  return { point: along(arc.centre, radial, arc.radius), axis: cross(arc.axis, radial) };
}

/** Round diameter that a cutter needs to follow the surface at a node; zero of one that is not round there. */
export function cutterFor(surface: Surface, node: Vector): number {
  switch (surface.shape) {
    case 'cylinder':
    case 'torus':
      return 2 * surface.radius;
    case 'cone':
      return 2 * (surface.radius + surface.slope * alongOf(surface, node));
    default:
      return 0;
  }
}
