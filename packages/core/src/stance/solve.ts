import { Matrix, solve as solveLinear, SVD } from 'ml-matrix';
import { formatAngle } from '../units/angle.js';
import { lengthBothWays } from '../units/length.js';
import { asSentence, nameInText, withArticle } from '../words.js';
import type { Dimension, Refusal, Solvable, State } from './dimension.js';

export interface SolvedStance {
  readonly ok: true;
  readonly state: State;
  /** Every dimension's value by id, held and following. */
  readonly values: Readonly<Record<string, number>>;
}
export interface RefusedStance {
  readonly ok: false;
  readonly refusals: readonly Refusal[];
}
export type Held = Readonly<Record<string, number>>;

/** What is still to be found: state entries that are not held, and held dimensions that are no entries. */
interface Unknowns {
  readonly free: readonly string[];
  readonly wanted: readonly Dimension[];
}

const TOLERANCE = 1e-9;
/** How long a solution is sought: from near by, at any cost; from afar it is come to in a few whole steps, or given up. */
interface Patience {
  readonly iterations: number;
  readonly leastFactor: number;
  /** Where given, no step goes beyond these limits of the free entries. */
  readonly within?: Limits;
}
const NEAR_BY: Patience = { iterations: 60, leastFactor: 1e-6 };
const FROM_AFAR: Patience = { iterations: 8, leastFactor: 0.2 };

/**
 * Finds the state in which every held dimension has its value, and evaluates all that follow.
 *
 * Held dimensions that are themselves entries of the state are put in as they are; the few that are left are met by a
 * damped Newton iteration from `near`, so that the nearest solution is found. Held values are met to 1e-9.
 *
 * @param kind the registry of dimensions
 * @param held value by dimension id (mm, degrees); as many independent ones as the kind has state entries
 * @param near state entries to set out from, where the kind's own start is not near enough
 */
export function solveStance(kind: Solvable, held: Held, near: State = {}): SolvedStance | RefusedStance {
  const early = [...unknownOrOutside(kind, held), ...miscounted(kind, held)];
  if (early.length > 0) return { ok: false, refusals: early };
  // An impossible shape is named before the iteration, so that its own limit is told and not 'no such vehicle'.
  const impossible = kind.refuse(held).filter((refusal) => refusal.where in held);
  if (impossible.length > 0) return { ok: false, refusals: impossible };
  const unknowns = unknownsOf(kind, held);
  const found = meet(kind, held, near, unknowns);
  if (found.is === 'found') {
    const refusals = kind.refuse(found.state);
    return refusals.length > 0 ? { ok: false, refusals } : solved(kind, found.state);
  }
  if (found.is === 'dependent') return { ok: false, refusals: dependent(found.dimensions) };
  const blamed = unknowns.wanted.map((dimension) => ({
    dimension,
    limit: nearestThatWorks(kind, held, near, unknowns, dimension),
  }));
  // Where changing one of them would mend it, only such are named.
  const helpful = blamed.filter(({ limit }) => limit !== undefined);
  const refusals = (helpful.length > 0 ? helpful : blamed).map(({ dimension, limit }) => {
    const asked = aValue(dimension, held[dimension.id]!);
    const why =
      found.is === 'outside'
        ? `${asSentence(asked)} needs ${aValue(found.entry, found.value)}, which must lie between ${measure(found.entry, found.entry.limits[0])} and ${measure(found.entry, found.entry.limits[1])}.`
        : `No such vehicle: ${asked} cannot be met with the other held dimensions.`;
    return {
      where: dimension.id,
      message:
        limit === undefined ? why : `${why} The nearest that can be met is ${measure(dimension, limit)}.`,
    };
  });
  return { ok: false, refusals };
}

/** A drag solves many times and asks for no values: they are worked out when they are first asked for. */
function solved(kind: Solvable, state: State): SolvedStance {
  let values: SolvedStance['values'] | undefined;
  return {
    ok: true,
    state,
    get values() {
      return (values ??= evaluateAll(kind, state));
    },
  };
}

