import { gap } from '../proximity/gap.js';
import { ballAt, rodFrom } from '../proximity/shapes.js';
import type { Held } from '../stance/solve.js';
import { solveStance } from '../stance/solve.js';
import type { Stance } from '../stance/stance.js';
import { tyre } from '../stance/tyreShape.js';
import type { Built, Linkage, Sizes } from './linkage.js';
import { ackermannOf, leastRodAngle, LEAST_ROD_ANGLE, type AckermannSummary } from './report.js';
import { solvableOf } from './steering.js';
import { STEPS_OF_SWEEP, sweepOf, type SteeringSweep } from './sweep.js';

/** What the search may move, and in what steps it can be made. */
export interface SearchOptions {
  /** Ids of sizes that are left free. */
  readonly free: readonly string[];
  /** Of lengths: a whole millimetre, 1/16 in, or the pitch of a pattern of holes; mm. */
  readonly step: number;
  /** Of angles, degrees. */
  readonly angleStep: number;
  /** Wanted between a steering arm with its ball and the tyre that turns with it, mm. */
  readonly tyreGap: number;
  /** How much too near a linkage comes to what stands round it, mm; 0 where it passes all. */
  readonly crowded?: (built: Built, sweep: SteeringSweep) => number;
}
interface Summary extends AckermannSummary {
  /** How much too near it comes to what stands round it, mm. */
  readonly crowded: number;
}
export interface Proposal {
  readonly before: Summary;
  readonly after: Summary;
  /** What to hold instead. */
  readonly held: Held;
  readonly changes: readonly { readonly id: string; readonly from: number; readonly to: number }[];
  /** Linkages that were looked at. */
  readonly looked: number;
}
export interface SearchProgress {
  /** From 0 to 1. */
  readonly done: number;
}

/** Sweeps of the search are coarser than what is charted: the best is confirmed on the whole one. */
const STEPS = 17;
/** First steps are so many of what can be made. */
const WIDEST = 16;
/**
 * Degrees short of the lock and of the least angle at a rod, and mm that an arm is too near to its tyre or a part to a
 * tube than it is now, cost so much: more than any error that they could save.
 */
const COST = { lock: 10, rod: 2, tyre: 2, tube: 2 } as const;
/** A mm by which arms or rack are raised or lowered is worth so much error, degrees: it hardly changes any. */
const RAISED = 0.001;
/** Less than this nobody measures, degrees. */
const LEAST_GAIN = 0.02;
/** So many times the search sets out anew, from places of its own. */
const STARTS = 5;
/** A size is moved by so much at most, mm and degrees: the builder asked for his linkage mended, not for another. */
const FARTHEST = { length: 100, angle: 30 } as const;
/** An arm or a plate is made no shorter than this part of what it was. */
const SHORTEST = 0.6;

/**
 * Lowers the root-mean-square error of the outer wheel by moving the sizes that are left free, in steps that can be made,
 * and brings the linkage away from tubes that it comes too near to.
 * A pattern search (Hooke and Jeeves 1961) from several places, without chance: the same linkage gives the same answer.
 * It is never worse than what it set out from.
 * @yields how far it is, so that whoever runs it can stop
 * @returns none where nothing better was found
 */
export function* searchLinkage(
  linkage: Linkage,
  stance: Stance,
  held: Held,
  options: SearchOptions,
): Generator<SearchProgress, Proposal | undefined> {
  const { crowded, proposal: clear } = yield* part(searchOnce(linkage, stance, held, options, COST.tube), 0);
  if (crowded === 0) return clear;
  if (clear?.after.crowded === 0 && clear.after.rms <= clear.before.rms) return clear;
  // It cannot be brought clear, or only at the price of more error: as little error as there is, no nearer than it stands.
  return (yield* part(searchOnce(linkage, stance, held, options, 0), 1)).proposal;
}

/** What a search came to. */
interface Outcome {
  /** How much too near the linkage comes to what stands round it as it is held, mm. */
  readonly crowded: number;
  /** None where nothing better was found. */
  readonly proposal?: Proposal;
}

