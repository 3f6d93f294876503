import earcut from 'earcut';
import type { PlacedPlate } from '../frame/plates.js';
import type { Piece } from '../frame/frame.js';
import { outlineOf, WALL_LINES, type Outline } from '../frame/outline.js';
import { carried, pointOn } from '../frame/path.js';
import { onPlate } from '../frame/plates.js';
import { sizeAt } from '../frame/sections.js';
import { wallPoint } from '../joints/edge.js';
import { wallThickness, zonesOf } from '../joints/wall.js';
import type { EndCut } from '../joints/endCut.js';
import type { PieceCut } from '../joints/cut.js';
import { add, along, cross, dot, scale, type Vector } from '../vector/vector.js';

/** Triangles: three coordinates in mm and three of the normal for each point; three points for each triangle, in turn right-handed about its outside. */
export interface Mesh {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  readonly indices: Uint32Array;
}

class Builder {
  private readonly positions: number[] = [];
  private readonly normals: number[] = [];
  private readonly indices: number[] = [];

  point(at: Vector, normal: Vector): number {
    this.positions.push(at[0], at[1], at[2]);
    this.normals.push(normal[0], normal[1], normal[2]);
    return this.positions.length / 3 - 1;
  }
  triangle(a: number, b: number, c: number): void {
    this.indices.push(a, b, c);
  }
  /** A strip between two closed rings of as many points each. */
  between(first: readonly number[], second: readonly number[], flipped: boolean): void {
    first.forEach((a, index) => {
      const next = (index + 1) % first.length;
      const [b, c, d] = [first[next]!, second[next]!, second[index]!];
      if (flipped) {
        this.triangle(a, c, b);
        this.triangle(a, d, c);
      } else {
        this.triangle(a, b, c);
        this.triangle(a, c, d);
      }
    });
  }
  mesh(): Mesh {
    return {
      positions: Float32Array.from(this.positions),
      normals: Float32Array.from(this.normals),
      indices: Uint32Array.from(this.indices),
    };
  }
}

/** One cut through a tube, square to its centre line or along its cut edge. */
interface Ring {
  readonly outer: readonly Vector[];
  readonly inner: readonly Vector[];
  /** Out of the wall, at each line. */
  readonly out: readonly Vector[];
}

/** Least turn of a bend between two rings, degrees; no less than between two wall lines that are taken. */
const BEND_STEP = 7.5;

/** Whether a piece shows nothing of its inside once it is joined: both ends stand against what they are cut for. */
export const closedByJoints = ({ ends }: PieceCut): boolean =>
  ends.every(
    ({ cut, edge, impossible }) =>
      (cut === 'coped' || cut === 'mitred' || cut === 'plate') &&
      !impossible &&
      edge.missed + edge.pastHostEnd === 0,
  );

/**
 * A cut piece as a solid: its outer and inner wall between the two cut edges, and the edges' own faces. `every` says which
 * wall lines are taken: 1 for all, 15 for every fifteenth. Caps are closed in. The triangles make a closed, outward-facing
 * surface, so that its volume is the metal's; without its `inside`, what is seen of it once it is joined.
 */
export function pieceMesh(piece: Piece, cut: PieceCut, every: number, inside = true): Mesh {
  const builder = new Builder();
  const lines = Array.from({ length: WALL_LINES / every }, (_, index) => index * every);
  const [start, end] = cut.ends;
  const rings = [
    edgeRing(start, lines, true),
    ...stationsOf(piece, cut, Math.max(BEND_STEP, every)).map((station) =>
      ringAt(piece, cut, station, lines),
    ),
    edgeRing(end, lines, false),
  ];
  const skin = (of: 'outer' | 'inner', sign: 1 | -1) => {
    const points = rings.map((ring) =>
      ring[of].map((at, index) => builder.point(at, scale(ring.out[index]!, sign))),
    );
    points.slice(1).forEach((ring, index) => builder.between(points[index]!, ring, sign === -1));
  };
  skin('outer', 1);
  if (!inside) return builder.mesh();
  skin('inner', -1);
  const face = (ring: Ring, outward: Vector, flipped: boolean) => {
    const outer = ring.outer.map((at) => builder.point(at, outward));
    const inner = ring.inner.map((at) => builder.point(at, outward));
    builder.between(outer, inner, flipped);
  };
  face(rings[0]!, start.outward, true);
  face(rings.at(-1)!, end.outward, false);
  for (const each of cut.ends) cap(builder, piece, each, lines);
  return builder.mesh();
}

