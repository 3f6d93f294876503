import type { BuildDocument } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import { figureOf } from '../rider/figure.js';
import { restTravel } from '../stance/springs.js';
import { findKind } from '../stance/kinds/registry.js';
import type { Vector } from '../vector/vector.js';
import type { Body, Moves, Pair, Pose, Rods, Sort, Standing } from './part.js';
import { pairsOf } from './parts.js';
import { gap, gapPlace, leastPossible } from '../proximity/gap.js';
import type { Rod, Shape } from '../proximity/shapes.js';

/** The least gap between two parts through everything that moves them. */
export interface Clearance {
  readonly id: string;
  readonly a: string;
  readonly b: string;
  /** mm; negative where they overlap. */
  readonly gap: number;
  readonly wanted: number;
  /** In each other, nearer than wanted, or as wanted. */
  readonly verdict: 'meet' | 'close' | 'clear';
  /** Where, as the parts stand then. */
  readonly at: Vector;
  readonly pose: Pose;
  /** What of the pose it depends on. */
  readonly moves: Moves;
  /** Of parts that the steering brings together: how far it turns before they touch, degrees to either side. */
  readonly freeTo?: number;
  /** One of them is a rod, an arm or a shaft of the linkage. */
  readonly ofLinkage?: true;
}
/** A hand that leaves its grip on the way to full lock. */
export interface LostGrip {
  readonly rider: string;
  readonly steer: number;
  /** mm. */
  readonly short: number;
}
export interface Clearances {
  /** Tightest first, against what is wanted. */
  readonly gaps: readonly Clearance[];
  readonly lostGrips: readonly LostGrip[];
  /** How far the steering turns, to the side that is less free, before two parts touch; none where it is free to its lock. */
  readonly lockLeft: { readonly steer: number; readonly a: string; readonly b: string } | undefined;
  /** Poses looked at. */
  readonly poses: number;
}

/** Steps of the sweep: pedals every 5 degrees, steering lock to lock, travel from unladen to pressed home. */
export const STEPS = { crank: 72, steer: 21, travel: 5 } as const;
/** Gaps wider than this are not told, mm. */
const FAR = 250;

/**
 * Sweeps pedals, steering and travel, and finds the least gap of every pair of parts that could meet.
 * @param document gaps wanted in mm, lock in degrees, parts that were added
 * @param plan the stance and frame as they stand
 */
export function clearancesOf(
  document: Pick<BuildDocument, 'seat' | 'mass' | 'frame'>,
  plan: Standing,
): Clearances {
  const kind = findKind(plan.stance.kind);
  if (!kind) return { gaps: [], lostGrips: [], lockLeft: undefined, poses: 0 };
  const { gaps: wanted } = document.seat;
  const lock = plan.steering?.ok ? plan.steering.steering.state.lock! : document.seat.lock;
  const steers = Array.from({ length: STEPS.steer }, (_, i) => -lock + (2 * lock * i) / (STEPS.steer - 1));
  const rest: Pose = { crank: 90, steer: 0, travel: restTravel(plan.stance.state) };
  const values: Values = {
    crank: Array.from({ length: STEPS.crank }, (_, i) => (360 * i) / STEPS.crank),
    steer: steers,
    travel: Array.from({ length: STEPS.travel }, (_, i) => i / (STEPS.travel - 1)),
  };
  const rodsIn = once((part: Rods) => posesOf(part, values, rest));
  const shapesIn = once((part: Body) => posesOf(part, values, rest));
  const found = pairsOf(document, plan, kind).map((pair) => least(pair, rodsIn, shapesIn, rest, wanted));
  const gaps = tightest(found.filter((each) => each.gap < FAR));
  return {
    gaps,
    lostGrips: lostGrips(plan, steers),
    lockLeft: lockLeftOf(gaps),
    poses: STEPS.crank * STEPS.steer * STEPS.travel,
  };
}

