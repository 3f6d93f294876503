import { add, along, cross, scale, type Vector } from '../vector/vector.js';
import type { Sized } from './across.js';
import { carried, pointOn, type Arc } from './path.js';
import { sizeAt } from './sections.js';

/** A straight part of a tube, as a rod with round ends that lies within its outside; mm. */
export interface TubeRod {
  readonly from: Vector;
  readonly to: Vector;
  readonly radius: number;
}

/** A bend is taken as so many straights. */
const BEND_PARTS = 4;
/** A tapering part is taken in steps over which its radius changes by no more than this, mm. */
const TAPER_STEP = 0.5;
/** Rods along the faces of a section that is not round stand no further apart than this, mm. */
const SPACING = 12;

/**
 * A tube as rods, from node to node: what is near to it, is near to one of them. A round tube is one rod a straight, more
 * where it tapers; a square, rectangular or oval one is a bundle of them, along its corners and faces. Against a ball of
 * 50 mm radius a face of such a bundle is 0.4 mm short at most.
 */
export function rodsAlong(piece: Sized): TubeRod[] {
  const stations = stationsOf(piece);
  return stations.slice(1).flatMap((to, index) => {
    const from = stations[index]!;
    const [a, b] = [pointOn(piece.path, from).at, pointOn(piece.path, to).at];
    return bundleAt(piece, from, to).map(({ radius, off }) => ({
      from: add(a, off(from)),
      to: add(b, off(to)),
      radius,
    }));
  });
}

/** Where the straights that stand for a bend begin and end, along the centre line. */
export const bendStations = ({ station, length }: Arc): number[] =>
  Array.from({ length: BEND_PARTS + 1 }, (_, part) => station + (length * part) / BEND_PARTS);

/** Where a tube's straights, bends and tapers begin and end, and places between. */
function stationsOf({ section, path, length }: Sized): number[] {
  const stations = new Set([0, length]);
  for (const leg of path.legs) stations.add(leg.station).add(leg.station + leg.length);
  for (const arc of path.arcs) for (const station of bendStations(arc)) stations.add(station);
  const end = section.shape === 'round' ? (section.taper ?? section.ovalEnd) : undefined;
  if (end && section.shape === 'round') {
    const sizes = 'diameter' in end ? [end.diameter] : [end.width, end.height];
    const change = Math.max(...sizes.map((size) => Math.abs(section.diameter - size))) / 2;
    const steps = Math.max(1, Math.ceil(change / TAPER_STEP));
    for (let step = 0; step <= steps; step += 1) stations.add(length - (end.length * step) / steps);
  }
  return [...stations]
    .filter((station) => station >= 0 && station <= length)
    .sort((a, b) => a - b)
    .filter((station, index, all) => index === 0 || station - all[index - 1]! > 1e-6);
}

interface Strand {
  readonly radius: number;
  /** From the centre line at a station. */
  readonly off: (station: number) => Vector;
}

/** Rods that make up a section between two stations. */
function bundleAt(piece: Sized, from: number, to: number): Strand[] {
  const [a, b] = [sizeAt(piece.section, piece.length, from), sizeAt(piece.section, piece.length, to)];
  const halfHeight = Math.max(a.height, b.height) / 2;
  const halfWidth = Math.max(a.width, b.width) / 2;
  if (piece.section.shape === 'round' && halfHeight === halfWidth)
    return [{ radius: halfHeight, off: () => [0, 0, 0] }];
  const place =
    (up: number, over: number) =>
    (station: number): Vector => {
      const top = carried(piece.path, piece.top, station);
      const side = cross(pointOn(piece.path, station).direction, top);
      return along(scale(top, up), side, over);
    };
  const least = Math.min(halfHeight, halfWidth);
  const points =
    piece.section.shape === 'rectangular'
      ? boxPoints(halfHeight, halfWidth, Math.min(least, Math.max(1, piece.section.corner)))
      : ovalPoints(halfHeight, halfWidth);
  return [
    // What stands wholly inside is met as well.
    { radius: least, off: place(0, 0) },
    ...points.map(({ up, over, radius }) => ({ radius, off: place(up, over) })),
  ];
}

interface SectionPoint {
  readonly up: number;
  readonly over: number;
  readonly radius: number;
}

/** Round the core of a rectangle: its corners, and places along its faces. */
function boxPoints(halfHeight: number, halfWidth: number, radius: number): SectionPoint[] {
  const [a, b] = [halfHeight - radius, halfWidth - radius];
  const face = (half: number) => Math.max(1, Math.ceil((2 * half) / SPACING));
  const corners: readonly (readonly [number, number])[] = [
    [a, b],
    [-a, b],
    [-a, -b],
    [a, -b],
  ];
  return corners.flatMap(([up, over], index) => {
    const [nextUp, nextOver] = corners[(index + 1) % 4]!;
    const count = face(Math.hypot(nextUp - up, nextOver - over) / 2);
    return Array.from({ length: count }, (_, step) => ({
      up: up + ((nextUp - up) * step) / count,
      over: over + ((nextOver - over) * step) / count,
      radius,
    }));
  });
}

const OVAL_POINTS = 20;

/** Circles that touch an ellipse from inside, as small as its sharpest bend. */
function ovalPoints(halfHeight: number, halfWidth: number): SectionPoint[] {
  const radius = Math.min(halfHeight, halfWidth) ** 2 / Math.max(halfHeight, halfWidth);
  return Array.from({ length: OVAL_POINTS }, (_, index) => {
    const angle = (2 * Math.PI * index) / OVAL_POINTS;
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    const size = Math.hypot(c / halfHeight, s / halfWidth);
    return {
      up: halfHeight * c - (radius * c) / halfHeight / size,
      over: halfWidth * s - (radius * s) / halfWidth / size,
      radius,
    };
  });
}