/** Ways along the centre line where the tube needs a ring of its own: through its bends, and where its wall or outside changes. */
function stationsOf(piece: Piece, cut: PieceCut, bendStep: number): number[] {
  const { section, length } = piece;
  const [start, end] = cut.ends;
  const stations = piece.path.arcs.flatMap(({ station, length: long, angle }) => {
    const steps = Math.max(2, Math.ceil(angle / bendStep));
    return Array.from({ length: steps + 1 }, (_, step) => station + (long * step) / steps);
  });
  if (section.shape === 'round') {
    if (section.taper) stations.push(length - section.taper.length);
    if (section.ovalEnd) stations.push(length - section.ovalEnd.length);
    stations.push(...zonesOf(piece, cut));
  }
  const [from, to] = [start.station - start.edge.shortest.at, end.station + end.edge.shortest.at];
  return stations.filter((station) => station > from + 0.01 && station < to - 0.01).sort((a, b) => a - b);
}

function ringAt(piece: Piece, cut: PieceCut, station: number, lines: readonly number[]): Ring {
  const end = cut.ends[1];
  const { at, direction } = pointOn(piece.path, station);
  const endTop = end.matchSide;
  // The match line as it lies at the end, carried back along the centre line.
  const top = carried(piece.path, piece.top, station);
  const side = cross(direction, top);
  const endAcross = cross(piece.endDirection, piece.endTop);
  const matchSide = add(scale(top, dot(endTop, piece.endTop)), scale(side, dot(endTop, endAcross)));
  const across = cross(direction, matchSide);
  const wall = wallThickness(piece, cut, station);
  const lying = Math.abs(dot(matchSide, top)) < 0.5;
  const outline = outlineOf(piece.section, sizeAt(piece.section, piece.length, station), wall, lying);
  const place = (u: number, v: number): Vector => add(at, add(scale(matchSide, u), scale(across, v)));
  return {
    outer: lines.map((line) => place(outline.u[line]!, outline.v[line]!)),
    inner: lines.map((line) => place(outline.innerU[line]!, outline.innerV[line]!)),
    out: lines.map((line) => outOf(outline, line, matchSide, across, wall)),
  };
}

function outOf(outline: Outline, line: number, matchSide: Vector, across: Vector, wall: number): Vector {
  const u = (outline.u[line]! - outline.innerU[line]!) / wall;
  const v = (outline.v[line]! - outline.innerV[line]!) / wall;
  const size = Math.hypot(u, v) || 1;
  return add(scale(matchSide, u / size), scale(across, v / size));
}

/** The cut edge of an end. Both ends' lines are numbered as the end's are; the start counts its own the other way round. */
function edgeRing(end: EndCut, lines: readonly number[], start: boolean): Ring {
  const { outline, edge, outward, matchSide, wall } = end;
  const across = cross(outward, matchSide);
  const own = lines.map((line) => (start ? (WALL_LINES - line) % WALL_LINES : line));
  return {
    outer: own.map((line) => wallPoint(end, line, edge.outer[line]!)),
    inner: own.map((line) => wallPoint(end, line, edge.inner[line]!, true)),
    out: own.map((line) => outOf(outline, line, matchSide, across, wall)),
  };
}

/** A flat cap on an end that has one. */
function cap(builder: Builder, piece: Piece, end: EndCut, lines: readonly number[]): void {
  const cut = piece.member.ends[end.end];
  if (cut.cut !== 'capped') return;
  const own = end.end === 'start' ? lines.map((line) => (WALL_LINES - line) % WALL_LINES) : lines;
  const disc = (at: number, normal: Vector, flipped: boolean): number[] => {
    const middle = along(end.centre, end.outward, at);
    const ring = own.map((line) => builder.point(wallPoint(end, line, at), normal));
    const hub = builder.point(middle, normal);
    ring.forEach((point, index) => {
      const next = ring[(index + 1) % ring.length]!;
      if (flipped) builder.triangle(hub, next, point);
      else builder.triangle(hub, point, next);
    });
    return ring;
  };
  const from = end.edge.longest.at;
  const start = end.end === 'start';
  const inner = disc(from, scale(end.outward, -1), !start);
  const outer = disc(from + cut.thickness, end.outward, start);
  builder.between(inner, outer, start);
}

