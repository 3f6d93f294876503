import { toRadians } from '../units/angle.js';
import { caster, type HostCylinder } from './cast.js';
import { along, cross, type Vector } from '../vector/vector.js';

/** Wall lines per turn: one a degree. */
export const WALL_LINES = 360;
const COSINES = Array.from({ length: WALL_LINES }, (_, degrees) => Math.cos(toRadians(degrees)));
const SINES = Array.from({ length: WALL_LINES }, (_, degrees) => Math.sin(toRadians(degrees)));

export interface Extreme {
  /** Along the outward axis from the cutter centre; mm, negative towards the tube's body. */
  readonly at: number;
  /** Angle from the match line, right-handed about the outward axis; degrees. */
  readonly angle: number;
}
/** The edge of a cut end, unrolled: one value a degree from the match line, right-handed about the outward axis. */
export interface Edge {
  /** Where each outer wall line ends, along the outward axis from the cutter centre; null where it misses every host. */
  readonly outer: readonly (number | null)[];
  readonly inner: readonly (number | null)[];
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
  readonly outerRadius: number;
  readonly innerRadius: number;
  readonly hosts: readonly HostCylinder[];
  /** How far back from the centre the tube's body reaches; a surface further back cannot end it. */
  readonly body: number;
}

/**
 * The one casting rule: each wall line runs out of the tube's body until it meets the first host surface.
 * Exact for round hosts of any number, angle and offset.
 */
export function castEdge(input: EdgeInput): Edge {
  const wall = {
    centre: input.centre,
    outward: input.outward,
    side: input.matchSide,
    across: cross(input.outward, input.matchSide),
  };
  const casters = input.hosts.map((host) => caster(host, wall));
  let pastHostEnd = 0;
  const wallLine = (radius: number, cosine: number, sine: number, count: boolean): number | null => {
    let real: number | null = null;
    let beyond: number | null = null;
    for (const cast of casters) {
      const hit = cast(radius, cosine, sine, -input.body);
      if (!hit) continue;
      if (hit.within) real = real === null ? hit.at : Math.min(real, hit.at);
      else beyond = beyond === null ? hit.at : Math.min(beyond, hit.at);
    }
    if (count && real === null && beyond !== null) pastHostEnd += 1;
    return real ?? beyond;
  };
  const outer = everyDegree((degrees) =>
    wallLine(input.outerRadius, COSINES[degrees]!, SINES[degrees]!, true),
  );
  const inner = everyDegree((degrees) =>
    wallLine(input.innerRadius, COSINES[degrees]!, SINES[degrees]!, false),
  );
  const at = (degrees: number) =>
    wallLine(input.outerRadius, Math.cos(toRadians(degrees)), Math.sin(toRadians(degrees)), false);
  return {
    outer,
    inner,
    longest: extreme(outer, at, 1),
    shortest: extreme(outer, at, -1),
    missed: outer.filter((value) => value === null).length,
    pastHostEnd,
  };
}

/** A square cut at a distance along the outward axis. */
export function squareEdge(at: number): Edge {
  const line = everyDegree(() => at);
  return {
    outer: line,
    inner: line,
    longest: { at, angle: 0 },
    shortest: { at, angle: 0 },
    missed: 0,
    pastHostEnd: 0,
  };
}

function everyDegree<T>(at: (degrees: number) => T): T[] {
  // A counted loop: Array.from is several times slower, and this runs for every wall line of every end.
  const values = new Array<T>(WALL_LINES);
  for (let degrees = 0; degrees < WALL_LINES; degrees += 1) values[degrees] = at(degrees);
  return values;
}

/** The largest (sign 1) or smallest (-1) value, found between the sampled lines by golden section; good to 1e-6 mm. */
function extreme(
  samples: readonly (number | null)[],
  at: (degrees: number) => number | null,
  sign: 1 | -1,
): Extreme {
  let best = -1;
  samples.forEach((value, index) => {
    if (value !== null && (best < 0 || sign * value > sign * samples[best]!)) best = index;
  });
  if (best < 0) return { at: 0, angle: 0 };
  const ratio = (Math.sqrt(5) - 1) / 2;
  const score = (degrees: number) => {
    const value = at(degrees);
    return value === null ? -Infinity : sign * value;
  };
  let low = best - 1;
  let high = best + 1;
  while (high - low > 1e-5) {
    const left = high - ratio * (high - low);
    const right = low + ratio * (high - low);
    if (score(left) > score(right)) high = right;
    else low = left;
  }
  const angle = (low + high) / 2;
  const value = at(angle);
  const sampled = samples[best]!;
  const better = value !== null && sign * value > sign * sampled;
  return better ? { at: value, angle: (angle + WALL_LINES) % WALL_LINES } : { at: sampled, angle: best };
}

/** The edge's point in space at a whole degree; for drawing and for checks. */
export function edgePoint(
  input: Pick<EdgeInput, 'centre' | 'outward' | 'matchSide'>,
  radius: number,
  degrees: number,
  at: number,
): Vector {
  const angle = toRadians(degrees);
  const across = cross(input.outward, input.matchSide);
  const wall = along(
    along(input.centre, input.matchSide, radius * Math.cos(angle)),
    across,
    radius * Math.sin(angle),
  );
  return along(wall, input.outward, at);
}
