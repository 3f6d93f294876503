import type { Piece } from '../frame/frame.js';
import { isBar } from '../frame/sections.js';
import { outlineOf, WALL_LINES, type Outline } from '../frame/outline.js';
import { carried, pointOn } from '../frame/path.js';
import { sizeAt } from '../frame/sections.js';
import { wallPoint } from '../joints/edge.js';
import type { EndCut } from '../joints/endCut.js';
import type { PieceCut } from '../joints/cut.js';
import { halfSlot, slotDepths } from '../joints/slot.js';
import { wallThickness, zonesOf } from '../joints/wall.js';
import { add, along, cross, dot, scale, type Vector } from '../vector/vector.js';
import { Builder, type Mesh } from './builder.js';
import { onPressed, pressedShare, pressingOf } from './pressed.js';

/** One cut through a tube, square to its centre line or along its cut edge. */
interface Ring {
  readonly outer: readonly Vector[];
  readonly inner: readonly Vector[];
  /** Out of the wall, at each line. */
  readonly out: readonly Vector[];
}

/** Least turn of a bend between two rings, degrees; no less than between two wall lines that are taken. */
export const MESH_BEND_STEP = 7.5;

/** Whether a piece shows nothing of its inside once it is joined: both ends stand against what they are cut for. */
export const closedByJoints = ({ ends }: PieceCut): boolean =>
  ends.every(
    ({ cut, edge, impossible }) =>
      (cut === 'coped' || cut === 'mitred' || cut === 'plate') &&
      !impossible &&
      edge.missed + edge.pastHostEnd === 0,
  );

/** Of a quarter's lines those on which a rectangle's corner begins and ends, as outlines count them. */
const CORNER = [38, 52] as const;

/**
 * Wall lines that a solid is made of: every so many; of a square or rectangular tube all of its corners' lines too, or the
 * corners would be cut off; and of a slot the lines on both of its sides.
 */
function linesOf(piece: Piece, ends: PieceCut['ends'], every: number): number[] {
  const lines = new Set(Array.from({ length: WALL_LINES / every }, (_, index) => index * every));
  if (piece.section.shape === 'rectangular')
    for (let quarter = 0; quarter < 4; quarter += 1)
      for (let line = CORNER[0]; line <= CORNER[1]; line += 1) lines.add(quarter * (WALL_LINES / 4) + line);
  for (const end of ends)
    for (const side of slotSides(end)) {
      const own = end.end === 'start' ? (WALL_LINES - side) % WALL_LINES : side;
      lines.add(own);
    }
  return [...lines].sort((a, b) => a - b);
}

/** The lines just in and just beside each side of a slot. */
function slotSides(end: EndCut): number[] {
  const half = halfSlot(end);
  if (half === undefined) return [];
  return [0, WALL_LINES / 2].flatMap((turn) =>
    [-half, half].flatMap((by) => {
      const line = end.slotAngle! + turn + by;
      return [Math.floor(line), Math.ceil(line)].map((each) => (each + 2 * WALL_LINES) % WALL_LINES);
    }),
  );
}

/** Where an end's wall stops on a line: at its edge, or at the bottom of its slot. */
const edgeAt = (end: EndCut, line: number, inside: boolean): number =>
  (inside ? end.edge.inner : end.edge.outer)[line]! - (slotDepths(end)?.(line) ?? 0);

/**
 * A cut piece as a solid: its outer and inner wall between the two cut edges, and the edges' own faces; caps, slots and
 * pressed ends as they are. `every` says which wall lines are taken: 1 for all, 15 for every fifteenth. The triangles make
 * a closed, outward-facing surface, so that its volume is the metal's; without its `inside`, what is seen of it once it is
 * joined.
 */