export function evaluateAll(kind: Solvable, state: State): Readonly<Record<string, number>> {
  const values: Record<string, number> = {};
  for (const dimension of kind.dimensions) values[dimension.id] = dimension.evaluate(state);
  return values;
}

export function unknownsOf(kind: Solvable, held: Held): Unknowns {
  return {
    free: kind.state.filter((entry) => !(entry in held)),
    wanted: kind.dimensions.filter(({ id }) => id in held && !kind.state.includes(id)),
  };
}

/**
 * Other states that meet the same held dimensions, each within every limit. Looked for from far values of the free
 * entries that bend the held dimensions most, so that one may be missed; one that is given is real.
 * @param held the held dimensions by id, mm and degrees
 * @param state the one that is known
 */
export function otherSolutions(kind: Solvable, held: Held, state: State): State[] {
  const { free, wanted } = unknownsOf(kind, held);
  const found: State[] = [];
  for (const { entry, low, high } of mostBent(kind, state, free, wanted)) {
    for (const value of [low, high]) {
      const from = { ...state, [entry]: value };
      const other = newton(from, free, wanted, held, FROM_AFAR);
      if (!other.met || outsideEntry(kind, other.state, free) || kind.refuse(other.state).length > 0)
        continue;
      const known = [state, ...found].some((each) =>
        free.every((id) => Math.abs(each[id]! - other.state[id]!) < 1e-3),
      );
      if (!known) found.push(other.state);
    }
  }
  return found;
}

const MOST_BENT = 3;

/**
 * The entries in which what is wanted is least straight, each with two far values. In an entry in which all is straight a
 * second solution has no room.
 */
function mostBent(kind: Solvable, state: State, free: readonly string[], wanted: readonly Dimension[]) {
  return free
    .map((entry) => {
      const [lowest, highest] = limitsOf(kind, entry);
      const [low, high] = [0.1, 0.9].map((share) => lowest + (highest - lowest) * share) as [number, number];
      const share = (state[entry]! - low) / (high - low);
      const bends = wanted.map(({ evaluate }) => {
        const [a, b] = [evaluate({ ...state, [entry]: low }), evaluate({ ...state, [entry]: high })];
        return Math.abs(evaluate(state) - (a + (b - a) * share));
      });
      // Where a far value gives no figure at all, the entry bends as much as can be.
      return {
        entry,
        low,
        high,
        bend: Math.max(...bends.map((bend) => (Number.isFinite(bend) ? bend : 1e9))),
      };
    })
    .filter(({ bend }) => bend > 1e-6)
    .sort((a, b) => b.bend - a.bend)
    .slice(0, MOST_BENT);
}

type Met =
  | { readonly is: 'found'; readonly state: State }
  | { readonly is: 'nothing' }
  | { readonly is: 'outside'; readonly entry: Dimension; readonly value: number }
  | { readonly is: 'dependent'; readonly dimensions: readonly Dimension[] };

function meet(kind: Solvable, held: Held, near: State, { free, wanted }: Unknowns): Met {
  const from: Record<string, number> = { ...kind.start, ...near };
  for (const entry of kind.state) if (entry in held) from[entry] = held[entry]!;
  if (free.length === 0) return { is: 'found', state: from };
  const first = landed(kind, newton(from, free, wanted, held), free);
  if (first.is === 'found') return first;
  // A long step may have left for a solution of another turn, where one within the limits lies near by.
  const kept = landed(
    kind,
    newton(from, free, wanted, held, { ...NEAR_BY, within: limitsOfAll(kind, free) }),
    free,
  );
  if (kept.is === 'found' || first.is === 'outside') return kept.is === 'found' ? kept : first;
  const tied = dependentOf(from, free, wanted);
  return tied.length > 0 ? { is: 'dependent', dimensions: tied } : first;
}

function landed(kind: Solvable, { state: reached, met }: Reached, free: readonly string[]): Met {
  if (!met) return { is: 'nothing' };
  const state = atLimits(kind, reached, free);
  const entry = outsideEntry(kind, state, free);
  return entry ? { is: 'outside', entry, value: state[entry.id]! } : { is: 'found', state };
}

