import type { End, Host } from '@larchwood/format';
import { pieceId, type Frame, type Piece, type PlacedPlate } from '../frame/frame.js';
import { outlineOf, type Outline } from '../frame/outline.js';
import { halfAcross } from '../frame/across.js';
import { carried, nearestOn } from '../frame/path.js';
import { acrossOf, sizeAt } from '../frame/sections.js';
import { toDegrees } from '../units/angle.js';
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
} from '../vector/vector.js';
import { crossing, type Crossing } from './cast.js';
import { castEdge, planarEdge, squareEdge, type Edge, type Growth } from './edge.js';
import { planeOf, sawOf, type SawAngles } from './planar.js';
import { awayFrom, axisNear, cutterFor, surfacesNear, surfacesOf, type Surface } from './surfaces.js';

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
  /** Zero where no round cutter makes the cut. */
  readonly cutterDiameter: number;
  /** Sizes of the first host and of the tube, measured square to both of their axes. */
  readonly hostAcross: number;
  readonly tubeAcross: number;
  /** Of the tube where it is cut; the larger size of one that is not round. */
  readonly outerDiameter: number;
  readonly wall: number;
  /** Of the tube at the cutter centre. */
  readonly outline: Outline;
  /** Where the tube tapers at this end. */
  readonly growth?: Growth;
  readonly edge: Edge;
  /** Saw settings, where the cut lies in one plane. */
  readonly saw?: SawAngles;
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
  /** Station of the cutter centre along the piece's centre line from its start node. */
  readonly station: number;
  /** Straight tube behind the cutter centre: up to the first bend, or all of it. */
  readonly straight: number;
  /** Whether there is a bend. */
  readonly bent: boolean;
  /** The axes run side by side, or a named host is not there. */
  readonly impossible: boolean;
}

/** What ends are cut against: pieces and plates by id. */
export interface Surroundings {
  readonly pieces: ReadonlyMap<string, Piece>;
  readonly plates: ReadonlyMap<string, PlacedPlate>;
  readonly surfaces: (piece: Piece) => readonly Surface[];
}

export function surroundingsOf({ pieces, plates }: Frame): Surroundings {
  const known = new Map<Piece, readonly Surface[]>();
  return {
    pieces: new Map(pieces.map((piece) => [piece.id, piece])),
    plates: new Map(plates.map((plate) => [plate.id, plate])),
    surfaces: (piece) => {
      let surfaces = known.get(piece);
      if (!surfaces) known.set(piece, (surfaces = surfacesOf(piece)));
      return surfaces;
    },
  };
}

/** The piece that a reference to a host means, for a piece on a side; undefined where there is none. */
export function hostPiece(
  host: Host,
  side: Piece['side'],
  pieces: ReadonlyMap<string, Piece>,
): Piece | undefined {
  const wanted = host.side === 'same' ? side : host.side;
  return pieces.get(pieceId(host.member, wanted)) ?? pieces.get(host.member);
}

/** The plate, or the twin of it, that an end at a node reaches: its own side's, else the nearest. */
export function plateFor(
  { side }: Piece,
  node: Vector,
  plateId: string,
  plates: ReadonlyMap<string, PlacedPlate>,
): PlacedPlate | undefined {
  const own = plates.get(pieceId(plateId, side));
  if (own) return own;
  const twins = [...plates.values()].filter(({ plate }) => plate.id === plateId);
  return twins.sort((a, b) => distance(a.at, node) - distance(b.at, node))[0];
}

/** Every piece that one end's cut depends on. */
export function hostsOf(piece: Piece, name: EndName, pieces: ReadonlyMap<string, Piece>): readonly Piece[] {
  const end = piece.member.ends[name];
  const hosts = end.cut === 'coped' ? end.hosts : end.cut === 'mitred' ? [end.with] : [];
  return hosts.flatMap((host) => hostPiece(host, piece.side, pieces) ?? []);
}

