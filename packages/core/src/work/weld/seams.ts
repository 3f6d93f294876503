import type { Frame, Piece } from '../../frame/frame.js';
import { nearestOn, pointOn } from '../../frame/path.js';
import { WALL_LINES } from '../../frame/outline.js';
import { onPlate, type PlacedPlate } from '../../frame/plates.js';
import { boresOf, onWall } from '../../holes/holes.js';
import type { PieceCut } from '../../joints/cut.js';
import { wallPoint } from '../../joints/edge.js';
import { hostsOf, type EndCut } from '../../joints/endCut.js';
import { acrossOf } from '../../frame/sections.js';
import {
  add,
  along,
  cross,
  distance,
  dot,
  scale,
  squareTo,
  subtract,
  unit,
  type Vector,
} from '../../vector/vector.js';

/** A place of a seam, and the direction that lies midway between its two walls: from there a torch comes best. */
export interface SeamPoint {
  readonly at: Vector;
  readonly open: Vector;
}

/** What is welded at one end of a piece, once round the real cut. Lengths mm. */
export interface Seam {
  /** Piece id and end: `chainstay:left.start`. */
  readonly id: string;
  readonly piece: string;
  readonly mark: string;
  /** Marks of what it is welded to; `cap` where it closes the tube. */
  readonly to: readonly string[];
  /** Ids of the same: pieces and plates. */
  readonly hosts: readonly string[];
  /** Of the same member, on the other side. */
  readonly twin: string | undefined;
  readonly length: number;
  /** The thinner of the two. */
  readonly wall: number;
  readonly thickest: number;
  readonly material: string;
  /** Width of the slot that pulls shut when it gets hot: a spreader of this width stays in it; mm. */
  readonly spreader?: number;
  /** A hole that is welded shut onto what lies behind it, in one go. */
  readonly plug?: true;
  readonly points: readonly SeamPoint[];
  readonly centre: Vector;
}

/** Places round a seam that are looked at. */
export const PLACES = 24;

/**
 * Every seam of a frame: each coped, mitred, slotted, capped or plated end, and each plug weld. A mitre is one seam for its
 * two tubes.
 */
export function seamsOf(frame: Frame, cuts: readonly PieceCut[]): readonly Seam[] {
  const pieces = new Map(frame.pieces.map((piece) => [piece.id, piece]));
  const mitres = new Set<string>();
  return cuts.flatMap((cut) => {
    const piece = pieces.get(cut.piece);
    if (!piece) return [];
    const ends = cut.ends.flatMap((end) => {
      const seam = seamOf(end, piece, frame, pieces);
      if (!seam) return [];
      if (end.cut === 'mitred') {
        const both = [piece.id, ...seam.hosts].sort().join(' ');
        if (mitres.has(both)) return [];
        mitres.add(both);
      }
      return [seam];
    });
    return [...ends, ...plugsOf(piece, cut)];
  });
}

/** Plug welds of a piece: once round each hole, from outside. */
function plugsOf(piece: Piece, cut: PieceCut): readonly Seam[] {
  const { id, mark, member, side } = piece;
  const plugs = new Set((member.holes ?? []).flatMap((hole) => (hole.use === 'plug' ? [hole.id] : [])));
  if (plugs.size === 0) return [];
  const other = side === 'left' ? 'right' : 'left';
  return boresOf(piece, cut)
    .filter(({ hole }) => plugs.has(hole))
    .map((bore): Seam => {
      const { at, outward } = onWall(piece, cut, bore);
      const { direction } = pointOn(piece.path, nearestOn(piece.path, at).station);
      const across = unit(cross(direction, outward));
      const name = `plug:${bore.hole}${bore.wall === 'far' ? ':far' : ''}`;
      return {
        ...{ id: `${id}.${name}`, piece: id, mark, to: ['what lies behind'], hosts: [] },
        twin: side === 'middle' ? undefined : `${member.id}:${other}.${name}`,
        length: Math.PI * bore.diameter + 2 * (bore.long - bore.diameter),
        ...{ wall: piece.section.wall, thickest: piece.section.wall, material: member.material, plug: true },
        points: Array.from({ length: PLACES }, (_, place) => {
          const angle = (2 * Math.PI * place) / PLACES;
          const way = add(
            scale(direction, (bore.long / 2) * Math.cos(angle)),
            scale(across, (bore.diameter / 2) * Math.sin(angle)),
          );
          return { at: add(at, way), open: outward };
        }),
        centre: at,
      };
    });
}

function seamOf(
  end: EndCut,
  piece: Piece,
  frame: Frame,
  pieces: ReadonlyMap<string, Piece>,
): Seam | undefined {
  if (end.impossible || end.cut === 'plain' || end.cut === 'flattened') return undefined;
  const hosts = hostsOf(piece, end.end, pieces);
  const plate = hosts.length > 0 || end.cut === 'capped' ? undefined : plateAt(end, frame.plates);
  const points = end.slot ? slotPoints(end, plate) : roundPoints(end, hosts, plate);
  const ids = [...hosts.map(({ id }) => id), ...(plate ? [plate.id] : [])];
  const walls = [
    end.wall,
    ...hosts.map(({ section }) => section.wall),
    ...(plate ? [plate.plate.thickness] : []),
  ];
  return {
    id: `${piece.id}.${end.end}`,
    piece: piece.id,
    mark: piece.mark,
    to: end.cut === 'capped' ? ['cap'] : [...hosts.map(({ mark }) => mark), ...(plate ? [plate.mark] : [])],
    hosts: ids,
    twin: twinOf(piece, end, hosts),
    length: end.slot ? 4 * end.slot.depth : roundLength(end),
    wall: Math.min(...walls),
    thickest: Math.max(...walls),
    material: piece.member.material,
    ...(end.slot ? { spreader: end.slot.width } : {}),
    points,
    centre: end.centre,
  };
}