type Limits = Readonly<Record<string, readonly [number, number]>>;

const limitsOfAll = (kind: Solvable, entries: readonly string[]): Limits =>
  Object.fromEntries(entries.map((entry) => [entry, limitsOf(kind, entry)]));

const limitsOf = (kind: Solvable, entry: string): readonly [number, number] =>
  kind.dimensions.find(({ id }) => id === entry)!.limits;

/** Free entries a rounding error beyond a limit are on it. */
function atLimits(kind: Solvable, state: State, free: readonly string[]): State {
  const onLimit = free.flatMap((id) =>
    limitsOf(kind, id)
      .filter((limit) => state[id] !== limit && Math.abs(state[id]! - limit) < 1e-7)
      .map((limit) => [id, limit] as const),
  );
  return onLimit.length > 0 ? { ...state, ...Object.fromEntries(onLimit) } : state;
}

const outsideEntry = (kind: Solvable, state: State, free: readonly string[]): Dimension | undefined =>
  kind.dimensions.find(
    ({ id, limits }) => free.includes(id) && !(state[id]! >= limits[0] && state[id]! <= limits[1]),
  );

/** The value of one held dimension, between a reachable one and the one asked for, at which a vehicle is just still found. */
function nearestThatWorks(
  kind: Solvable,
  held: Held,
  near: State,
  unknowns: Unknowns,
  dimension: Dimension,
): number | undefined {
  const works = (value: number): boolean => {
    const asked = { ...held, [dimension.id]: value };
    const found = meet(kind, asked, near, unknowns);
    return found.is === 'found' && kind.refuse(found.state).length === 0;
  };
  let good = dimension.evaluate({ ...kind.start, ...near, ...held });
  let bad = held[dimension.id]!;
  if (!works(good)) return undefined;
  for (let round = 0; round < 30; round += 1) {
    const middle = (good + bad) / 2;
    if (works(middle)) good = middle;
    else bad = middle;
  }
  return good;
}

function unknownOrOutside(kind: Solvable, held: Held): Refusal[] {
  return Object.entries(held).flatMap(([id, value]) => {
    const dimension = kind.dimensions.find((candidate) => candidate.id === id);
    if (!dimension)
      return [
        { where: id, message: `${asSentence(withArticle(kind.name))} has no dimension called “${id}”.` },
      ];
    const message = outsideLimits(dimension, value);
    return message === undefined ? [] : [{ where: id, message }];
  });
}

/** Why a dimension cannot be held at a value, whatever else is held; undefined when it can. */
export function outsideLimits(dimension: Dimension, value: number): string | undefined {
  const [low, high] = dimension.limits;
  return Number.isFinite(value) && value >= low && value <= high
    ? undefined
    : `${dimension.name} must lie between ${measure(dimension, low)} and ${measure(dimension, high)}.`;
}

function miscounted(kind: Solvable, held: Held): Refusal[] {
  const { free, wanted } = unknownsOf(kind, held);
  const missing = kind.given.filter((id) => !(id in held));
  if (missing.length > 0)
    return missing.map((id) => ({
      where: id,
      message: `${nameOf(kind, id)} is missing: the wheels give it.`,
    }));
  if (free.length === wanted.length) return [];
  if (free.length > wanted.length) {
    const names = free.map((id) => nameOf(kind, id)).join(', ');
    return free.map((where) => ({
      where,
      message: `${free.length - wanted.length} more must be held before the vehicle is fixed: of ${names}, or what follows from them.`,
    }));
  }
  const extra = wanted.length - free.length;
  return wanted.map(({ id, name }) => ({
    where: id,
    message: `${name} cannot be held as well: ${extra === 1 ? 'one held dimension is' : `${extra} held dimensions are`} too many. Let one go.`,
  }));
}

const nameOf = (kind: Solvable, id: string): string =>
  kind.dimensions.find((each) => each.id === id)?.name ?? id;
export const measure = (dimension: Dimension, value: number): string =>
  dimension.quantity === 'angle' ? formatAngle(value) : lengthBothWays(value);