/** The first touch of parts that the steering brings together. */
function lockLeftOf(gaps: readonly Clearance[]): Clearances['lockLeft'] {
  const first = gaps.reduce<Clearance | undefined>(
    (least, each) =>
      each.freeTo !== undefined && (least?.freeTo === undefined || each.freeTo < least.freeTo) ? each : least,
    undefined,
  );
  return first && { steer: first.freeTo!, a: first.a, b: first.b };
}

const tell = teller('seat');

/** Findings of gaps smaller than wanted, and of hands that leave their grips. */
export function clearanceFindings({ gaps, lostGrips: lost }: Clearances): Finding[] {
  return [
    ...gaps
      .filter(({ verdict }) => verdict !== 'clear')
      .map(({ id, a, b, gap: value, wanted, moves, verdict, ofLinkage = false }) =>
        tell(
          verdict === 'meet' ? 'parts-meet' : 'gap-small',
          // Feet can be kept clear of a wheel while it is turned far; what always meets must be mended.
          verdict === 'meet' && !(moves.crank && moves.steer) ? 'stop' : 'look',
          id,
          { a, b, gap: value, overlap: -value, wanted, ofLinkage },
        ),
      ),
    ...lost.map(({ rider, steer, short }) =>
      tell('grip-lost', 'look', 'clearances', { rider, steer: Math.abs(steer), short }),
    ),
  ];
}

/** A part in each pose that it has of its own. */
interface Posed<T> {
  readonly pose: Partial<Pose>;
  readonly shapes: readonly T[];
}
type Values = Readonly<Record<keyof Pose, readonly number[]>>;
const AXES = ['travel', 'steer', 'crank'] as const;

function posesOf<T>(
  part: { readonly moves: Moves; readonly at: (pose: Pose) => readonly T[] },
  values: Values,
  rest: Pose,
): Posed<T>[] {
  const over = (of: keyof Pose) => (part.moves[of] ? values[of] : [undefined]);
  const poses = over('travel').flatMap((travel) =>
    over('steer').flatMap((steer) =>
      over('crank').map((crank): Posed<T> => {
        const pose = {
          ...(travel === undefined ? {} : { travel }),
          ...(steer === undefined ? {} : { steer }),
          ...(crank === undefined ? {} : { crank }),
        };
        return { pose, shapes: part.at({ ...rest, ...pose }) };
      }),
    ),
  );
  // A coarse pass first: once a small gap is known, most other poses need no second look.
  return [
    ...poses.filter((_, index) => index % COARSE === 0),
    ...poses.filter((_, index) => index % COARSE > 0),
  ];
}
const COARSE = 7;

/** Every pose of one part against every pose of the other that goes with it. */
function least(
  { a, b }: Pair,
  rodsIn: (part: Rods) => readonly Posed<Rod>[],
  shapesIn: (part: Body) => readonly Posed<Shape>[],
  rest: Pose,
  wanted: BuildDocument['seat']['gaps'],
): Clearance {
  const shared = AXES.filter((axis) => a.moves[axis] && b.moves[axis]);
  let best: { gap: number; pose: Pose; rod?: Rod; other?: Shape } = { gap: FAR, pose: rest };
  for (const one of rodsIn(a))
    for (const two of shapesIn(b)) {
      if (shared.some((axis) => one.pose[axis] !== two.pose[axis])) continue;
      for (const rod of one.shapes)
        for (const other of two.shapes) {
          if (leastPossible(rod, other) >= best.gap) continue;
          const distance = gap(rod, other);
          if (distance < best.gap)
            best = { gap: distance, pose: { ...rest, ...one.pose, ...two.pose }, rod, other };
        }
    }
  const least = a.wanted ?? wantedGap(a.sort, b.sort, wanted);
  const steers = a.moves.steer || b.moves.steer;
  const free = best.gap < 0 && steers ? firstTouch(rodsIn(a), shapesIn(b), shared) : undefined;
  return {
    id: `${a.name} ${b.name}`,
    a: a.name,
    b: b.name,
    gap: best.gap,
    wanted: least,
    verdict: best.gap < 0 ? 'meet' : best.gap < least - MEASURED ? 'close' : 'clear',
    at: best.rod && best.other ? gapPlace(best.rod, best.other) : [0, 0, 0],
    pose: best.pose,
    moves: { ...a.moves, ...b.moves },
    ...(free === undefined ? {} : { freeTo: free }),
    ...(a.ofLinkage ? { ofLinkage: a.ofLinkage } : {}),
  };
}