/** A plate as a solid with its holes; folds are drawn flat. */
export function plateMesh(placed: PlacedPlate): Mesh {
  const builder = new Builder();
  const { plate, normal } = placed;
  const holes = plate.holes.map(({ at, diameter }) => circle(at, diameter / 2));
  const rings = [plate.outline as readonly (readonly [number, number])[], ...holes];
  const flat = rings.flat();
  const starts = rings
    .slice(0, -1)
    .reduce<number[]>((all, ring) => [...all, (all.at(-1) ?? 0) + ring.length], []);
  const triangles = earcut(flat.flat(), starts, 2);
  const side = (away: number, facing: Vector, flipped: boolean) => {
    const first = flat.map((point) => builder.point(along(onPlate(placed, point), normal, away), facing));
    for (let index = 0; index < triangles.length; index += 3) {
      const [a, b, c] = [triangles[index]!, triangles[index + 1]!, triangles[index + 2]!];
      if (flipped) builder.triangle(first[a]!, first[c]!, first[b]!);
      else builder.triangle(first[a]!, first[b]!, first[c]!);
    }
  };
  const half = plate.thickness / 2;
  const turned = clockwise(flat, triangles);
  side(half, normal, turned);
  side(-half, scale(normal, -1), !turned);
  rings.forEach((ring, index) => {
    const inward = area(ring) > 0 === index > 0;
    ring.forEach((point, place) => {
      const next = ring[(place + 1) % ring.length]!;
      const [a, b] = [onPlate(placed, point), onPlate(placed, next)];
      const run = add(b, scale(a, -1));
      const size = Math.hypot(...run) || 1;
      const out = scale(cross(run, normal), (inward ? -1 : 1) / size);
      const [p, q, r, t] = [
        builder.point(along(a, normal, -half), out),
        builder.point(along(b, normal, -half), out),
        builder.point(along(b, normal, half), out),
        builder.point(along(a, normal, half), out),
      ];
      if (inward) {
        builder.triangle(p, r, q);
        builder.triangle(p, t, r);
      } else {
        builder.triangle(p, q, r);
        builder.triangle(p, r, t);
      }
    });
  });
  return builder.mesh();
}

/** Takes 0.3 % less than the round hole. */
const HOLE_CORNERS = 48;
const circle = (at: readonly number[], radius: number): (readonly [number, number])[] =>
  Array.from({ length: HOLE_CORNERS }, (_, index) => {
    const angle = (index / HOLE_CORNERS) * 2 * Math.PI;
    return [at[0]! + radius * Math.cos(angle), at[1]! + radius * Math.sin(angle)] as const;
  });

const area = (ring: readonly (readonly [number, number])[]): number =>
  ring.reduce((sum, [x, y], index) => {
    const [nx, ny] = ring[(index + 1) % ring.length]!;
    return sum + x * ny - nx * y;
  }, 0);

function clockwise(flat: readonly (readonly [number, number])[], triangles: readonly number[]): boolean {
  const [a, b, c] = [flat[triangles[0]!]!, flat[triangles[1]!]!, flat[triangles[2]!]!];
  return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) < 0;
}

/** Volume inside a closed mesh, mm3; source: signed tetrahedra, divergence theorem. */
export function meshVolume({ positions, indices }: Mesh): number {
  let volume = 0;
  const at = (index: number): Vector => [
    positions[3 * index]!,
    positions[3 * index + 1]!,
    positions[3 * index + 2]!,
  ];
  for (let index = 0; index < indices.length; index += 3)
    volume += dot(at(indices[index]!), cross(at(indices[index + 1]!), at(indices[index + 2]!))) / 6;
  return volume;
}
