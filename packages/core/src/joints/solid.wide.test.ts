import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { made, planMade } from '../../../../testing/made.js';
import { roundOutline } from '../../../../testing/outlines.js';
import {
  anySide,
  bodyLeft,
  edgeVertices,
  hostSolid,
  loadSolids,
  tubeSolid,
  type Solids,
} from '../../../../testing/solids.js';
import type { Section } from '@larchwood/format';
import { outlineOf, type Outline } from '../frame/outline.js';
import { nearestOn, pathOf } from '../frame/path.js';
import { add, cross, scale, subtract, turn, unit, type Vector } from '../vector/vector.js';
import { crossing } from './cast.js';
import { castEdge, wallPoint } from './edge.js';
import type { Cylinder, Surface } from './surfaces.js';
import { findMaterial } from '../frame/materials.js';
import { meshVolume, type Mesh } from '../solid/builder.js';
import { pieceMesh } from '../solid/pieceMesh.js';
import { plateMesh } from '../solid/plateMesh.js';

/**
 * Copes against a general-purpose mesh library: the same joint cut by a boolean of solids, its vertices compared with the
 * cast edge. The tube has its facet lines on the wall lines; hosts have 512 facets.
 */
let solids: Solids;
beforeAll(async () => {
  solids = await loadSolids();
});

const BODY = 200;

interface Made {
  readonly outline: Outline;
  readonly surfaces: readonly Surface[];
  /** The line that the tube is aimed at. */
  readonly aim: { readonly point: Vector; readonly axis: Vector };
  readonly outward: Vector;
  readonly side?: Vector;
}

function compare({ outline, surfaces, aim, outward, side }: Made) {
  const meets = crossing([0, 0, 0], outward, aim)!;
  const centre = scale(outward, meets.at);
  const matchSide = side ?? meets.acuteSide;
  const start = subtract(centre, scale(outward, BODY));
  const edge = castEdge({ centre, outward, matchSide, outline, surfaces, body: BODY });
  const hosts = surfaces.map((surface) => hostSolid(solids, surface));
  const outside = tubeSolid(solids, outline, 'outside', start, outward, matchSide, BODY + 150);
  const bore = tubeSolid(solids, outline, 'bore', start, outward, matchSide, BODY + 150);
  let checked = 0;
  let worst = 0;
  for (const [line, at] of edgeVertices(
    bodyLeft(outside, hosts, start),
    outline,
    centre,
    outward,
    matchSide,
  )) {
    if (at < 1 - BODY || edge.missedLines.includes(line)) continue;
    checked += 1;
    worst = Math.max(worst, Math.abs(at - edge.outer[line]!));
  }
  // Wall between the two cut lines, as a solid and as the sum over wall lines.
  const wall = bodyLeft(outside.subtract(bore), hosts, start).volume();
  let summed = 0;
  edge.outer.forEach((value, line) => {
    const [wide, narrow] = [outline.wide[line]!, outline.narrow[line]!];
    const thick = Math.hypot(
      outline.u[line]! - outline.innerU[line]!,
      outline.v[line]! - outline.innerV[line]!,
    );
    const [outer, inner] = [BODY + value, BODY + edge.inner[line]!];
    summed += thick * ((inner * (wide + narrow)) / 2 + (outer - inner) * (narrow / 6 + wide / 3));
  });
  return { checked, worst, volumeError: Math.abs(summed / wall - 1) };
}

const direction = (azimuth: number, height: number): Vector => [
  Math.cos(azimuth) * Math.cos(height),
  Math.sin(azimuth) * Math.cos(height),
  Math.sin(height),
];

const straight = (axis: Vector, off: Vector = [0, 0, 0]) => ({
  point: subtract(off, scale(axis, 300)),
  axis,
  length: 600,
  openStart: true,
  openEnd: true,
});
const cylinderAt = (axis: Vector, radius: number, off?: Vector): Cylinder => ({
  shape: 'cylinder',
  radius,
  ...straight(axis, off),
});

const boxTube = (width: number, height: number, wall: number): Outline => {
  const section: Section = {
    id: 'b',
    name: 'b',
    shape: 'rectangular',
    width,
    height,
    wall,
    corner: 2 * wall,
  };
  return outlineOf(section, section, wall, false);
};

const aimed = fc.record({
  azimuth: fc.double({ min: 0, max: 6.28, noNaN: true }),
  height: fc.double({ min: -1.2, max: 1.2, noNaN: true }),
  included: fc.double({ min: 0.6, max: 1.57, noNaN: true }),
  radius: fc.double({ min: 6, max: 20, noNaN: true }),
  over: fc.double({ min: 1.15, max: 2, noNaN: true }),
  shift: fc.double({ min: -0.7, max: 0.7, noNaN: true }),
  roll: fc.double({ min: 0, max: 360, noNaN: true }),
});
type Aimed = typeof aimed extends fc.Arbitrary<infer T> ? T : never;