/** One of two searches, the second only where the first did not do: half of the way each. */
function* part<T>(search: Generator<SearchProgress, T>, which: 0 | 1): Generator<SearchProgress, T> {
  for (;;) {
    const next = search.next();
    if (next.done) return next.value;
    yield { done: (which + next.value.done) / 2 };
  }
}

/** @param worth degrees of error that a mm away from a tube is worth */
function* searchOnce(
  linkage: Linkage,
  stance: Stance,
  held: Held,
  { free, step, angleStep, tyreGap, crowded }: SearchOptions,
  worth: number,
): Generator<SearchProgress, Outcome> {
  const solvable = solvableOf(linkage, stance);
  const moves = linkage.sizes.filter(({ id }) => free.includes(id) && id in held);
  const plain = Object.keys(held).every((id) => solvable.state.includes(id));
  let looked = 0;
  const known = new Map<string, NonNullable<ReturnType<typeof summaryOf>> | 'none'>();
  const sized = (values: Held): Sizes | undefined => {
    if (plain) return solvable.refuse(values).length > 0 ? undefined : values;
    const solved = solveStance(solvable, values);
    return solved.ok ? solved.state : undefined;
  };
  const summaryOf = (values: Held, steps: number) => {
    const sizes = sized(values);
    if (!sizes) return undefined;
    const built = linkage.build(stance, sizes);
    const sweep = sweepOf(built.chain, stance.steered, sizes.lock!, linkage.reach, steps);
    const short = 2 * sizes.lock! - sweep.left.steer - sweep.right.steer;
    const rod = leastRodAngle(sweep)?.angle ?? 90;
    const summary = ackermannOf(stance.steered, sweep);
    return {
      ...summary,
      short: Math.max(0, short),
      rod,
      tyre: armToTyre(stance, built),
      raised: moves.reduce(
        (sum, { id, bumps }) => (bumps ? sum + Math.abs(values[id]! - held[id]!) : sum),
        0,
      ),
      tube: onceOnly(() => crowded?.(built, sweep) ?? 0),
    };
  };
  const start = summaryOf(held, STEPS);
  // What it sets out with may stay as it is, but becomes no worse.
  const leastRod = Math.min(LEAST_ROD_ANGLE, start?.rod ?? LEAST_ROD_ANGLE);
  const leastTyre = Math.min(tyreGap, start?.tyre ?? tyreGap);
  const mostTube = start?.tube() ?? 0;
  const plainCost = ({ rms, short, rod, tyre, raised }: NonNullable<typeof start>) =>
    rms +
    RAISED * raised +
    COST.lock * short +
    COST.rod * Math.max(0, leastRod - rod) +
    COST.tyre * Math.max(0, leastTyre - tyre);
  const costIn = (summary: NonNullable<typeof start>) =>
    plainCost(summary) + COST.tube * Math.max(0, summary.tube() - mostTube) + worth * summary.tube();
  /** Or what it costs without its tubes, where that is too much already: to look at them takes longest. */
  const costOf = (values: Held, tooMuch: number, steps = STEPS): number => {
    const key = `${steps}: ${moves.map(({ id }) => values[id]!.toFixed(4)).join(' ')}`;
    let summary = known.get(key);
    if (summary === undefined) {
      looked += 1;
      known.set(key, (summary = summaryOf(values, steps) ?? 'none'));
    }
    if (summary === 'none') return Infinity;
    const plain = plainCost(summary);
    return plain >= tooMuch ? plain : costIn(summary);
  };
  const within = ({ id, quantity, limits, mayBeNone }: (typeof moves)[number], value: number) => {
    const most = quantity === 'angle' ? FARTHEST.angle : FARTHEST.length;
    const same = quantity === 'angle' || mayBeNone || value / held[id]! >= SHORTEST;
    return same && value >= limits[0] && value <= limits[1] && Math.abs(value - held[id]!) <= most;
  };
  /** On the grid of what can be made. */
  const made = (quantity: string | undefined, value: number) => {
    const grain = quantity === 'angle' ? angleStep : step;
    return Math.round(Math.round(value / grain) * grain * 1e6) / 1e6;
  };
  const moved = (values: Held, move: (typeof moves)[number], by: number): Held | undefined => {
    const grain = move.quantity === 'angle' ? angleStep : step;
    const value = made(move.quantity, values[move.id]! + by * grain);
    return within(move, value) ? { ...values, [move.id]: value } : undefined;
  };

  let best = { values: held, cost: start ? costIn(start) : Infinity };
  const rounds = Math.log2(WIDEST) + 1;
  for (let from = 0; from < STARTS && moves.length > 0; from += 1) {
    let values: Held = { ...held };
    // Other places to set out from: each free size to one side or the other, by its place in the list.
    for (const [index, move] of moves.entries()) {
      const by = from === 0 ? 0 : ((from + index) % 2 === 0 ? 1 : -1) * (from > 2 ? WIDEST : WIDEST / 2);
      values = moved(values, move, by) ?? values;
    }
    let cost = costOf(values, Infinity);
    for (let size = WIDEST, round = 0; size >= 1; size /= 2, round += 1) {
      yield { done: (from + round / rounds) / STARTS };
      for (let better = true; better;) {
        better = false;
        const before = values;
        for (const move of moves)
          for (const by of [size, -size]) {
            const next = moved(values, move, by);
            const nextCost = next ? costOf(next, cost) : Infinity;
            if (next && nextCost < cost - 1e-9) [values, cost, better] = [next, nextCost, true];
          }
        if (!better) break;
        // On in the same direction, as long as it pays.
        const onward = moves.reduce<Held>((all, move) => {
          const ahead = made(move.quantity, 2 * all[move.id]! - before[move.id]!);
          return within(move, ahead) ? { ...all, [move.id]: ahead } : all;
        }, values);
        const onwardCost = costOf(onward, cost);
        if (onwardCost < cost - 1e-9) [values, cost] = [onward, onwardCost];
      }
    }
    if (cost < best.cost - 1e-9) best = { values, cost };
  }
  yield { done: 1 };
  // The coarse sweep told where; the whole one tells which of the neighbours.
  best = { ...best, cost: costOf(best.values, Infinity, STEPS_OF_SWEEP) };
  for (let better = true; better;) {
    better = false;
    for (const move of moves)
      for (const by of [4, -4, 1, -1]) {
        const next = moved(best.values, move, by);
        const cost = next ? costOf(next, best.cost, STEPS_OF_SWEEP) : Infinity;
        if (next && cost < best.cost - 1e-9) [best, better] = [{ values: next, cost }, true];
      }
  }
  const [before, after] = [summaryOf(held, STEPS_OF_SWEEP), summaryOf(best.values, STEPS_OF_SWEEP)];
  if (!before || !after || !(costIn(after) < costIn(before) - LEAST_GAIN)) return { crowded: mostTube };
  const proposal = {
    before: { rms: before.rms, worst: before.worst, crowded: before.tube() },
    after: { rms: after.rms, worst: after.worst, crowded: after.tube() },
    held: best.values,
    changes: moves
      .filter(({ id }) => best.values[id] !== held[id])
      .map(({ id }) => ({ id, from: held[id]!, to: best.values[id]! })),
    looked,
  };
  return { crowded: before.tube(), proposal };
}

/** Half an arm, and half of a rod's end with its nut; mm. Common practice, no source. */
const ARM = { half: 6, ball: 14 } as const;

/** Gap of the left steering arm to its own tyre, mm: both turn about the kingpin, so that it stays the same. */
function armToTyre(stance: Stance, { points }: Built): number {
  const [root, end] = [points['steering.armRootLeft'], points['steering.armLeft']];
  if (!root || !end) return Infinity;
  const wheel = tyre(stance.steered[0]!);
  return Math.min(gap(rodFrom(root.at, end.at, ARM.half), wheel), gap(ballAt(end.at, ARM.ball), wheel));
}

function onceOnly<T>(work: () => T): () => T {
  let made: { readonly value: T } | undefined;
  return () => (made ??= { value: work() }).value;
}

/** What a search may move of a linkage as it is held. */
export const searchable = (linkage: Linkage, held: Held): readonly string[] =>
  linkage.sizes.filter(({ id, searched }) => searched && id in held).map(({ id }) => id);
