import { polygonArea } from 'd3-polygon';
import type { Section } from '@larchwood/format';
import type { Size } from './sections.js';

/** Wall lines round a tube: one a degree on a round one. */
export const WALL_LINES = 360;
const QUARTER = WALL_LINES / 4;

/**
 * The cut through a tube: where its wall lines run, in mm from the axis. Line 0 is the match line, on `u`; the others
 * follow right-handed about the outward axis, `v` a quarter further. Alike on both sides of `u` and of `v`.
 */
export interface Outline {
  readonly u: Float64Array;
  readonly v: Float64Array;
  readonly innerU: Float64Array;
  readonly innerV: Float64Array;
  /** Way round the outer wall from line 0; its last entry is the whole way. */
  readonly developed: Float64Array;
  readonly perimeter: number;
  /** Width of the wall that each line stands for, half-way to its neighbours: outside, and inside. */
  readonly wide: Float64Array;
  readonly narrow: Float64Array;
  /** Within the outer wall, mm2. */
  readonly area: number;
  readonly round: boolean;
  /** Farthest from the axis, mm. */
  readonly reach: number;
}

const known = new WeakMap<Section, Map<string, Outline>>();

/**
 * The outline of a section where it has the given size, with `u` up (`lying` false) or across. The wall is taken as
 * even all round.
 * @param size outer size, mm
 * @param wall mm
 * @param lying the wider side lies across `u`
 */
export function outlineOf(section: Section, size: Size, wall: number, lying: boolean): Outline {
  const key = `${size.width} ${size.height} ${wall} ${lying}`;
  let ofSection = known.get(section);
  if (!ofSection) known.set(section, (ofSection = new Map()));
  let outline = ofSection.get(key);
  if (!outline) ofSection.set(key, (outline = drawn(section, size, wall, lying)));
  return outline;
}

function drawn(section: Section, { width, height }: Size, wall: number, lying: boolean): Outline {
  const [a, b] = lying ? [width / 2, height / 2] : [height / 2, width / 2];
  const line = section.shape === 'rectangular' ? boxLine(a, b, section.corner) : ellipseLine(a, b);
  const u = new Float64Array(WALL_LINES);
  const v = new Float64Array(WALL_LINES);
  const innerU = new Float64Array(WALL_LINES);
  const innerV = new Float64Array(WALL_LINES);
  const developed = new Float64Array(WALL_LINES + 1);
  for (let index = 0; index <= WALL_LINES; index += 1) {
    const { at, out } = line(index % WALL_LINES);
    if (index > 0) {
      const before = line(index - 1);
      developed[index] = developed[index - 1]! + wayBetween(before, { at, out });
    }
    if (index === WALL_LINES) break;
    u[index] = at[0];
    v[index] = at[1];
    innerU[index] = at[0] - out[0] * wall;
    innerV[index] = at[1] - out[1] * wall;
  }
  // Inside of a corner that is tighter than the wall, all lines meet in the inner corner.
  if (section.shape === 'rectangular' && section.corner < wall) {
    for (let index = 0; index < WALL_LINES; index += 1) {
      innerU[index] = clamp(innerU[index]!, a - wall);
      innerV[index] = clamp(innerV[index]!, b - wall);
    }
  }
  return {
    u,
    v,
    innerU,
    innerV,
    wide: widths(u, v),
    narrow: widths(innerU, innerV),
    developed,
    perimeter: developed[WALL_LINES]!,
    area: Math.abs(polygonArea(Array.from(u, (x, line) => [x, v[line]!]))),
    round: section.shape !== 'rectangular' && a === b,
    reach: Math.hypot(a, b),
  };
}

function widths(u: Float64Array, v: Float64Array): Float64Array {
  return u.map((_, line) => {
    const [next, before] = [(line + 1) % WALL_LINES, (line + WALL_LINES - 1) % WALL_LINES];
    return Math.hypot(u[next]! - u[before]!, v[next]! - v[before]!) / 2;
  });
}

const clamp = (value: number, most: number): number => Math.max(-most, Math.min(most, value));

interface OnLine {
  readonly at: readonly [number, number];
  /** Unit vector out of the wall. */
  readonly out: readonly [number, number];
}

/** Chord between two neighbours, lengthened to the arc that their normals say. */
function wayBetween(a: OnLine, b: OnLine): number {
  const chord = Math.hypot(b.at[0] - a.at[0], b.at[1] - a.at[1]);
  const turn = Math.acos(Math.min(1, a.out[0] * b.out[0] + a.out[1] * b.out[1]));
  return turn < 1e-9 ? chord : (chord * (turn / 2)) / Math.sin(turn / 2);
}

const ellipseLine =
  (a: number, b: number) =>
  (index: number): OnLine => {
    const angle = (index / WALL_LINES) * 2 * Math.PI;
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    const size = Math.hypot(c / a, s / b);
    return { at: [a * c, b * s], out: [c / a / size, s / b / size] };
  };

/** Share of a quarter's lines that goes to the corner. */
const CORNER_LINES = 14;

/** Lines of a rounded rectangle: from the middle of a face, round the corner, to the middle of the next. */
const boxLine = (a: number, b: number, radius: number) => {
  const r = Math.min(radius, a, b);
  const flat = (QUARTER - CORNER_LINES) / 2;
  return (index: number): OnLine => {
    const quarter = Math.floor(index / QUARTER);
    const mirrored = quarter % 2 === 1;
    const along = index - quarter * QUARTER;
    const step = mirrored ? QUARTER - along : along;
    const [x, y, nx, ny] = quarterLine(a, b, r, step, flat);
    const [sx, sy] = SIGNS[quarter]!;
    return { at: [sx * x, sy * y], out: [sx * nx, sy * ny] };
  };
};
const SIGNS: readonly (readonly [number, number])[] = [
  [1, 1],
  [-1, 1],
  [-1, -1],
  [1, -1],
];

function quarterLine(
  a: number,
  b: number,
  r: number,
  step: number,
  flat: number,
): readonly [number, number, number, number] {
  if (step <= flat) return [a, ((b - r) * step) / flat, 1, 0];
  if (step >= flat + CORNER_LINES) return [((a - r) * (QUARTER - step)) / flat, b, 0, 1];
  const angle = ((step - flat) / CORNER_LINES) * (Math.PI / 2);
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return [a - r + r * c, b - r + r * s, c, s];
}

/**
 * Where a straight line through a section leaves it: along `into`, beside the axis by `off` towards `beside`; the two are unit
 * vectors square to each other, by `u` and `v`. A drill that is set over, or the plane of a plate, cuts a wall so.
 * @returns how far along `into` that lies, mm, and on which wall line, with its part to the next; none where it passes by
 */
export function crossingAt(
  { u, v }: Pick<Outline, 'u' | 'v'>,
  into: readonly [u: number, v: number],
  beside: readonly [u: number, v: number],
  off: number,
): { readonly out: number; readonly line: number } | undefined {
  let farthest: { out: number; line: number } | undefined;
  for (let line = 0; line < u.length; line += 1) {
    const next = (line + 1) % u.length;
    const aside = u[line]! * beside[0] + v[line]! * beside[1] - off;
    const nextAside = u[next]! * beside[0] + v[next]! * beside[1] - off;
    if (aside * nextAside > 0) continue;
    const share = aside === nextAside ? 0 : aside / (aside - nextAside);
    const out = u[line]! * into[0] + v[line]! * into[1];
    const nextOut = u[next]! * into[0] + v[next]! * into[1];
    const at = out + (nextOut - out) * share;
    if (!farthest || at > farthest.out) farthest = { out: at, line: line + share };
  }
  return farthest;
}