/** Of the two radii: surfaces of a bent host farther from the node than this are not met. */
const REACH = 3.5;

interface Prepared {
  readonly node: Vector;
  readonly outward: Vector;
  readonly hosts: readonly Piece[];
  readonly surfaces: readonly Surface[];
  readonly hostAngles: readonly number[];
  /** With the first host. */
  readonly crossing: Crossing | undefined;
  readonly cutter: number;
  readonly across: number;
  readonly tubeAcross: number;
  /** Normal of the plane that cuts, where the end is cut in one plane; and a point of it. */
  readonly plane: { readonly normal: Vector; readonly point: Vector } | undefined;
}

/** The surfaces that an end is cut against, as its edge was cast at them; none of an end that is cut in a plane. */
export const surfacesCutting = (piece: Piece, name: EndName, around: Surroundings): readonly Surface[] =>
  prepare(piece, name, around).surfaces;

/** Both ends of a piece. The match line lies on the acute side of the first coped end, so one scribed line places both. */
export function cutPiece(piece: Piece, around: Surroundings): readonly [EndCut, EndCut] {
  const start = prepare(piece, 'start', around);
  const end = prepare(piece, 'end', around);
  const atStart =
    start.crossing?.acuteSide ?? (end.crossing ? carriedBack(piece, end.crossing.acuteSide) : piece.top);
  const matchSide =
    piece.section.shape === 'round' && !piece.section.ovalEnd ? atStart : nearestFace(piece, atStart);
  return [
    cutEnd(piece, 'start', start, matchSide),
    cutEnd(piece, 'end', end, carried(piece.path, matchSide, piece.length)),
  ];
}

/** A direction at the end of a piece, as it lies at its start. */
function carriedBack(piece: Piece, side: Vector): Vector {
  const right = cross(piece.endDirection, piece.endTop);
  return add(
    scale(piece.top, dot(side, piece.endTop)),
    scale(cross(piece.direction, piece.top), dot(side, right)),
  );
}

/** The face of a section that is not round on which a match line can be scribed: the one nearest to a direction. */
function nearestFace(piece: Piece, side: Vector): Vector {
  const across = cross(piece.direction, piece.top);
  const [up, over] = [dot(side, piece.top), dot(side, across)];
  return Math.abs(up) >= Math.abs(over) - 1e-9
    ? scale(piece.top, up < 0 ? -1 : 1)
    : scale(across, over < 0 ? -1 : 1);
}

function prepare(piece: Piece, name: EndName, around: Surroundings): Prepared {
  const end = piece.member.ends[name];
  const outward = name === 'start' ? scale(piece.direction, -1) : piece.endDirection;
  const node = name === 'start' ? piece.start : piece.end;
  const hosts = hostsOf(piece, name, around.pieces);
  const none = {
    node,
    outward,
    hosts,
    surfaces: [],
    crossing: undefined,
    cutter: 0,
    across: 0,
    tubeAcross: 0,
  };
  if (end.cut === 'mitred')
    return { ...none, hostAngles: [], plane: hosts[0] && mitrePlane(node, outward, hosts[0]) };
  if (end.cut === 'plate')
    return { ...none, hostAngles: [], plane: platePlane(piece, node, outward, end.plate, around) };
  if (end.cut !== 'coped') return { ...none, hostAngles: [], plane: undefined };
  const met = hosts.map((host) => {
    let surfaces = around.surfaces(host);
    if (surfaces.length > 1) {
      // A slantwise cope runs far along its host.
      const reach = (acrossOf(host.section) + acrossOf(piece.section)) / 2;
      surfaces = surfacesNear(surfaces, node, REACH * reach);
    }
    const nearest = closest(surfaces, node);
    return { surfaces, nearest, meets: crossing(node, outward, axisNear(nearest, node)) };
  });
  const first = met[0];
  const square = cross(outward, first?.meets?.acuteSide ?? squareTo(piece.top, outward));
  const across =
    first && hosts[0] ? 2 * halfAcross(hosts[0], nearestOn(hosts[0].path, node).station, square) : 0;
  return {
    ...none,
    surfaces: met.length === 1 ? first!.surfaces : met.flatMap(({ surfaces }) => surfaces),
    hostAngles: met.map(({ meets }) => meets?.includedAngle ?? 0),
    crossing: first?.meets,
    cutter: first ? cutterFor(first.nearest, node) : 0,
    across,
    tubeAcross: 2 * halfAcross(piece, name === 'start' ? 0 : piece.length, square),
    plane: undefined,
  };
}

