import Module, { type Manifold, type Mat4 } from 'manifold-3d';
import {
  cross,
  dot,
  squareTo,
  subtract,
  unit,
  type Outline,
  type Surface,
  type Vector,
} from '@larchwood/core';

/** A general-purpose mesh library as the other opinion: solids of tubes and hosts, cut by booleans. */
export type Solids = Awaited<ReturnType<typeof Module>>;

export async function loadSolids(): Promise<Solids> {
  const solids = await Module();
  solids.setup();
  return solids;
}

const matrix = (x: Vector, y: Vector, z: Vector, at: Vector): Mat4 => [...x, 0, ...y, 0, ...z, 0, ...at, 1];

export const anySide = (axis: Vector): Vector =>
  unit(squareTo(Math.abs(axis[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0], axis));

const FACETS = 512;

/** A solid of one host surface, with facets so fine that they err by less than 0.005 mm. */
export function hostSolid(solids: Solids, surface: Surface): Manifold {
  if (surface.shape === 'torus' || surface.shape === 'bend' || surface.shape === 'loft')
    throw new Error('A bend as a solid has so many facets that cutting it takes minutes.');
  const { axis, point, length } = surface;
  if (surface.shape === 'cylinder' || surface.shape === 'cone') {
    const side = anySide(axis);
    const far = surface.shape === 'cone' ? surface.radius + surface.slope * length : surface.radius;
    return solids.Manifold.cylinder(length, surface.radius, far, FACETS).transform(
      matrix(side, cross(axis, side), axis, point),
    );
  }
  const { halfHeight: a, halfWidth: b, top } = surface;
  const ring = Array.from({ length: FACETS }, (_, index): [number, number] => {
    const angle = (index / FACETS) * 2 * Math.PI;
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    if (surface.shape === 'oval') return [a * c, b * s];
    const r = surface.corner;
    return [Math.sign(c) * (a - r) + r * c, Math.sign(s) * (b - r) + r * s];
  });
  return solids.Manifold.extrude([ring], length).transform(matrix(top, cross(axis, top), axis, point));
}

/** A tube of an outline along a direction, its match line on a side; its outside, or its bore. */
export function tubeSolid(
  solids: Solids,
  outline: Outline,
  of: 'outside' | 'bore',
  start: Vector,
  outward: Vector,
  side: Vector,
  length: number,
): Manifold {
  const [us, vs] = of === 'outside' ? [outline.u, outline.v] : [outline.innerU, outline.innerV];
  const ring = Array.from(us, (u, line): [number, number] => [u, vs[line]!]);
  return solids.Manifold.extrude([ring], length).transform(
    matrix(side, cross(outward, side), outward, start),
  );
}

/** What is left of a solid on the side of a point, once the hosts are taken from it. */
export function bodyLeft(solid: Manifold, hosts: readonly Manifold[], from: Vector): Manifold {
  const away = (part: Manifold): number => {
    const { min, max } = part.boundingBox();
    return Math.hypot(
      ...([0, 1, 2] as const).map((axis) => Math.max(min[axis]! - from[axis], 0, from[axis] - max[axis]!)),
    );
  };
  return hosts
    .reduce((left, host) => left.subtract(host), solid)
    .decompose()
    .sort((a, b) => away(a) - away(b))[0]!;
}

/** Vertices of a cut tube that lie on a wall line, as [line, way along the outward axis from the centre]. */
export function edgeVertices(
  body: Manifold,
  outline: Outline,
  centre: Vector,
  outward: Vector,
  side: Vector,
): (readonly [line: number, at: number])[] {
  const across = cross(outward, side);
  const { vertProperties, numProp } = body.getMesh();
  const found: (readonly [number, number])[] = [];
  for (let index = 0; index < vertProperties.length; index += numProp) {
    const point: Vector = [vertProperties[index]!, vertProperties[index + 1]!, vertProperties[index + 2]!];
    const v = subtract(point, centre);
    const [x, y] = [dot(v, side), dot(v, across)];
    for (let line = 0; line < outline.u.length; line += 1)
      if (Math.abs(outline.u[line]! - x) < 1e-4 && Math.abs(outline.v[line]! - y) < 1e-4) {
        found.push([line, dot(v, outward)]);
        break;
      }
  }
  return found;
}
