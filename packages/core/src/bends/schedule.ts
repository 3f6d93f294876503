import type { Bending } from '@larchwood/format';
import type { Piece } from '../frame/frame.js';
import { pointOn, type Arc, type Path } from '../frame/path.js';
import { acrossOf } from '../frame/sections.js';
import type { Side } from '../frame/side.js';
import type { PieceCut } from '../joints/cut.js';
import { toDegrees, toRadians } from '../units/angle.js';
import { add, along, cross, dot, length, subtract, turn, unit, type Vector } from '../vector/vector.js';

/** How a tube is brought round a corner. */
export type BendWay = 'die' | 'rolled' | 'wedge';

/** One bend. Lengths mm, angles degrees. */
export interface Bend {
  /** 1 for the first from the reference end. */
  readonly number: number;
  /** Start of the bend from the reference end of the tube as it is bent, along its outside. */
  readonly mark: number;
  /** End of the bend, from the other end of the tube. */
  readonly markFromOther: number;
  /** From the end of the bend before; from the reference end at the first one. */
  readonly straightBefore: number;
  /** To the start of the next; to the other end at the last one. */
  readonly straightAfter: number;
  /** Turn of the tube. */
  readonly angle: number;
  /** From the plane of the bend before it on the tube to its own, clockwise seen from the other end; -180 to 180. */
  readonly rotation: number;
  readonly radius: number;
  /** Along the centre line. */
  readonly arc: number;
  /** How far the other end moves when this bend is half a degree out: its mark is held, and it turns on about its end. */
  readonly perHalfDegree: number;
}

/** How a bent piece is marked and bent. Lengths mm, angles degrees. */
export interface BendSchedule {
  readonly piece: string;
  readonly mark: string;
  /** Of a pair the right one is marked as the left one, and turned the other way about itself. */
  readonly side: Side;
  readonly name: string;
  readonly section: string;
  readonly material: string;
  /** Larger outer size of the tube. */
  readonly across: number;
  readonly shape: 'round' | 'square' | 'oval';
  /** How it is mostly made. */
  readonly way: BendWay;
  readonly from: Bending['from'];
  readonly extra: Bending['extra'];
  /** Of the tube as it is bent: finished length along the centre line and what is left on. */
  readonly tube: number;
  readonly finished: number;
  readonly bends: readonly Bend[];
  /** Numbers of the bends in the order in which they are made. */
  readonly order: readonly number[];
  /** Turns of all bends lie in one plane. */
  readonly flat: boolean;
}

/** Bent long where nothing else was chosen: each end, mm. Common practice, no source. */
export const USUAL_EXTRA = 75;
export const USUAL_BENDING: Bending = { from: 'start', extra: { start: USUAL_EXTRA, end: USUAL_EXTRA } };
/** A radius of so many tube sizes is rolled, not drawn round a die. Common practice, no source. */
const ROLLED = 8;

/**
 * Marks, turns and rotations of a bent piece.
 * @param cut both ends of it: marks are measured from where it is cut, and what is left on
 * @returns none where it has no bend
 * Source: vector algebra on the centre line; tangent length = radius x tan(turn / 2).
 */
export function bendSchedule(
  piece: Piece,
  cut: PieceCut,
  bending: Bending = USUAL_BENDING,
): BendSchedule | undefined {
  const { arcs } = piece.path;
  if (arcs.length === 0) return undefined;
  const { from, extra } = bending;
  const first = cut.ends[0].station - cut.ends[0].edge.longest.at;
  const last = cut.ends[1].station + cut.ends[1].edge.longest.at;
  const [low, high] = [first - extra.start, last + extra.end];
  const tube = high - low;
  const ordered = from === 'start' ? arcs : [...arcs].reverse();
  // Ways along the tube from the reference end to where each bend begins.
  const begins = ordered.map(({ station, length: arc }) =>
    from === 'start' ? station - low : high - station - arc,
  );
  const far = pointOn(piece.path, from === 'start' ? last : first).at;
  const bends = ordered.map((arc, index): Bend => {
    const begin = begins[index]!;
    const before = index === 0 ? 0 : begins[index - 1]! + ordered[index - 1]!.length;
    const next = begins[index + 1] ?? tube;
    return {
      number: index + 1,
      mark: begin,
      markFromOther: tube - begin - arc.length,
      straightBefore: begin - before,
      straightAfter: next - begin - arc.length,
      angle: arc.angle,
      rotation: index === 0 ? 0 : rotationOf(ordered[index - 1]!, arc, from),
      radius: arc.radius,
      arc: arc.length,
      perHalfDegree: movedBy(arc, from, far),
    };
  });
  const across = acrossOf(piece.section);
  return {
    ...{ piece: piece.id, mark: piece.mark, side: piece.side, name: piece.name },
    section: piece.member.section,
    shape: piece.section.shape === 'rectangular' ? 'square' : piece.section.shape,
    ...{ material: piece.member.material, across, from, extra, tube, finished: last - first, bends },
    order: orderOf(bends, bending.order),
    way: wayOf(piece, across),
    flat: bends.every(({ rotation }) => Math.min(Math.abs(rotation), 180 - Math.abs(rotation)) < FLAT),
  };
}

