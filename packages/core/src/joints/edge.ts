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
import { isBent, type Bend, type Surface, type Torus } from './surfaces.js';

export { WALL_LINES } from '../frame/outline.js';

export interface Extreme {
  /** Along the outward axis from the cutter centre; mm, negative towards the tube's body. */
  readonly at: number;
  /** Wall line, from the match line, right-handed about the outward axis; of a round tube its angle in degrees. */
  readonly angle: number;
}
/** The edge of a cut end, unrolled: one value a wall line from the match line, right-handed about the outward axis. */
export interface Edge {
  /** Where each outer wall line ends, along the outward axis from the cutter centre; of one that misses every host, the longest. */
  readonly outer: readonly number[];
  readonly inner: readonly number[];
  readonly longest: Extreme;
  readonly shortest: Extreme;
  /** How many outer wall lines meet no host at all; and which. */
  readonly missed: number;
  readonly missedLines: readonly number[];
  /** Outer wall lines that meet a host only where that host has already ended. */
  readonly pastHostEnd: number;
  /** Outer wall lines that meet their host only where the tube itself has bent away: they are told as on its straight carried on. */
  readonly pastBend: number;
}

/** How the section of a tube that tapers at its end grows with the way outward: part of its size a mm, to the match line and across. */
export interface Growth {
  readonly u: number;
  readonly v: number;
}

export interface EdgeInput {
  /** Point on the tube's axis from which distances count. */
  readonly centre: Vector;
  readonly outward: Vector;
  /** Unit vector from the axis to the match line. */
  readonly matchSide: Vector;
  /** Of the tube at the centre. */
  readonly outline: Outline;
  readonly growth?: Growth | undefined;
  readonly surfaces: readonly Surface[];
  /** How far back from the centre the tube's body reaches; a surface further back cannot end it. */
  readonly body: number;
}

/** Room to cast the lines of one end in: used again and again, and never handed out. */
const real = new Float64Array(WALL_LINES);
const flush = new Float64Array(WALL_LINES);
const beyond = new Float64Array(WALL_LINES);
const leanU = new Float64Array(WALL_LINES);
const leanV = new Float64Array(WALL_LINES);
const oneU = new Float64Array(1);
const oneV = new Float64Array(1);

/** A copy of an array of numbers stays one of numbers to the engine, where an empty one is made over at its first value. */
const BLANK: readonly number[] = Array.from({ length: WALL_LINES }, () => 0.5);
/** Room for one value a wall line, to be filled in. */
export const blankLines = (): number[] => BLANK.slice();

/**
 * The one casting rule: each wall line runs out of the tube's body until it meets the first host surface.
 * Exact for round, oval and rectangular hosts, straight, tapered, pressed oval or bent, of any number, angle and offset; and
 * for a tube that tapers at its end, whose wall lines lean: each is moved to where it was met until it stays.
 * Where the hosts lie alike on both sides of the match line, one side is cast and the other is its mirror.
 */
export function castEdge({ centre, outward, matchSide, outline, growth, surfaces, body }: EdgeInput): Edge {
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
      flush[line] = Infinity;
      beyond[line] = Infinity;
    }
    const job = { u, v, count: lines, behind, real, flush, beyond };
    for (const each of casters) each(job);
  };
  const there = (line: number) => Math.min(real[line]!, flush[line]!) < Infinity;
  const metAt = (line: number) =>
    real[line]! < Infinity
      ? real[line]!
      : flush[line]! < Infinity
        ? flush[line]!
        : beyond[line]! < Infinity
          ? beyond[line]!
          : NaN;
  /** Casts lines that lean with a taper: `u`, `v` on the outer wall at the centre, `du`, `dv` from there to the line's own. */
  const castLeaning = (
    u: Float64Array,
    v: Float64Array,
    own: (line: number) => readonly [number, number],
    lines: number,
  ): void => {
    const { u: growU, v: growV } = growth!;
    leanU.fill(0);
    let moved = Infinity;
    for (let round = 0; round < MOST_ROUNDS && moved > SETTLED; round += 1) {
      moved = 0;
      for (let line = 0; line < lines; line += 1) {
        const found = round === 0 ? 0 : metAt(line);
        const at = Number.isNaN(found) ? 0 : found;
        const [du, dv] = own(line);
        const [toU, toV] = [u[line]! * (1 + growU * at) + du, v[line]! * (1 + growV * at) + dv];
        moved = Math.max(moved, Math.abs(toU - leanU[line]!), Math.abs(toV - leanV[line]!));
        leanU[line] = toU;
        leanV[line] = toV;
      }
      cast(leanU, leanV, lines);
    }
  };
  const innerOff = (line: number) =>
    [outline.innerU[line]! - outline.u[line]!, outline.innerV[line]! - outline.v[line]!] as const;
  const none = [0, 0] as const;
  let missed = 0;
  let pastHostEnd = 0;
  const take = (counted: boolean): number[] => {
    const values = blankLines();
    for (let line = 0; line < count; line += 1) {
      const value = metAt(line);
      values[line] = value;
      const mirrored = alike && line > 0 && line < WALL_LINES / 2;
      if (mirrored) values[WALL_LINES - line] = value;
      if (!counted) continue;
      if (Number.isNaN(value)) missed += mirrored ? 2 : 1;
      else if (!there(line)) pastHostEnd += mirrored ? 2 : 1;
    }
    return values;
  };
  if (growth) castLeaning(outline.u, outline.v, innerOff, count);
  else cast(outline.innerU, outline.innerV, count);
  const inner = take(false);
  if (growth) castLeaning(outline.u, outline.v, () => none, count);
  else cast(outline.u, outline.v, count);
  const outer = take(true);
  const at = (line: number): number => {
    [oneU[0], oneV[0]] = lineAt(outline, line);
    if (growth) castLeaning(oneU, oneV, () => none, 1);
    else cast(oneU, oneV, 1);
    return metAt(0);
  };
  const [longest, shortest] = [extreme(outer, at, 1), extreme(outer, at, -1)];
  const missedLines = missed > 0 ? outer.flatMap((value, line) => (Number.isNaN(value) ? [line] : [])) : NONE;
  for (const line of missedLines) outer[line] = longest.at;
  for (let line = 0; line < WALL_LINES; line += 1) if (Number.isNaN(inner[line]!)) inner[line] = outer[line]!;
  return { outer, inner, longest, shortest, missed, missedLines, pastHostEnd, pastBend: 0 };
}
const NONE: readonly number[] = [];
/** A leaning line has settled when it moves by less than this, mm. */
const SETTLED = 1e-11;
const MOST_ROUNDS = 60;