export function pieceMesh(piece: Piece, cut: PieceCut, every: number, inside = true): Mesh {
  const builder = new Builder();
  const [start, end] = cut.ends;
  const lines = linesOf(piece, cut.ends, every);
  const rings = [
    endRing(piece, cut, 0, lines),
    ...stationsOf(piece, cut, Math.max(MESH_BEND_STEP, every)).map((station) =>
      ringAt(piece, cut, station, lines),
    ),
    endRing(piece, cut, 1, lines),
  ];
  const caps = cut.ends.map((each) => capThickness(piece, each));
  // A capped end's outside runs on over its cap.
  const outer = [
    ...(caps[0]! > 0 ? [capRing(start, lines, true, caps[0]!)] : []),
    ...rings,
    ...(caps[1]! > 0 ? [capRing(end, lines, false, caps[1]!)] : []),
  ];
  const skin = (all: readonly Ring[], of: 'outer' | 'inner', sign: 1 | -1) => {
    const points = all.map((ring) =>
      ring[of].map((at, index) => builder.point(at, scale(ring.out[index]!, sign))),
    );
    points.slice(1).forEach((ring, index) => builder.between(points[index]!, ring, sign === -1));
  };
  skin(outer, 'outer', 1);
  if (!inside) return builder.mesh();
  // A solid bar has no inside; its faces run from the rim to the axis, which a cope leaves where it meets its host.
  const solid = isBar(piece.section);
  if (!solid) skin(rings, 'inner', -1);
  const face = (ring: Ring, outward: Vector, flipped: boolean) => {
    if (solid) return disc(ring.outer, outward, flipped, ring.inner[0]!);
    const rim = ring.outer.map((at) => builder.point(at, outward));
    const bore = ring.inner.map((at) => builder.point(at, outward));
    builder.between(rim, bore, flipped);
  };
  const disc = (ring: readonly Vector[], normal: Vector, flipped: boolean, middle = middleOf(ring)) => {
    const hub = builder.point(middle, normal);
    const rim = ring.map((at) => builder.point(at, normal));
    rim.forEach((point, index) => {
      const next = rim[(index + 1) % rim.length]!;
      if (flipped) builder.triangle(hub, next, point);
      else builder.triangle(hub, point, next);
    });
  };
  if (caps[0]! > 0) {
    disc(outer[0]!.outer, start.outward, true);
    disc(rings[0]!.inner, scale(start.outward, -1), false);
  } else face(rings[0]!, start.outward, true);
  if (caps[1]! > 0) {
    disc(outer.at(-1)!.outer, end.outward, false);
    disc(rings.at(-1)!.inner, scale(end.outward, -1), true);
  } else face(rings.at(-1)!, end.outward, false);
  return builder.mesh();
}

const middleOf = (ring: readonly Vector[]): Vector =>
  scale(
    ring.reduce<Vector>((sum, at) => add(sum, at), [0, 0, 0]),
    1 / ring.length,
  );

function capThickness(piece: Piece, { end }: EndCut): number {
  const cut = piece.member.ends[end];
  return cut.cut === 'capped' ? cut.thickness : 0;
}

/** The rim of a cap's outer face. */
function capRing(end: EndCut, lines: readonly number[], start: boolean, thickness: number): Ring {
  const ring = edgeRing(end, lines, start);
  const onward = (at: Vector) => along(at, end.outward, thickness);
  return { ...ring, outer: ring.outer.map(onward), inner: ring.inner.map(onward) };
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
  for (const end of cut.ends) {
    const pressed = pressingOf(piece, end);
    if (!pressed) continue;
    for (let step = 0; step <= PRESS_STEPS; step += 1)
      stations.push(
        end.end === 'start'
          ? pressed.flat + (pressed.round - pressed.flat) * (step / PRESS_STEPS)
          : pressed.flat - (pressed.flat - pressed.round) * (step / PRESS_STEPS),
      );
  }
  const [from, to] = [start.station - start.edge.shortest.at, end.station + end.edge.shortest.at];
  return stations.filter((station) => station > from + 0.01 && station < to - 0.01).sort((a, b) => a - b);
}

/** Rings over the part in which a tube goes from round to flat. */
const PRESS_STEPS = 6;
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
  const pressed = cut.ends.reduce((most, each) => {
    const pressing = pressingOf(piece, each);
    return pressing ? Math.max(most, pressedShare(pressing, station)) : most;
  }, 0);
  if (pressed > 0) {
    const { width } = sizeAt(piece.section, piece.length, station);
    const from = Math.atan2(dot(matchSide, side), dot(matchSide, top)) / (2 * Math.PI);
    const walls = lines.map((line) => onPressed(width, wall, pressed, from + line / WALL_LINES));
    const put = ([u, v]: readonly [number, number]): Vector => add(scale(top, u), scale(side, v));
    const off = (by: number) =>
      walls.map(({ at: [u, v], out: [nu, nv] }) => add(at, put([u + nu * by, v + nv * by])));
    return { outer: off(wall / 2), inner: off(-wall / 2), out: walls.map(({ out }) => put(out)) };
  }
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

/** The ring in which a piece ends: its cut edge, or square across where it is pressed flat. */
function endRing(piece: Piece, cut: PieceCut, index: 0 | 1, lines: readonly number[]): Ring {
  const end = cut.ends[index];
  if (!pressingOf(piece, end)) return edgeRing(end, lines, index === 0);
  const sign = index === 0 ? -1 : 1;
  return ringAt(piece, cut, end.station + sign * end.edge.longest.at, lines);
}

/** The cut edge of an end. Both ends' lines are numbered as the end's are; the start counts its own the other way round. */
function edgeRing(end: EndCut, lines: readonly number[], start: boolean): Ring {
  const { outline, outward, matchSide, wall } = end;
  const across = cross(outward, matchSide);
  const own = lines.map((line) => (start ? (WALL_LINES - line) % WALL_LINES : line));
  return {
    outer: own.map((line) => wallPoint(end, line, edgeAt(end, line, false))),
    inner: own.map((line) => wallPoint(end, line, edgeAt(end, line, true), true)),
    out: own.map((line) => outOf(outline, line, matchSide, across, wall)),
  };
}