/** The builder's own order where it has every bend once; along the tube where it has not. */
function orderOf(bends: readonly Bend[], own: Bending['order']): readonly number[] {
  const along = bends.map(({ number }) => number);
  return own?.length === along.length && along.every((number) => own.includes(number)) ? own : along;
}

/** One bend in its turn. */
export interface InTurn {
  readonly bend: Bend;
  /** Of the tube about itself since the bend that was made before, clockwise seen from the other end; 0 at the first. */
  readonly turn: number;
}

/** Bends in the order in which they are made, with how the tube is turned about itself in between; degrees. */
export function inTurn({ bends, order }: Pick<BendSchedule, 'bends' | 'order'>): readonly InTurn[] {
  const planes = planesOf(bends);
  return order.map((number, index) => ({
    bend: bends[number - 1]!,
    turn: index === 0 ? 0 : signedTurn(planes[number - 1]! - planes[order[index - 1]! - 1]!),
  }));
}

/** Plane of each bend about the straight tube, degrees from that of the first. */
export function planesOf(bends: readonly Pick<Bend, 'rotation'>[]): readonly number[] {
  let plane = 0;
  return bends.map(({ rotation }) => (plane += rotation));
}

/** The same turn between -180 and 180. */
export function signedTurn(degrees: number): number {
  const turned = ((degrees % 360) + 360) % 360;
  return turned > 180 + 1e-9 ? turned - 360 : turned;
}

/** A rotation so near to 0 or 180 counts as one plane, degrees. */
const FLAT = 0.05;

const wayOf = ({ section, path }: Piece, across: number): BendWay =>
  Math.min(...path.arcs.map(({ radius }) => radius)) >= ROLLED * across
    ? 'rolled'
    : section.shape === 'rectangular'
      ? 'wedge'
      : 'die';

/** Signed angle between the planes of two bends about the leg that they share, seen from the rest of the tube. */
function rotationOf(before: Arc, arc: Arc, from: Bending['from']): number {
  // Of the arc that the piece's own way meets later, the direction at its beginning is the leg.
  const leg = from === 'start' ? arc.direction : before.direction;
  const [a, b] = from === 'start' ? [before.axis, arc.axis] : [arc.axis, before.axis];
  const angle = toDegrees(Math.atan2(dot(cross(a, b), leg), dot(a, b)));
  return angle > 180 - 1e-9 ? 180 : angle <= -180 + 1e-9 ? 180 : angle;
}

/**
 * How far a point beyond a bend moves when that is bent half a degree more with its mark held: what the longer arc adds along
 * the tube it takes from the straight behind, so that all beyond turns about the bend's end, to first order.
 */
function movedBy({ axis, from: start, to }: Arc, end: Bending['from'], point: Vector): number {
  const arm = subtract(point, end === 'start' ? to : start);
  return length(cross(axis, arm)) * 2 * Math.sin(toRadians(0.25));
}

/** The same of a tube whose first bends along it are made, so many. */
export const bentSoFar = (schedule: BendSchedule, made: number): Path =>
  bentAt(schedule, ({ number, angle }) => (number <= made ? angle : 0));

/**
 * Straights and arcs of a tube that is bent in part, from the reference end.
 * @param degrees how far each bend is made; one that is not made yet stays straight
 */
export function bentAt({ bends, tube }: BendSchedule, degrees: (bend: Bend) => number): Path {
  let [at, way, axis]: [Vector, Vector, Vector] = [
    [0, 0, 0],
    [1, 0, 0],
    [0, 0, 1],
  ];
  const legs: Path['legs'][number][] = [];
  const arcs: Arc[] = [];
  let station = 0;
  const straight = (long: number) => {
    const last = legs.at(-1);
    // What is not bent yet runs on in one straight.
    if (last && last.station + last.length >= station - 1e-9)
      legs[legs.length - 1] = { ...last, length: last.length + long };
    else legs.push({ from: at, direction: way, length: long, station });
    at = along(at, way, long);
    station += long;
  };
  for (const bend of bends) {
    const { straightBefore, rotation, radius } = bend;
    const angle = degrees(bend);
    straight(straightBefore);
    axis = turn(axis, way, rotation);
    if (angle === 0) {
      straight(bend.arc);
      continue;
    }
    const long = angle === bend.angle ? bend.arc : (bend.arc * angle) / bend.angle;
    const centre = along(at, cross(axis, way), radius);
    const to = add(centre, turn(subtract(at, centre), axis, angle));
    arcs.push({ from: at, to, direction: way, centre, axis, radius, angle, length: long, station });
    at = to;
    way = unit(turn(way, axis, angle));
    station += long;
    // Of a bend that is half made the rest of its arc is straight yet.
    if (long < bend.arc) straight(bend.arc - long);
  }
  straight(tube - station);
  return { legs, arcs, length: tube, tight: [] };
}
