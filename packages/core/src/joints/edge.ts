import { WALL_LINES, type Outline } from '../frame/outline.js';
import { leastBetween } from '../numeric/golden.js';
import { toRadians } from '../units/angle.js';
import {
  add,
  cross,
  distance,
  dot,
  length,
  scale,
  squareTo,
  subtract,
  type Vector,
} from '../vector/vector.js';
import { caster } from './cast.js';
import type { Wall } from './lines.js';
import type { Surface } from './surfaces.js';

export { WALL_LINES } from '../frame/outline.js';

export interface Extreme {
  /** Along the outward axis from the cutter centre; mm, negative towards the tube's body. */
  readonly at: number;
  /** Wall line, from the match line, right-handed about the outward axis; of a round tube its angle in degrees. */
  readonly angle: number;
}
/** The edge of a cut end, unrolled: one value a wall line from the match line, right-handed about the outward axis. */
export interface Edge {
  /** Where each outer wall line ends, along the outward axis from the cutter centre; NaN where it misses every host. */
  readonly outer: readonly number[];
  readonly inner: readonly number[];
  readonly longest: Extreme;
  readonly shortest: Extreme;
  /** Outer wall lines that meet no host at all. */
  readonly missed: number;
  /** Outer wall lines that meet a host only where that host has already ended. */
  readonly pastHostEnd: number;
}

export interface EdgeInput {
  /** Point on the tube's axis from which distances count. */
  readonly centre: Vector;
  readonly outward: Vector;
  /** Unit vector from the axis to the match line. */
  readonly matchSide: Vector;
  readonly outline: Outline;
  readonly surfaces: readonly Surface[];
  /** How far back from the centre the tube's body reaches; a surface further back cannot end it. */
  readonly body: number;
}

/** Room to cast the lines of one end in: used again and again, and never handed out. */
const real = new Float64Array(WALL_LINES);
const beyond = new Float64Array(WALL_LINES);
const oneU = new Float64Array(1);
const oneV = new Float64Array(1);

/** A copy of an array of numbers stays one of numbers to the engine, where an empty one is made over at its first value. */
const BLANK: readonly number[] = Array.from({ length: WALL_LINES }, () => 0.5);
/** Room for one value a wall line, to be filled in. */
export const blankLines = (): number[] => BLANK.slice();

/**
 * The one casting rule: each wall line runs out of the tube's body until it meets the first host surface.
 * Exact for round, oval and rectangular hosts, straight, tapered or bent, of any number, angle and offset.
 * Where the hosts lie alike on both sides of the match line, one side is cast and the other is its mirror.
 */
export function castEdge({ centre, outward, matchSide, outline, surfaces, body }: EdgeInput): Edge {
  const wall = { centre, outward, side: matchSide, across: cross(outward, matchSide) };
  const casters = surfaces.flatMap((surface) =>
    reaches(surface, wall, outline.reach) ? caster(surface, wall) : [],
  );
  const behind = -body;
  const alike = surfaces.every((surface) => isHalved(surface, wall));
  const count = alike ? WALL_LINES / 2 + 1 : WALL_LINES;
  const cast = (u: Float64Array, v: Float64Array, lines: number): void => {
    for (let line = 0; line < lines; line += 1) {
      real[line] = Infinity;
      beyond[line] = Infinity;
    }
    const job = { u, v, count: lines, behind, real, beyond };
    for (const each of casters) each(job);
  };
  let missed = 0;
  let pastHostEnd = 0;
  const take = (counted: boolean): number[] => {
    const values = blankLines();
    for (let line = 0; line < WALL_LINES; line += 1) {
      const from = line < count ? line : WALL_LINES - line;
      const there = real[from]! < Infinity;
      const value = there ? real[from]! : beyond[from]! < Infinity ? beyond[from]! : NaN;
      values[line] = value;
      if (!counted) continue;
      if (Number.isNaN(value)) missed += 1;
      else if (!there) pastHostEnd += 1;
    }
    return values;
  };
  cast(outline.innerU, outline.innerV, count);
  const inner = take(false);
  cast(outline.u, outline.v, count);
  const outer = take(true);
  const at = (line: number): number => {
    [oneU[0], oneV[0]] = lineAt(outline, line);
    cast(oneU, oneV, 1);
    return real[0]! < Infinity ? real[0]! : beyond[0]! < Infinity ? beyond[0]! : NaN;
  };
  return {
    outer,
    inner,
    longest: extreme(outer, at, 1),
    shortest: extreme(outer, at, -1),
    missed,
    pastHostEnd,
  };
}

/** Whether any wall line of a tube of some radius, carried on for ever, can come near a bend. */
function reaches(surface: Surface, { centre, outward }: Wall, radius: number): boolean {
  if (surface.shape !== 'torus') return true;
  const { arc } = surface;
  const middle = scale(add(arc.from, arc.to), 0.5);
  const away = squareTo(subtract(middle, centre), outward);
  const sagitta = arc.radius * (1 - Math.cos(toRadians(Math.min(180, arc.angle) / 2)));
  const ball = Math.hypot(distance(arc.from, middle), sagitta) + surface.radius;
  return length(away) <= ball + radius;
}

/**
 * Whether a surface lies alike on both sides of the plane through a tube's axis and its match line: but for rounding, so
 * that a side that is mirrored is as exact as one that is cast, also where the edge grazes its host.
 */