const aValue = (dimension: Dimension, value: number): string =>
  `${withArticle(dimension.name)} of ${measure(dimension, value)}`;

/** Held dimensions that say the same thing twice: their rows of the Jacobian depend on each other. */
function dependentOf(
  state: State,
  free: readonly string[],
  wanted: readonly Dimension[],
): readonly Dimension[] {
  const jacobian = jacobianOf(state, free, wanted);
  if (jacobian.to1DArray().some((value) => !Number.isFinite(value))) return [];
  const { diagonal, leftSingularVectors } = new SVD(jacobian, { autoTranspose: true });
  const last = diagonal.length - 1;
  if (diagonal[last]! > 1e-7 * Math.max(1, diagonal[0]!)) return [];
  return wanted.filter((_, row) => Math.abs(leftSingularVectors.get(row, last)) > 1e-3);
}

function dependent(dimensions: readonly Dimension[]): Refusal[] {
  const names = dimensions.map(({ name }) => nameInText(name)).join(' and ');
  return dimensions.map(({ id }) => ({
    where: id,
    message:
      dimensions.length > 1
        ? `The held ${names} contradict or repeat each other: let one of them go.`
        : `The ${names} does not depend on anything that is left to follow: let it go, or another.`,
  }));
}

/** Central differences; one row a dimension, one column a state entry. */
export function jacobianOf(
  state: State,
  entries: readonly string[],
  dimensions: readonly Dimension[],
): Matrix {
  const h = 1e-4;
  const columns = entries.map((entry) => {
    const ahead = { ...state, [entry]: state[entry]! + h };
    const behind = { ...state, [entry]: state[entry]! - h };
    return dimensions.map((dimension) => (dimension.evaluate(ahead) - dimension.evaluate(behind)) / (2 * h));
  });
  return new Matrix(columns).transpose();
}

interface Reached {
  readonly state: State;
  readonly met: boolean;
}

function newton(
  from: State,
  free: readonly string[],
  wanted: readonly Dimension[],
  held: Held,
  { iterations, leastFactor, within }: Patience = NEAR_BY,
): Reached {
  const residuals = (state: State): number[] =>
    wanted.map((dimension) => dimension.evaluate(state) - held[dimension.id]!);
  const size = (errors: readonly number[]): number => Math.max(...errors.map(Math.abs));
  let state = from;
  let errors = residuals(state);
  for (let round = 0; round < iterations && !(size(errors) <= TOLERANCE); round += 1) {
    const step = newtonStep(state, free, wanted, errors);
    if (!step) break;
    let factor = 1;
    let next = moved(state, free, step, factor, within);
    let nextErrors = residuals(next);
    while (!(size(nextErrors) < size(errors)) && factor > leastFactor) {
      factor /= 2;
      next = moved(state, free, step, factor, within);
      nextErrors = residuals(next);
    }
    if (!(size(nextErrors) < size(errors))) break;
    state = next;
    errors = nextErrors;
  }
  return { state, met: size(errors) <= 1e-7 };
}

function newtonStep(
  state: State,
  free: readonly string[],
  wanted: readonly Dimension[],
  errors: readonly number[],
): number[] | undefined {
  const jacobian = jacobianOf(state, free, wanted);
  if (free.length === 1) {
    const slope = jacobian.get(0, 0);
    return Math.abs(slope) > 1e-12 ? [errors[0]! / slope] : undefined;
  }
  try {
    return solveLinear(jacobian, Matrix.columnVector([...errors])).to1DArray();
  } catch {
    return undefined; // a singular Jacobian: these dimensions do not fix the vehicle
  }
}

function moved(
  state: State,
  free: readonly string[],
  step: readonly number[],
  factor: number,
  within?: Limits,
): State {
  const next = { ...state };
  free.forEach((entry, index) => {
    const to = state[entry]! - factor * step[index]!;
    next[entry] = within ? Math.min(within[entry]![1], Math.max(within[entry]![0], to)) : to;
  });
  return next;
}