/** The least turn of the steering at which two parts are in each other; between two steps, in proportion to their gaps. */
function firstTouch(
  ones: readonly Posed<Rod>[],
  others: readonly Posed<Shape>[],
  shared: readonly (keyof Pose)[],
): number {
  // The least gap at each turn, to the left and to the right apart.
  const gaps = new Map<number, number>();
  for (const one of ones)
    for (const two of others) {
      if (shared.some((axis) => one.pose[axis] !== two.pose[axis])) continue;
      const steer = one.pose.steer ?? two.pose.steer ?? 0;
      for (const rod of one.shapes)
        for (const other of two.shapes) {
          const before = gaps.get(steer) ?? FAR;
          if (leastPossible(rod, other) < before) gaps.set(steer, Math.min(before, gap(rod, other)));
        }
    }
  const touched = ([1, -1] as const).flatMap((side) => {
    const turns = [...gaps]
      .filter(([steer]) => steer * side >= 0)
      .sort(([x], [y]) => Math.abs(x) - Math.abs(y));
    const index = turns.findIndex(([, least]) => least < 0);
    if (index < 0) return [];
    const [at, deep] = turns[index]!;
    const before = turns[index - 1];
    if (!before) return [Math.abs(at)];
    const share = before[1] / (before[1] - deep);
    return [Math.abs(before[0]) + share * (Math.abs(at) - Math.abs(before[0]))];
  });
  return Math.min(...touched);
}

/** Less than this nobody measures, mm. */
const MEASURED = 0.1;

/** The same answer for the same thing asked, worked out once. */
function once<A extends object, T>(work: (given: A) => T): (given: A) => T {
  const known = new Map<A, T>();
  return (given) => {
    let found = known.get(given);
    if (found === undefined) known.set(given, (found = work(given)));
    return found;
  };
}

function wantedGap(a: Sort, b: Sort, wanted: BuildDocument['seat']['gaps']): number {
  if (a === 'rider' || b === 'rider') return wanted.rider;
  return a === 'tyre' || b === 'tyre' ? wanted.tyre : wanted.metal;
}

/** One row for each pair of names: the sides are told together. */
function tightest(found: readonly Clearance[]): Clearance[] {
  const byId = new Map<string, Clearance>();
  for (const each of found) {
    const before = byId.get(each.id);
    if (!before || each.gap < before.gap) byId.set(each.id, each);
  }
  return [...byId.values()].sort((x, y) => x.gap - x.wanted - (y.gap - y.wanted));
}

/** Out of reach by less than this a hand holds on all the same, as the shoulders turn with the bars, mm. Common practice, no source. */
const GIVE = 100;

function lostGrips({ stance: { places } }: Standing, steers: readonly number[]): LostGrip[] {
  return places.flatMap((place) => {
    const straight = figureOf(place).arms;
    // A rider who does not reach straight ahead has a finding of his own.
    if (Math.max(straight.left.beyond, straight.right.beyond) > 0) return [];
    const worst = steers
      .map((steer) => {
        const { left, right } = figureOf(place, { crank: 90, steer }).arms;
        return { steer, short: Math.max(left.beyond, right.beyond) };
      })
      .reduce((most, each) => (each.short > most.short ? each : most));
    return worst.short > GIVE ? [{ rider: place.name, ...worst }] : [];
  });
}