/** The same seam on the other side: of the other one of a pair, or at the other end of a tube between two of a pair. */
function twinOf({ id, member, side }: Piece, { end }: EndCut, hosts: readonly Piece[]): string | undefined {
  if (side !== 'middle') return `${member.id}:${side === 'left' ? 'right' : 'left'}.${end}`;
  if (hosts.length === 0 || hosts.some((host) => host.side === 'middle')) return undefined;
  return `${id}.${end === 'start' ? 'end' : 'start'}`;
}

/** Length of the cut edge on the outer wall, mm. */
function roundLength(end: EndCut): number {
  let sum = 0;
  for (let line = 0; line < WALL_LINES; line += 1)
    sum += distance(edgePoint(end, line), edgePoint(end, (line + 1) % WALL_LINES));
  return sum;
}
const edgePoint = (end: EndCut, line: number): Vector => wallPoint(end, line, end.edge.outer[line]!);

function roundPoints(end: EndCut, hosts: readonly Piece[], plate: PlacedPlate | undefined): SeamPoint[] {
  const across = cross(end.outward, end.matchSide);
  return Array.from({ length: PLACES }, (_, place) => {
    const line = Math.round((place * WALL_LINES) / PLACES);
    const at = edgePoint(end, line);
    const own = unit(add(scale(end.matchSide, end.outline.u[line]!), scale(across, end.outline.v[line]!)));
    const host = nearest(hosts, at);
    const other = host ? outOf(host, at) : plate ? towardsTube(plate, end) : scale(end.outward, -1);
    return { at, open: between(own, other, end.outward) };
  });
}

/** A slot is welded along both of its sides, in either wall. */
function slotPoints(end: EndCut, plate: PlacedPlate | undefined): SeamPoint[] {
  const { slot, slotAngle = 0 } = end;
  const across = cross(end.outward, end.matchSide);
  const wall = ((slotAngle % 360) + 360) % 360;
  return [wall, (wall + 180) % 360].flatMap((angle) => {
    const line = Math.round((angle * WALL_LINES) / 360) % WALL_LINES;
    const radial = unit(add(scale(end.matchSide, end.outline.u[line]!), scale(across, end.outline.v[line]!)));
    const beside = plate?.normal ?? unit(cross(end.outward, radial));
    return [1, -1].flatMap((side) =>
      Array.from({ length: PLACES / 4 }, (_, index) => {
        const way = end.edge.outer[line]! - (slot!.depth * (index + 0.5)) / (PLACES / 4);
        const at = along(wallPoint(end, line, way), beside, (side * slot!.width) / 2);
        return { at, open: unit(add(radial, scale(beside, side))) };
      }),
    );
  });
}

/** Midway between two walls; where they face each other, back along the tube. */
function between(own: Vector, other: Vector, outward: Vector): Vector {
  const middle = add(own, other);
  return Math.hypot(...middle) < 0.2 ? scale(outward, -1) : unit(middle);
}

function nearest(hosts: readonly Piece[], at: Vector): Piece | undefined {
  const off = (host: Piece) => Math.abs(nearestOn(host.path, at).away - acrossOf(host.section) / 2);
  return hosts.length < 2 ? hosts[0] : [...hosts].sort((a, b) => off(a) - off(b))[0];
}
/** Out of a tube's wall at a point of it; of a flat-sided one, out of the face that it lies on. */
function outOf(host: Piece, at: Vector): Vector {
  const on = pointOn(host.path, nearestOn(host.path, at).station);
  const out = squareTo(subtract(at, on.at), on.direction);
  if (Math.hypot(...out) < 1e-6) return host.top;
  const { section } = host;
  if (section.shape !== 'rectangular') return unit(out);
  const side = cross(on.direction, host.top);
  const [up, over] = [dot(out, host.top) / section.height, dot(out, side) / section.width];
  return Math.abs(up) >= Math.abs(over) ? scale(host.top, Math.sign(up)) : scale(side, Math.sign(over));
}
const towardsTube = ({ normal }: PlacedPlate, { outward }: EndCut): Vector =>
  scale(normal, dot(normal, outward) > 0 ? -1 : 1);

/** The plate nearest to an end, within reach of it; mm. */
const PLATE_REACH = 150;
function plateAt(end: EndCut, plates: readonly PlacedPlate[]): PlacedPlate | undefined {
  const tip = along(end.centre, end.outward, end.edge.longest.at);
  const away = (plate: PlacedPlate) =>
    Math.min(
      distance(plate.at, tip),
      ...plate.plate.outline.map((corner) => distance(onPlate(plate, corner), tip)),
    );
  const [first] = plates
    .map((plate) => ({ plate, away: away(plate) }))
    .filter(({ away: far }) => far < PLATE_REACH)
    .sort((a, b) => a.away - b.away);
  return first?.plate;
}