/** Whether any wall line of a tube of some radius, carried on for ever, can come near a bend. */
function reaches(surface: Surface, { centre, outward }: Wall, radius: number): boolean {
  if (!isBent(surface)) return true;
  const { arc } = surface;
  const middle = scale(add(arc.from, arc.to), 0.5);
  const away = squareTo(subtract(middle, centre), outward);
  const sagitta = arc.radius * (1 - Math.cos(toRadians(Math.min(180, arc.angle) / 2)));
  const ball = Math.hypot(distance(arc.from, middle), sagitta) + reachOf(surface);
  return length(away) <= ball + 1.5 * radius;
}

/**
 * Whether a surface lies alike on both sides of the plane through a tube's axis and its match line: but for rounding, so
 * that a side that is mirrored is as exact as one that is cast, also where the edge grazes its host.
 */
function isHalved(surface: Surface, { centre, across }: Wall): boolean {
  const inPlane = (point: Vector) => Math.abs(dot(subtract(point, centre), across)) < ROUNDING.length;
  const square = (v: Vector) => Math.abs(dot(v, across)) < ROUNDING.direction;
  const along = (v: Vector) => Math.abs(dot(v, across)) > 1 - ROUNDING.direction;
  if (isBent(surface)) {
    if (!inPlane(surface.arc.centre) || !along(surface.arc.axis)) return false;
    return surface.shape === 'torus' || square(surface.top) || along(surface.top);
  }
  if (!inPlane(surface.point) || !square(surface.axis)) return false;
  return !('top' in surface) || square(surface.top) || along(surface.top);
}
const reachOf = (surface: Torus | Bend): number =>
  surface.shape === 'torus' ? surface.radius : surface.reach;
/** Rounding of positions some metres from the origin, mm, and of unit vectors. */
const ROUNDING = { length: 1e-11, direction: 1e-14 };

/** A square cut at a distance along the outward axis. */
export function squareEdge(at: number): Edge {
  const line = blankLines().fill(at);
  const extreme = { at, angle: 0 };
  return {
    outer: line,
    inner: line,
    longest: extreme,
    shortest: extreme,
    missed: 0,
    missedLines: NONE,
    pastHostEnd: 0,
    pastBend: 0,
  };
}

/** A cut in one plane through the centre; its normal given along the outward axis, the match line and across. */
export function planarEdge(outline: Outline, normal: Vector, at: number, growth?: Growth): Edge {
  const [a, nu, nv] = normal;
  const { u: growU, v: growV } = growth ?? { u: 0, v: 0 };
  // A wall line leans by its growth: where it meets the plane is still a quotient.
  const line = (u: number, v: number, du = 0, dv = 0) =>
    (a * at - (u + du) * nu - (v + dv) * nv) / (a + u * growU * nu + v * growV * nv);
  const outer = blankLines().map((_, index) => line(outline.u[index]!, outline.v[index]!));
  const inner = blankLines().map((_, index) => {
    const [u, v] = [outline.u[index]!, outline.v[index]!];
    return line(u, v, outline.innerU[index]! - u, outline.innerV[index]! - v);
  });
  const of = (index: number) => line(...lineAt(outline, index));
  return {
    outer,
    inner,
    longest: extreme(outer, of, 1),
    shortest: extreme(outer, of, -1),
    missed: 0,
    missedLines: NONE,
    pastHostEnd: 0,
    pastBend: 0,
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

/** A point of a tube's wall in space, on a wall line at a way outward from the cutter centre; on the outer wall, or the inner. */
export function wallPoint(
  { centre, outward, matchSide, outline, growth }: Omit<EdgeInput, 'surfaces' | 'body'>,
  line: number,
  at: number,
  inside = false,
): Vector {
  const across = cross(outward, matchSide);
  let u = outline.u[line]! * (1 + (growth?.u ?? 0) * at);
  let v = outline.v[line]! * (1 + (growth?.v ?? 0) * at);
  if (inside) {
    u += outline.innerU[line]! - outline.u[line]!;
    v += outline.innerV[line]! - outline.v[line]!;
  }
  const of = (axis: 0 | 1 | 2) => centre[axis] + u * matchSide[axis] + v * across[axis] + at * outward[axis];
  return [of(0), of(1), of(2)];
}
