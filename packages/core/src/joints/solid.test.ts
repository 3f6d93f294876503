import fc from 'fast-check';
import Module, { type Manifold, type Mat4 } from 'manifold-3d';
import { beforeAll, describe, expect, it } from 'vitest';
import { cross, dot, squareTo, subtract, unit, type Vector } from '../vector/vector.js';
import type { HostCylinder } from './cast.js';
import { crossing } from './cast.js';
import { castEdge } from './edge.js';

/**
 * Copes against a general-purpose mesh library: the same joint cut by a boolean of solids, its vertices compared with the
 * cast edge. The tube has one facet line a degree, so that its lines are the cast's; hosts have 512 facets.
 */
let solids: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
  solids = await Module();
  solids.setup();
});

/** A solid cylinder from a point along a unit axis; its first facet line lies on `side`. */
function cylinder(
  from: Vector,
  axis: Vector,
  side: Vector,
  radius: number,
  length: number,
  facets: number,
): Manifold {
  const across = cross(axis, side);
  const matrix: Mat4 = [
    side[0],
    side[1],
    side[2],
    0,
    across[0],
    across[1],
    across[2],
    0,
    axis[0],
    axis[1],
    axis[2],
    0,
    from[0],
    from[1],
    from[2],
    1,
  ];
  return solids.Manifold.cylinder(length, radius, radius, facets).transform(matrix);
}
const anySide = (axis: Vector): Vector =>
  unit(squareTo(Math.abs(axis[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0], axis));

interface Made {
  readonly radius: number;
  readonly wall: number;
  readonly hosts: readonly HostCylinder[];
  readonly outward: Vector;
}
const BODY = 200;

function compare({ radius, wall, hosts, outward }: Made) {
  const meets = crossing([0, 0, 0], outward, hosts[0]!)!;
  const centre: Vector = [outward[0] * meets.at, outward[1] * meets.at, outward[2] * meets.at];
  const start = subtract(centre, [outward[0] * BODY, outward[1] * BODY, outward[2] * BODY]);
  const edge = castEdge({
    centre,
    outward,
    matchSide: meets.acuteSide,
    outerRadius: radius,
    innerRadius: radius - wall,
    hosts,
    body: BODY,
  });
  const hostSolids = hosts.map((host) =>
    cylinder(host.point, host.axis, anySide(host.axis), host.radius, host.length, 512),
  );
  const tube = cylinder(start, outward, meets.acuteSide, radius, BODY + 150, 360);
  const bore = cylinder(start, outward, meets.acuteSide, radius - wall, BODY + 150, 360);
  const body = (solid: Manifold) =>
    hostSolids
      .reduce((left, host) => left.subtract(host), solid)
      .decompose()
      .sort((a, b) => nearest(a, start) - nearest(b, start))[0]!;
  const cut = body(tube);
  const across = cross(outward, meets.acuteSide);
  const { vertProperties, numProp } = cut.getMesh();
  let checked = 0;
  let worst = 0;
  for (let index = 0; index < vertProperties.length; index += numProp) {
    const v = subtract(
      [vertProperties[index]!, vertProperties[index + 1]!, vertProperties[index + 2]!],
      centre,
    );
    const at = dot(v, outward);
    const degrees = ((Math.atan2(dot(v, across), dot(v, meets.acuteSide)) * 180) / Math.PI + 360) % 360;
    const whole = Math.round(degrees) % 360;
    const onLine =
      Math.abs(degrees - Math.round(degrees)) < 1e-4 &&
      Math.abs(Math.hypot(dot(v, across), dot(v, meets.acuteSide)) - radius) < 1e-3;
    if (!onLine || at < 1 - BODY || edge.outer[whole] == null) continue;
    checked += 1;
    worst = Math.max(worst, Math.abs(at - edge.outer[whole]!));
  }
  // Wall between the two cut lines, as a solid and as the sum over wall lines (trapezium rule over the wall).
  const wallVolume = body(tube.subtract(bore)).volume();
  const sector = Math.PI / 180;
  let summed = 0;
  edge.outer.forEach((value, degrees) => {
    const mean = (radius * (BODY + value!) + (radius - wall) * (BODY + edge.inner[degrees]!)) / 2;
    summed += mean * wall * sector;
  });
  return { checked, worst, volumeError: Math.abs(summed / wallVolume - 1) };
}

function nearest(solid: Manifold, point: Vector): number {
  const { min, max } = solid.boundingBox();
  return Math.hypot(
    ...[0, 1, 2].map((axis) =>
      Math.max(min[axis as 0]! - point[axis as 0], 0, point[axis as 0] - max[axis as 0]!),
    ),
  );
}

const direction = (azimuth: number, height: number): Vector => [
  Math.cos(azimuth) * Math.cos(height),
  Math.sin(azimuth) * Math.cos(height),
  Math.sin(height),
];
function hostAt(axis: Vector, radius: number, off: Vector = [0, 0, 0]): HostCylinder {
  return { point: subtract(off, [axis[0] * 300, axis[1] * 300, axis[2] * 300]), axis, radius, length: 600 };
}

describe('copes against a mesh library', () => {
  it('random joints, skewed and offset, agree within 0.01 mm on the edge and 0.1 % on volume', () => {
    const shape = fc.record({
      azimuth: fc.double({ min: 0, max: 6.28, noNaN: true }),
      height: fc.double({ min: -1.2, max: 1.2, noNaN: true }),
      included: fc.double({ min: 0.6, max: 1.57, noNaN: true }),
      radius: fc.double({ min: 6, max: 20, noNaN: true }),
      over: fc.double({ min: 1.1, max: 2, noNaN: true }),
      shift: fc.double({ min: -0.8, max: 0.8, noNaN: true }),
    });
    fc.assert(
      fc.property(shape, ({ azimuth, height, included, radius, over, shift }) => {
        const outward = direction(azimuth, height);
        const side = anySide(outward);
        const square = cross(outward, side);
        const axis = unit(
          [0, 1, 2].map(
            (i) => -outward[i as 0] * Math.cos(included) + side[i as 0] * Math.sin(included),
          ) as unknown as Vector,
        );
        const hostRadius = radius * over;
        const e = shift * (hostRadius - radius);
        const host = hostAt(axis, hostRadius, [square[0] * e, square[1] * e, square[2] * e]);
        const result = compare({ radius, wall: 1, hosts: [host], outward });
        expect(result.checked).toBeGreaterThan(300);
        expect(result.worst).toBeLessThan(0.01);
        expect(result.volumeError).toBeLessThan(0.001);
      }),
      { numRuns: 10, seed: 20 },
    );
  });
  it('a tube that meets two hosts at once, as a down tube meets shell and seat tube', () => {
    const outward = direction(Math.PI, -0.76);
    const result = compare({
      radius: 15.9,
      wall: 0.8,
      outward,
      hosts: [hostAt([0, 1, 0], 20), hostAt(unit([-0.29, 0, 0.957]), 14.3)],
    });
    expect(result.checked).toBeGreaterThan(300);
    expect(result.worst).toBeLessThan(0.01);
    expect(result.volumeError).toBeLessThan(0.001);
  });
});