/** A tube's direction, and the axis and offset of a host at an included angle to it. */
function placed({ azimuth, height, included, radius, over, shift }: Aimed) {
  const outward = direction(azimuth, height);
  const side = anySide(outward);
  const axis = unit(add(scale(outward, -Math.cos(included)), scale(side, Math.sin(included))));
  const hostRadius = radius * over;
  return { outward, axis, hostRadius, off: scale(cross(outward, side), shift * (hostRadius - radius)) };
}

describe('copes against a mesh library, within 0.01 mm on the edge and 0.1 % on volume', () => {
  /** On a flat face the library keeps no vertices of its own between the corners: fewer are there to compare. */
  const sound = (made: Made, least = 200) => {
    const result = compare(made);
    expect(result.checked).toBeGreaterThan(least);
    expect(result.worst).toBeLessThan(0.01);
    expect(result.volumeError).toBeLessThan(0.001);
  };
  it('round on round, skewed and offset', () => {
    fc.assert(
      fc.property(aimed, (joint) => {
        const { outward, axis, hostRadius, off } = placed(joint);
        const host = cylinderAt(axis, hostRadius, off);
        sound({ outline: roundOutline(joint.radius, 1), surfaces: [host], aim: host, outward });
      }),
      { numRuns: 8, seed: 20, endOnFailure: true },
    );
  });
  it('round on square and rectangular, turned about their length', () => {
    fc.assert(
      fc.property(aimed, (joint) => {
        const { outward, axis, hostRadius, off } = placed(joint);
        const host: Surface = {
          shape: 'prism',
          ...straight(axis, off),
          top: turn(anySide(axis), axis, joint.roll),
          halfHeight: hostRadius,
          halfWidth: hostRadius * 1.3,
          corner: 4,
        };
        sound({ outline: roundOutline(joint.radius, 1), surfaces: [host], aim: host, outward });
      }),
      { numRuns: 6, seed: 21, endOnFailure: true },
    );
  });
  it('square on round, turned about its length; round on oval; round on a taper', () => {
    fc.assert(
      fc.property(aimed, (joint) => {
        const { outward, axis, hostRadius, off } = placed(joint);
        const round = cylinderAt(axis, hostRadius * 1.6, off);
        const side = turn(anySide(outward), outward, joint.roll);
        sound(
          {
            outline: boxTube(joint.radius * 1.6, joint.radius * 2, 1.5),
            surfaces: [round],
            aim: round,
            outward,
            side,
          },
          40,
        );
        const oval: Surface = {
          shape: 'oval',
          ...straight(axis, off),
          top: turn(anySide(axis), axis, joint.roll),
          halfHeight: hostRadius * 1.1,
          halfWidth: hostRadius * 1.6,
        };
        sound({ outline: roundOutline(joint.radius, 1), surfaces: [oval], aim: oval, outward });
        const cone: Surface = {
          shape: 'cone',
          ...straight(axis, off),
          radius: hostRadius * 1.4,
          slope: -0.0006 * hostRadius,
        };
        sound({ outline: roundOutline(joint.radius, 1), surfaces: [cone], aim: cone, outward });
      }),
      { numRuns: 4, seed: 22, endOnFailure: true },
    );
  });
  /** A host bent at the origin, and a tube aimed at the middle of its bend. */
  function onBend(joint: Aimed, turned: number) {
    const host = joint.radius * 1.3;
    const away = turn([-1, 0, 0], [0, 1, 0], -turned);
    const path = pathOf([[-300, 0, 0], [0, 0, 0], scale(away, -300)], [60 + joint.radius]);
    const arc = path.arcs[0]!;
    const radial = scale(subtract(arc.from, arc.centre), 1 / arc.radius);
    const out = turn(radial, arc.axis, arc.angle / 2);
    const middle = add(arc.centre, scale(out, arc.radius));
    const tangent = turn(arc.direction, arc.axis, arc.angle / 2);
    // From outside the bend, leaning along it and across it.
    const lean = turn(scale(out, -1), arc.axis, (joint.included - 1) * 25);
    const outward = turn(lean, tangent, joint.height * 25);
    const here = (v: Vector): Vector => subtract(v, middle);
    const surfaces: Surface[] = [
      ...path.legs.map((leg, index): Surface => ({
        shape: 'cylinder',
        point: here(leg.from),
        axis: leg.direction,
        length: leg.length,
        radius: host,
        openStart: index === 0,
        openEnd: index === 1,
      })),
      {
        shape: 'torus',
        radius: host,
        arc: { ...arc, from: here(arc.from), to: here(arc.to), centre: here(arc.centre) },
      },
    ];
    return {
      path,
      middle,
      host,
      made: {
        outline: roundOutline(joint.radius * 0.8, 1),
        surfaces,
        aim: { point: [0, 0, 0] as Vector, axis: tangent },
        outward,
      },
    };
  }
  it('on any bend: each line ends where it is first as near to the host’s centre line as the host is thick', () => {
    // Source: distance of a point from the centre line, straight by straight and bend by bend.
    fc.assert(
      fc.property(aimed, fc.double({ min: 15, max: 120, noNaN: true }), (joint, turned) => {
        const { path, middle, host, made: tube } = onBend(joint, turned);
        const { outline, surfaces, aim, outward } = tube;
        const meets = crossing([0, 0, 0], outward, aim)!;
        const input = { centre: scale(outward, meets.at), outward, matchSide: meets.acuteSide };
        const edge = castEdge({ ...input, outline, surfaces, body: BODY });
        expect(edge.missed).toBe(0);
        for (let line = 0; line < 360; line += 15) {
          const gap = (at: number) =>
            nearestOn(path, add(middle, wallPoint({ ...input, outline }, line, at))).away - host;
          expect(Math.abs(gap(edge.outer[line]!))).toBeLessThan(1e-5);
          for (let back = 2; back < 100; back += 7)
            expect(gap(edge.outer[line]! - back)).toBeGreaterThan(-1e-6);
        }
      }),
      { numRuns: 40, seed: 24, endOnFailure: true },
    );
  });
  it('a tube that meets two hosts at once, as a down tube meets shell and seat tube', () => {
    const shell = cylinderAt([0, 1, 0], 20);
    sound({
      outline: roundOutline(15.9, 0.8),
      surfaces: [shell, cylinderAt(unit([-0.29, 0, 0.957]), 14.3)],
      aim: shell,
      outward: direction(Math.PI, -0.76),
    });
  });
});

