import type { Frame, Piece } from '../frame/frame.js';
import { carried, pointOn } from '../frame/path.js';
import { bendStations } from '../frame/rods.js';
import { acrossOf, sizeAt } from '../frame/sections.js';
import { add, along, cross, dot, length, scale, subtract, type Vector } from '../vector/vector.js';
import { wallPoint } from './edge.js';
import { hostsOf, type EndCut } from './endCut.js';
import type { PieceCut } from './cut.js';
import { keepNothing, type Keep } from '../memo/keep.js';
import { apart, boundsOf, outside, type Bounds } from '../proximity/bounds.js';
import { nearestOfSegments } from '../proximity/segments.js';

/** Two tubes that overlap where neither is cut for the other. Lengths mm. */
export interface Interference {
  readonly a: string;
  readonly b: string;
  readonly overlap: number;
  readonly at: Vector;
  /** Way along the first tube's centre line from its start. */
  readonly alongA: number;
}

/** Less than this is no overlap: what two welds at one node share, mm. */
const TOUCH = 1;

interface Rod {
  readonly from: Vector;
  readonly to: Vector;
  /** Unit vector along it. */
  readonly axis: Vector;
  readonly length: number;
  readonly middle: Vector;
  /** Radius of a ball round its middle that holds all of it. */
  readonly ball: number;
  /** Of a round one; half the larger size of another. */
  readonly radius: number;
  /** Of a square, rectangular or oval one: half sizes along two directions. */
  readonly box?: {
    readonly up: Vector;
    readonly over: Vector;
    readonly halfUp: number;
    readonly halfOver: number;
  };
  readonly station: number;
}
/** A cut end, with some points of its edge. */
interface CutEdge {
  readonly centre: Vector;
  /** No point of the edge is farther than this from the centre. */
  readonly reach: number;
  readonly station: number;
  /** Worked out when first asked for. */
  readonly points: () => readonly Vector[];
}
interface Body {
  readonly piece: Piece;
  readonly edges: readonly CutEdge[];
  readonly rods: readonly Rod[];
  readonly bounds: Bounds;
}
/**
 * Overlaps between tubes that are not joined: each as it is across, between what its ends take off, bends and tapers as
 * short straights; and the points of their cut edges. One for a mirrored pair.
 * @param keep takes what two tubes have from before, where both stand as they stood
 */
export function findInterferences(
  frame: Frame,
  cuts: readonly PieceCut[],
  keep: Keep = keepNothing,
): readonly Interference[] {
  const byId = new Map(frame.pieces.map((piece) => [piece.id, piece]));
  const cutOf = new Map(cuts.map((cut) => [cut.piece, cut]));
  const bodies = frame.pieces.map((piece) => {
    const cut = cutOf.get(piece.id);
    return keep(piece.id, [piece, cut], () => bodyOf(piece, cut));
  });
  const joined = joinedPairs(frame.pieces, byId);
  const found: Interference[] = [];
  bodies.forEach((a, index) => {
    // What a right twin meets, its left one meets on the other side.
    if (a.piece.side === 'right') return;
    for (let other = index + 1; other < bodies.length; other += 1) {
      const b = bodies[other]!;
      if (b.piece.side === 'right' && a.piece.side === 'middle') continue;
      if (a.piece.supplied && b.piece.supplied) continue;
      if (apart(a.bounds, b.bounds) || joined.has(pairKey(a.piece.id, b.piece.id))) continue;
      const interference = keep(pairKey(a.piece.id, b.piece.id), [a, b], () => meet(a, b));
      if (interference && interference.overlap > TOUCH) found.push(interference);
    }
  });
  return found;
}

const pairKey = (a: string, b: string): string => (a < b ? `${a} ${b}` : `${b} ${a}`);

/** Pairs of which one is cut to fit the other, passes through it, or is mitred with it. */
function joinedPairs(pieces: readonly Piece[], byId: ReadonlyMap<string, Piece>): ReadonlySet<string> {
  const pairs = new Set<string>();
  for (const piece of pieces) {
    for (const name of ['start', 'end'] as const)
      for (const host of hostsOf(piece, name, byId)) pairs.add(pairKey(piece.id, host.id));
    for (const id of piece.member.through ?? [])
      for (const side of ['', ':left', ':right']) pairs.add(pairKey(piece.id, `${id}${side}`));
  }
  return pairs;
}

function bodyOf(piece: Piece, cut: PieceCut | undefined): Body {
  const radius = acrossOf(piece.section) / 2;
  const from = cut ? cut.ends[0].station - cut.ends[0].edge.shortest.at : 0;
  const to = cut ? cut.ends[1].station + cut.ends[1].edge.shortest.at : piece.length;
  const rods: Rod[] = [];
  for (const leg of piece.path.legs) {
    const start = Math.max(leg.station, from);
    const end = Math.min(leg.station + leg.length, to);
    if (!(end > start + 1e-6)) continue;
    const cuts = [start, ...taperSteps(piece).filter((at) => at > start && at < end), end];
    for (let part = 1; part < cuts.length; part += 1) {
      const [low, high] = [cuts[part - 1]!, cuts[part]!];
      const at = (station: number) => along(leg.from, leg.direction, station - leg.station);
      rods.push(rodFrom(at(low), at(high), low, crossSection(piece, leg.direction, (low + high) / 2)));
    }
  }
  for (const arc of piece.path.arcs) {
    if (arc.length < 1e-6) continue;
    const stations = bendStations(arc);
    for (const [step, station] of stations.slice(0, -1).entries()) {
      const next = stations[step + 1]!;
      const [from, to] = [pointOn(piece.path, station).at, pointOn(piece.path, next).at];
      rods.push(rodFrom(from, to, station, crossSection(piece, subtract(to, from), (station + next) / 2)));
    }
  }
  return {
    piece,
    edges: cut ? cut.ends.map(cutEdge) : [],
    rods,
    // The long side of a slanting end reaches past the straight body.
    bounds: boundsOf(
      [...rods.flatMap(({ from, to }) => [from, to]), ...(cut?.ends.map(tipOf) ?? [])],
      radius,
    ),
  };
}
function rodFrom(from: Vector, to: Vector, station: number, { radius, box }: CrossSection): Rod {
  const span = subtract(to, from);
  const size = length(span);
  return {
    from,
    to,
    axis: scale(span, 1 / size),
    length: size,
    middle: along(from, span, 0.5),
    ball: size / 2 + (box ? Math.hypot(box.halfUp, box.halfOver) : radius),
    radius,
    station,
    ...(box ? { box } : {}),
  };
}