function isHalved(surface: Surface, { centre, across }: Wall): boolean {
  const inPlane = (point: Vector) => Math.abs(dot(subtract(point, centre), across)) < ROUNDING.length;
  const square = (v: Vector) => Math.abs(dot(v, across)) < ROUNDING.direction;
  const along = (v: Vector) => Math.abs(dot(v, across)) > 1 - ROUNDING.direction;
  if (surface.shape === 'torus') return inPlane(surface.arc.centre) && along(surface.arc.axis);
  if (!inPlane(surface.point) || !square(surface.axis)) return false;
  return !('top' in surface) || square(surface.top) || along(surface.top);
}
/** Rounding of positions some metres from the origin, mm, and of unit vectors. */
const ROUNDING = { length: 1e-11, direction: 1e-14 };

/** A square cut at a distance along the outward axis. */
export function squareEdge(at: number): Edge {
  const line = blankLines().fill(at);
  const extreme = { at, angle: 0 };
  return { outer: line, inner: line, longest: extreme, shortest: extreme, missed: 0, pastHostEnd: 0 };
}

/** A cut in one plane through the centre; its normal given along the outward axis, the match line and across. */
export function planarEdge(outline: Outline, normal: Vector, at: number): Edge {
  const [a, nu, nv] = normal;
  const line = (u: number, v: number) => at - (u * nu + v * nv) / a;
  const outer = blankLines().map((_, index) => line(outline.u[index]!, outline.v[index]!));
  const inner = blankLines().map((_, index) => line(outline.innerU[index]!, outline.innerV[index]!));
  const of = (index: number) => line(...lineAt(outline, index));
  return {
    outer,
    inner,
    longest: extreme(outer, of, 1),
    shortest: extreme(outer, of, -1),
    missed: 0,
    pastHostEnd: 0,
  };
}

/** Where a wall line between the sampled ones runs; on a round tube exactly. */
function lineAt(outline: Outline, line: number): [u: number, v: number] {
  const low = Math.floor(line);
  const [a, b] = [(low + WALL_LINES) % WALL_LINES, (low + 1 + WALL_LINES) % WALL_LINES];
  const radius = outline.u[0]!;
  if (outline.round) {
    const angle = toRadians(line);
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  }
  const share = line - low;
  const mixed = (values: Float64Array) => values[a]! + (values[b]! - values[a]!) * share;
  return [mixed(outline.u), mixed(outline.v)];
}

/** Degrees to which an extreme is found: its height is then good to 1e-6 mm where smooth, to 1e-3 at the corner of two hosts. */
const EXTREME_TO = 2e-3;

/** The largest (sign 1) or smallest (-1) value, between the sampled lines too: by a parabola where the edge is smooth, else by golden section. */
function extreme(samples: readonly number[], at: (line: number) => number, sign: 1 | -1): Extreme {
  let best = -1;
  let most = -Infinity;
  for (let line = 0; line < samples.length; line += 1) {
    const value = sign * samples[line]!;
    // Lines that miss are no numbers, and never more.
    if (value > most + 1e-9) [best, most] = [line, value];
  }
  if (best < 0) return { at: 0, angle: 0 };
  const smooth = parabola(samples, best);
  if (smooth) return { at: smooth.at, angle: (best + smooth.off + WALL_LINES) % WALL_LINES };
  const score = (line: number) => {
    const value = at(line);
    return Number.isNaN(value) ? Infinity : -sign * value;
  };
  const angle = leastBetween(score, best - 1, best + 1, EXTREME_TO);
  const value = at(angle);
  const sampled = samples[best]!;
  const better = sign * value > sign * sampled;
  return better ? { at: value, angle: (angle + WALL_LINES) % WALL_LINES } : { at: sampled, angle: best };
}

/**
 * The top of the parabola through a sample and its neighbours, where the edge bends evenly there; its height is then good
 * to 1e-6 mm. Undefined at the corner of two hosts, at the rim of a miss, and where the edge is straight.
 */
function parabola(samples: readonly number[], best: number): { at: number; off: number } | undefined {
  const value = (step: number) => samples[(best + step + WALL_LINES) % WALL_LINES]!;
  const bend = (step: number) => value(step - 1) - 2 * value(step) + value(step + 1);
  const [before, here, after] = [bend(-1), bend(0), bend(1)];
  if (!(Math.abs(here) > 1e-6 && Math.abs(before - here) + Math.abs(after - here) < EVEN * Math.abs(here)))
    return undefined;
  const slope = (value(1) - value(-1)) / 2;
  const off = -slope / here;
  return Math.abs(off) <= 1 ? { at: value(0) - (slope * slope) / (2 * here), off } : undefined;
}
const EVEN = 0.002;

/** The edge's point in space on a wall line; for drawing and for checks. */
export function edgePoint(
  { centre, outward, matchSide }: Pick<EdgeInput, 'centre' | 'outward' | 'matchSide'>,
  u: number,
  v: number,
  at: number,
): Vector {
  const across = cross(outward, matchSide);
  const of = (axis: 0 | 1 | 2) => centre[axis] + u * matchSide[axis] + v * across[axis] + at * outward[axis];
  return [of(0), of(1), of(2)];
}