/** The surface nearest to a node; of several as near, the first. */
function closest(surfaces: readonly Surface[], node: Vector): Surface {
  let best = surfaces[0]!;
  if (surfaces.length === 1) return best;
  let least = Infinity;
  for (const surface of surfaces) {
    const away = awayFrom(surface, node);
    if (away < least - 1e-9) [best, least] = [surface, away];
  }
  return best;
}

/** The plane that halves the corner of two tubes whose ends meet. */
function mitrePlane(node: Vector, outward: Vector, other: Piece): Prepared['plane'] {
  const atStart = distance(other.start, node) <= distance(other.end, node);
  const otherOutward = atStart ? scale(other.direction, -1) : other.endDirection;
  const difference = subtract(outward, otherOutward);
  // Side by side there is no corner to halve: the end is cut square.
  return Math.hypot(...difference) < 1e-6 ? undefined : { normal: unit(difference), point: node };
}

function platePlane(
  piece: Piece,
  node: Vector,
  outward: Vector,
  plateId: string,
  { plates }: Surroundings,
): Prepared['plane'] {
  const plate = plateFor(piece, node, plateId, plates);
  if (!plate || Math.abs(dot(plate.normal, outward)) < 0.05) return undefined;
  const towards = dot(plate.normal, outward) > 0 ? -1 : 1;
  return {
    normal: plate.normal,
    point: along(plate.at, plate.normal, (towards * plate.plate.thickness) / 2),
  };
}

function cutEnd(piece: Piece, name: EndName, prepared: Prepared, matchSide: Vector): EndCut {
  const end = piece.member.ends[name];
  const { node, outward, crossing: meets, plane } = prepared;
  const atStart = name === 'start';
  const wall = wallAt(piece, name);
  // Where the end is cut short of its node, a tapered tube is as thick as it is there.
  const short = 'setback' in end ? end.setback : 0;
  const size = sizeAt(piece.section, piece.length, atStart ? short : piece.length - short);
  const lying = Math.abs(dot(matchSide, atStart ? piece.top : piece.endTop)) < 0.5;
  const across = cross(outward, matchSide);
  const angleOf = (side: Vector): number => toDegrees(Math.atan2(dot(side, across), dot(side, matchSide)));
  const inTube = (v: Vector): Vector => [dot(v, outward), dot(v, matchSide), dot(v, across)];
  const coped = end.cut === 'coped' && meets !== undefined;
  const shift =
    meets?.at ?? (plane ? dot(subtract(plane.point, node), plane.normal) / dot(outward, plane.normal) : 0);
  const { outline, growth } = sectionAtCut(piece, atStart, shift, wall, lying);
  const leg = atStart ? piece.path.legs[0]! : piece.path.legs.at(-1)!;
  const bent = piece.path.arcs.length > 0;
  const centre = add(node, scale(outward, shift));
  const setback = 'setback' in end ? end.setback + (end.cut === 'capped' ? end.thickness : 0) : 0;
  const own = { centre, outward, matchSide, outline, growth, surfaces: prepared.surfaces };
  const edge = coped
    ? bent
      ? castBeforeBend(own, leg.length + shift + size.width)
      : castEdge({ ...own, body: piece.length + shift })
    : plane
      ? planarEdge(outline, inTube(plane.normal), 0, growth)
      : squareEdge(-setback);
  const normal = coped ? planeOf(edge, outline) : plane ? inTube(plane.normal) : ([1, 0, 0] as const);
  const saw = normal && sawOf(normal);
  return {
    piece: piece.id,
    end: name,
    cut: end.cut,
    hosts: prepared.hosts.map((host) => host.mark),
    includedAngle: meets?.includedAngle ?? 90 - (saw?.offSquare ?? 0),
    hostAngles: prepared.hostAngles,
    offSquare: saw?.offSquare ?? (meets ? 90 - meets.includedAngle : 0),
    offset: Math.abs(meets?.offset ?? 0),
    cutterDiameter: prepared.cutter,
    hostAcross: prepared.across,
    tubeAcross: prepared.tubeAcross,
    outerDiameter: Math.max(size.width, size.height),
    wall,
    outline,
    ...(growth ? { growth } : {}),
    edge,
    ...(saw ? { saw } : {}),
    depth: edge.longest.at - edge.shortest.at,
    matchAngle: meets ? angleOf(meets.acuteSide) : 0,
    ...(end.cut === 'slotted'
      ? { slotAngle: angleOf(plateDirection(outward)), slot: { width: end.slotWidth, depth: end.slotDepth } }
      : {}),
    centre,
    outward,
    matchSide,
    station: atStart ? -shift : piece.length + shift,
    straight: leg.length + shift,
    bent,
    impossible:
      (end.cut === 'coped' && !coped) ||
      ((end.cut === 'mitred' || end.cut === 'plate') && plane === undefined),
  };
}