/** Sides of triangles that no other triangle runs back along: none in a closed body. Corners count as one to 0.001 mm. */
function openSides({ positions, indices }: Mesh): string[] {
  const at = (index: number) => [0, 1, 2].map((axis) => positions[3 * index + axis]!.toFixed(3)).join();
  const sides = new Map<string, number>();
  for (let index = 0; index < indices.length; index += 3)
    for (const [a, b] of [
      [0, 1],
      [1, 2],
      [2, 0],
    ] as const) {
      const [p, q] = [at(indices[index + a]!), at(indices[index + b]!)];
      if (p === q) continue;
      const key = p < q ? `${p} ${q}` : `${q} ${p}`;
      sides.set(key, (sides.get(key) ?? 0) + (p < q ? 1 : -1));
    }
  return [...sides].flatMap(([side, count]) => (count === 0 ? [] : [side]));
}

describe('the solids of whole frames', () => {
  it.each([
    ['bicycle', 'trail'],
    ['motorcycle', 'sport'],
    ['delta-trike', 'delta'],
    ['bicycle', 'long-tail'],
  ])('%s, %s: every cut tube is a closed body that weighs what its cut says', (kind, set) => {
    const plan = planMade(made(kind, set));
    for (const cut of plan.cuts) {
      const piece = plan.frame.pieces.find(({ id }) => id === cut.piece)!;
      if (piece.section.shape === 'round' && piece.section.taper) continue;
      const mesh = pieceMesh(piece, cut, piece.section.shape === 'round' ? 2 : 1);
      expect(openSides(mesh), cut.name).toEqual([]);
      const mass = (meshVolume(mesh) * piece.density) / 1e9;
      expect(mass / cut.mass, cut.name).toBeCloseTo(1, 2.7);
    }
  });
  it.each([
    ['bicycle', 'road'],
    ['motorcycle', 'sport'],
    ['kart', 'kart'],
    ['tadpole-trike', 'tadpole'],
  ])('%s, %s: every plate is a closed body that weighs what it is said to', (kind, set) => {
    const { plates } = planMade(made(kind, set)).frame;
    expect(plates.length).toBeGreaterThan(0);
    for (const plate of plates) {
      const mesh = plateMesh(plate);
      expect(openSides(mesh), plate.name).toEqual([]);
      const { density } = findMaterial(plate.plate.material)!;
      // A hole has 48 corners and is 0.3 % smaller than the round one.
      expect((meshVolume(mesh) * density) / 1e9 / plate.mass, plate.name).toBeCloseTo(1, 2.5);
    }
  });
});
