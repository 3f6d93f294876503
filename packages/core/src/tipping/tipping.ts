import type { Laden } from '../mass/mass.js';
import type { Stance } from '../stance/stance.js';
import { toDegrees, toRadians } from '../units/angle.js';
import type { Vector } from '../vector/vector.js';
import { effectiveLean, touches, type Touch } from './lean.js';
import { falls, supportOf, tipLimit } from './support.js';

/** Gravity, m/s². */
export const G = 9.80665;
/** Friction of tyre on ground: dry, and wet or loose. Common practice, no source. */
export const FRICTION = { dry: 0.7, loose: 0.4 } as const;
/** Radii of the turn table, m. */
const RADII = [3, 5, 8, 12, 20, 40] as const;

export interface TurnRow {
  /** m. */
  readonly radius: number;
  /** Speed at which it tips, or at which its first hard part touches; m/s. */
  readonly limit: number;
  readonly slidesDry: number;
  readonly slidesLoose: number;
}
/** What a change of 25 mm does to the sideways limit, g. */
export interface Gain {
  readonly change: 'track' | 'lower' | 'forward' | 'back';
  readonly gain: number;
}
export interface Tipping {
  /** Limit against direction from forward round by the left, every 5 degrees and at each wheel; g. Empty for a single track. */
  readonly polar: readonly { readonly direction: number; readonly limit: number }[];
  /** Sideways, the lesser side; undefined for a single track. g. */
  readonly sideways: number | undefined;
  /** The rear lifts when it is braked so hard; g. */
  readonly braking: number;
  /** The front lifts when it is driven so hard; g. */
  readonly driving: number;
  /** Slopes at which it begins to tip, degrees. */
  readonly slopes: { readonly up: number; readonly down: number; readonly across: number | undefined };
  readonly turns: readonly TurnRow[];
  readonly gains: readonly Gain[];
  /** Parts that touch when it leans, first ones first; a single track only. */
  readonly touches: readonly Touch[];
  /** Lean of the contact-to-CG line at the first touch, degrees. */
  readonly leanLimit: number | undefined;
  /** Direction in which it falls as it stands, degrees from forward to the left; undefined when it stands. */
  readonly falls: number | undefined;
}

/** Millimetres of the changes whose gain is told. */
export const CHANGE = 25;
const EVERY = 5;

/** Tipping limits of a rigid vehicle on level ground with rigid tyres: a static estimate. Source: statics. */
export function tippingOf({ at: cg, loads }: Pick<Laden, 'at' | 'loads'>, stance: Stance): Tipping {
  const support = supportOf(loads);
  const single = support.length === 2;
  const limit = (direction: number, at: Vector = cg, on = support): number =>
    tipLimit(direction, at, on) ?? 0;
  const sideways = single ? undefined : Math.min(limit(90), limit(-90));
  const [braking, driving] = [limit(0), limit(180)];
  const touching = single ? touches(stance) : [];
  const crown = Math.min(...stance.standing.map(({ width }) => width)) / 2;
  const leanLimit = touching[0] && effectiveLean(Math.min(89, touching[0].lean), cg[2], crown);
  const inTurns = sideways ?? (leanLimit === undefined ? 0 : Math.tan(toRadians(leanLimit)));
  const speed = (g: number, radius: number) => Math.sqrt(Math.max(0, g) * G * radius);
  const slope = (g: number) => toDegrees(Math.atan(Math.max(0, g)));
  return {
    polar: single
      ? []
      : directions(cg, support).map((direction) => ({
          direction,
          limit: Math.max(0, limit(direction)),
        })),
    sideways,
    braking,
    driving,
    slopes: {
      up: slope(driving),
      down: slope(braking),
      across: sideways === undefined ? undefined : slope(sideways),
    },
    turns: RADII.map((radius) => ({
      radius,
      limit: speed(inTurns, radius),
      slidesDry: speed(FRICTION.dry, radius),
      slidesLoose: speed(FRICTION.loose, radius),
    })),
    gains: single ? [] : gainsOf(cg, loads),
    touches: touching,
    leanLimit,
    falls: falls(cg, support),
  };
}

/** Every few degrees, and exactly at each wheel: there the limit has its corners. */
function directions(cg: Vector, support: readonly (readonly [number, number])[]): number[] {
  const corners = support.map(([x, y]) => (toDegrees(Math.atan2(y - cg[1], x - cg[0])) + 360) % 360);
  const steady = Array.from({ length: 360 / EVERY }, (_, index) => index * EVERY);
  return [...steady, ...corners].sort((a, b) => a - b);
}

/** What 25 mm more track, a lower or a shifted centre of gravity would do to the sideways limit, most first. */
function gainsOf(cg: Vector, loads: Laden['loads']): Gain[] {
  const sideways = (at: Vector, wider: number): number => {
    const support = supportOf(
      loads.map((load) => ({
        ...load,
        at: [load.at[0], load.at[1] + (Math.sign(load.at[1]) * wider) / 2, load.at[2]] as const,
      })),
    );
    return Math.min(tipLimit(90, at, support) ?? 0, tipLimit(-90, at, support) ?? 0);
  };
  const now = sideways(cg, 0);
  const moved = (dx: number, dz: number): Vector => [cg[0] + dx, cg[1], cg[2] + dz];
  const gains: Gain[] = [
    { change: 'track', gain: sideways(cg, CHANGE) - now },
    { change: 'lower', gain: sideways(moved(0, -CHANGE), 0) - now },
    { change: 'forward', gain: sideways(moved(CHANGE, 0), 0) - now },
    { change: 'back', gain: sideways(moved(-CHANGE, 0), 0) - now },
  ];
  return gains.filter(({ gain }) => gain > 1e-6).sort((a, b) => b.gain - a.gain);
}

/** What happens first in a turn on a ground: the lesser of the two limits. */
export const happensFirst = (
  { sideways, leanLimit }: Tipping,
  friction: number,
): 'slides' | 'tips' | 'touches' => {
  if (sideways !== undefined) return sideways < friction ? 'tips' : 'slides';
  return leanLimit !== undefined && Math.tan(toRadians(leanLimit)) < friction ? 'touches' : 'slides';
};