/** The section at the cutter centre, and how it grows outward where the tube tapers there. */
function sectionAtCut(
  { section, length }: Piece,
  atStart: boolean,
  shift: number,
  wall: number,
  lying: boolean,
): { readonly outline: Outline; readonly growth: Growth | undefined } {
  const node = atStart ? 0 : length;
  const size = sizeAt(section, length, node);
  const behind = sizeAt(section, length, atStart ? 1 : length - 1);
  const grow = { width: size.width - behind.width, height: size.height - behind.height };
  if (grow.width === 0 && grow.height === 0)
    return { outline: outlineOf(section, size, wall, lying), growth: undefined };
  // A taper goes on as it runs, to the cutter centre and past it; a tube of no size is none.
  const at = (of: 'width' | 'height') => Math.max(size[of] / 4, size[of] + grow[of] * shift);
  const there = { width: at('width'), height: at('height') };
  const [alongU, alongV] = lying ? (['width', 'height'] as const) : (['height', 'width'] as const);
  return {
    outline: outlineOf(section, there, wall, lying),
    growth: { u: grow[alongU] / there[alongU], v: grow[alongV] / there[alongV] },
  };
}

/** Casts the edge of a tube that bends behind it. Lines that meet their host only behind the bend are told as past it. */
function castBeforeBend(own: Omit<Parameters<typeof castEdge>[0], 'body'>, body: number): Edge {
  const edge = castEdge({ ...own, body });
  if (edge.missed === 0) return edge;
  const further = castEdge({ ...own, body: body + FAR });
  return further.missed < edge.missed ? { ...further, pastBend: edge.missed - further.missed } : edge;
}
/** No host is met farther behind a bend, mm. */
const FAR = 1e5;

function wallAt({ section }: Piece, name: EndName): number {
  return (section.shape === 'round' ? section.butts?.[name].wall : undefined) ?? section.wall;
}

/** Square to the tube, in the plane of the side view: where a slot for a plate in that plane comes out of the wall. */
function plateDirection(outward: Vector): Vector {
  const direction = cross([0, 1, 0], outward);
  return Math.hypot(...direction) < 1e-6 ? unit(squareTo([1, 0, 0], outward)) : unit(direction);
}
