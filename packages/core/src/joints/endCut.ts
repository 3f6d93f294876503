import type { End } from '../document/schema.js';
import { pieceId, type Piece } from '../frame/frame.js';
import { diameterAt } from '../frame/sections.js';
import { add, cross, dot, scale, squareTo, unit, type Vector } from '../vector/vector.js';
import { crossing, type Crossing, type HostCylinder } from './cast.js';
import { castEdge, squareEdge, type Edge } from './edge.js';

export type EndName = 'start' | 'end';

/** One end of one piece, cut: all that the bench needs. Lengths mm, angles degrees. */
export interface EndCut {
  readonly piece: string;
  readonly end: EndName;
  readonly cut: End['cut'];
  /** Marks of the hosts, first the one whose centre line the cutter follows. */
  readonly hosts: readonly string[];
  /** Acute angle between the tube and its first host; 90 for a square cut. */
  readonly includedAngle: number;
  /** Acute angle to each host, in the order of `hosts`. */
  readonly hostAngles: readonly number[];
  /** What a saw, a mill head or most notchers read. */
  readonly offSquare: number;
  /** Distance between the two centre lines. */
  readonly offset: number;
  readonly cutterDiameter: number;
  readonly outerDiameter: number;
  readonly wall: number;
  readonly edge: Edge;
  /** Longest less shortest point of the outer edge. */
  readonly depth: number;
  /** Where this end's acute side lies, from the tube's match line, right-handed about the outward axis; -180 to 180. */
  readonly matchAngle: number;
  /** Angle of the slot from the match line, for a slotted end. */
  readonly slotAngle?: number;
  readonly slot?: { readonly width: number; readonly depth: number };
  readonly centre: Vector;
  readonly outward: Vector;
  readonly matchSide: Vector;
  /** Station of the cutter centre along the piece from its start node. */
  readonly station: number;
  /** The axes run side by side, or a named host is not there. */
  readonly impossible: boolean;
}

interface Prepared {
  readonly node: Vector;
  readonly outward: Vector;
  readonly hosts: readonly HostCylinder[];
  readonly hostMarks: readonly string[];
  readonly hostAngles: readonly number[];
  /** With the first host. */
  readonly crossing: Crossing | undefined;
}

/** Both ends of a piece. The match line lies on the acute side of the first coped end, so one scribed line places both. */
export function cutPiece(piece: Piece, pieces: ReadonlyMap<string, Piece>): readonly [EndCut, EndCut] {
  const start = prepare(piece, 'start', pieces);
  const end = prepare(piece, 'end', pieces);
  const matchSide = start.crossing?.acuteSide ?? end.crossing?.acuteSide ?? uppermost(piece.direction);
  return [cutEnd(piece, 'start', start, matchSide), cutEnd(piece, 'end', end, matchSide)];
}

function prepare(piece: Piece, name: EndName, pieces: ReadonlyMap<string, Piece>): Prepared {
  const end = piece.member.ends[name];
  const outward = name === 'start' ? scale(piece.direction, -1) : piece.direction;
  const node = name === 'start' ? piece.start : piece.end;
  if (end.cut !== 'coped')
    return { node, outward, hosts: [], hostMarks: [], hostAngles: [], crossing: undefined };
  const found = end.hosts.flatMap((host) => {
    const side = host.side === 'same' ? piece.side : host.side;
    const hostPiece = pieces.get(pieceId(host.member, side)) ?? pieces.get(host.member);
    return hostPiece ? [hostPiece] : [];
  });
  const hosts = found.map(({ start, direction, section, length }) => ({
    point: start,
    axis: direction,
    radius: section.diameter / 2,
    length,
  }));
  const crossings = hosts.map((host) => crossing(node, outward, host));
  return {
    node,
    outward,
    hosts,
    hostMarks: found.map((host) => host.mark),
    hostAngles: crossings.map((meets) => meets?.includedAngle ?? 0),
    crossing: crossings[0],
  };
}

function cutEnd(piece: Piece, name: EndName, prepared: Prepared, matchSide: Vector): EndCut {
  const end = piece.member.ends[name];
  const { node, outward, hosts, crossing: meets } = prepared;
  const outerDiameter = diameterAt(piece.section, piece.length, name === 'start' ? 0 : piece.length);
  const wall = wallAt(piece, name);
  const shift = meets?.at ?? 0;
  const centre = add(node, scale(outward, shift));
  const across = cross(outward, matchSide);
  const angleOf = (side: Vector): number =>
    (Math.atan2(dot(side, across), dot(side, matchSide)) * 180) / Math.PI;
  const coped = end.cut === 'coped' && meets !== undefined;
  const edge = coped
    ? castEdge({
        centre,
        outward,
        matchSide,
        outerRadius: outerDiameter / 2,
        innerRadius: outerDiameter / 2 - wall,
        hosts,
        body: piece.length + shift,
      })
    : squareEdge(end.cut === 'coped' ? 0 : -end.setback);
  return {
    piece: piece.id,
    end: name,
    cut: end.cut,
    hosts: prepared.hostMarks,
    includedAngle: meets?.includedAngle ?? 90,
    hostAngles: prepared.hostAngles,
    offSquare: 90 - (meets?.includedAngle ?? 90),
    offset: Math.abs(meets?.offset ?? 0),
    cutterDiameter: coped ? hosts[0]!.radius * 2 : 0,
    outerDiameter,
    wall,
    edge,
    depth: edge.longest.at - edge.shortest.at,
    matchAngle: meets ? angleOf(meets.acuteSide) : 0,
    ...(end.cut === 'slotted'
      ? { slotAngle: angleOf(plateDirection(outward)), slot: { width: end.slotWidth, depth: end.slotDepth } }
      : {}),
    centre,
    outward,
    matchSide,
    station: name === 'start' ? -shift : piece.length + shift,
    impossible: end.cut === 'coped' && !coped,
  };
}

function wallAt(piece: Piece, name: EndName): number {
  return piece.section.butts?.[name].wall ?? piece.section.wall;
}

/** Square to the tube, in the plane of the side view: where a slot for a plate in that plane comes out of the wall. */
function plateDirection(outward: Vector): Vector {
  const direction = cross([0, 1, 0], outward);
  return Math.hypot(...direction) < 1e-6 ? uppermost(outward) : unit(direction);
}

/** The side of a tube that looks up, or forward for an upright tube. */
function uppermost(direction: Vector): Vector {
  const up = squareTo([0, 0, 1], direction);
  return Math.hypot(...up) < 1e-6 ? unit(squareTo([1, 0, 0], direction)) : unit(up);
}