type CrossSection = Pick<Rod, 'radius' | 'box'>;

function crossSection(
  { section, path, top, length: all }: Piece,
  run: Vector,
  station: number,
): CrossSection {
  const { width, height } = sizeAt(section, all, station);
  const radius = Math.max(width, height) / 2;
  if (width === height && section.shape !== 'rectangular') return { radius };
  const up = carried(path, top, station);
  const over = cross(scale(run, 1 / length(run)), up);
  return { radius, box: { up, over, halfUp: height / 2, halfOver: width / 2 } };
}

/** Where a part of a tube that tapers, or is pressed oval, is taken in steps. */
function taperSteps({ section, length: all }: Piece): number[] {
  const end = section.shape === 'round' ? (section.taper ?? section.ovalEnd) : undefined;
  return end ? [1, 0.75, 0.5, 0.25].map((share) => all - end.length * share) : [];
}

function meet(a: Body, b: Body): Interference | undefined {
  let worst: Interference | undefined;
  const take = (overlap: number, at: Vector, alongA: number) => {
    if (overlap > (worst?.overlap ?? 0)) worst = { a: a.piece.id, b: b.piece.id, overlap, at, alongA };
  };
  for (const one of a.rods)
    for (const other of b.rods) {
      if (farApart(one, other)) continue;
      const { distance, onA, onB, shareA } = nearestOfSegments(one, other);
      const towards = distance > 1e-9 ? scale(subtract(onB, onA), 1 / distance) : ORIGIN;
      const reach = reachOf(one, towards) + reachOf(other, towards);
      take(reach - distance, scale(add(onA, onB), 0.5), one.station + shareA * one.length);
    }
  for (const [body, other, first] of [
    [a, b, true],
    [b, a, false],
  ] as const)
    for (const edge of body.edges) {
      if (outside(edge.centre, other.bounds, edge.reach)) continue;
      for (const point of edge.points()) {
        const overlap = depthIn(point, other);
        if (overlap > 0) take(overlap, point, first ? edge.station : 0);
      }
    }
  return worst;
}

/** How far a tube reaches out from its axis in a direction. Axes that cross have none: then its smaller half counts. */
function reachOf({ axis, radius, box }: Rod, towards: Vector): number {
  if (!box) {
    // Square to the axis all of the radius; along it, past a flat end, none.
    const along = dot(towards, axis);
    return radius * Math.sqrt(Math.max(0, 1 - along * along));
  }
  if (towards === ORIGIN) return Math.min(box.halfUp, box.halfOver);
  return Math.abs(dot(towards, box.up)) * box.halfUp + Math.abs(dot(towards, box.over)) * box.halfOver;
}
const ORIGIN: Vector = [0, 0, 0];

/** Whether the balls round two rods do not meet. */
function farApart(a: Rod, b: Rod): boolean {
  const x = a.middle[0] - b.middle[0];
  const y = a.middle[1] - b.middle[1];
  const z = a.middle[2] - b.middle[2];
  const reach = a.ball + b.ball;
  return x * x + y * y + z * z > reach * reach;
}

/** How deep a point stands in a body; zero outside it. */
function depthIn(point: Vector, body: Body): number {
  if (outside(point, body.bounds)) return 0;
  let deepest = 0;
  for (const rod of body.rods) {
    const out = subtract(point, rod.from);
    const way = dot(out, rod.axis);
    if (way < 0 || way > rod.length) continue;
    // The sides of a box are square to the axis: the way along it does not count in them.
    const overlap = rod.box
      ? Math.min(
          rod.box.halfUp - Math.abs(dot(out, rod.box.up)),
          rod.box.halfOver - Math.abs(dot(out, rod.box.over)),
        )
      : rod.radius - Math.sqrt(Math.max(0, dot(out, out) - way * way));
    if (overlap > deepest) deepest = overlap;
  }
  return deepest;
}

/** On a tube's axis, beside the farthest point of a cut end. */
const tipOf = ({ centre, outward, edge }: EndCut): Vector => along(centre, outward, edge.longest.at);

/** Points at every tenth wall line of an edge. */
function cutEdge(end: EndCut): CutEdge {
  const { edge, outline, centre, station } = end;
  const missed = new Set(edge.missedLines);
  let known: Vector[] | undefined;
  const points = () => {
    if (known) return known;
    known = [];
    for (let line = 0; line < edge.outer.length; line += 10)
      if (!missed.has(line)) known.push(wallPoint(end, line, edge.outer[line]!));
    return known;
  };
  const along = Math.max(Math.abs(edge.longest.at), Math.abs(edge.shortest.at));
  return { centre, reach: outline.reach + along, station, points };
}
