import { Matrix, solve as solveLinear } from 'ml-matrix';
import { formatAngle } from '../units/angle.js';
import { lengthBothWays } from '../units/length.js';
import type { Dimension, Kind, Refusal, State } from './dimension.js';

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

const TOLERANCE = 1e-9;
const ITERATIONS = 40;

/**
 * Finds the state in which every held dimension has its value, and evaluates all that follow.
 *
 * Held dimensions that are themselves entries of the state are put in as they are; the few that are left are met by a
 * damped Newton iteration from the kind's own start, so that the nearest solution is found. Held values are met to 1e-9.
 *
 * @param kind the registry of dimensions
 * @param held value by dimension id (mm, degrees); as many independent ones as the kind has state entries
 */
export function solveStance(
  kind: Kind,
  held: Readonly<Record<string, number>>,
): SolvedStance | RefusedStance {
  const early = [...unknownOrOutside(kind, held), ...miscounted(kind, held)];
  if (early.length > 0) return { ok: false, refusals: early };
  const free = kind.state.filter((entry) => !(entry in held));
  const wanted = kind.dimensions.filter(
    (dimension) => dimension.id in held && !kind.state.includes(dimension.id),
  );
  const known = Object.fromEntries(kind.state.map((entry) => [entry, held[entry] ?? kind.start[entry] ?? 0]));
  // An impossible shape is named before the iteration, so that its own limit is told and not 'no such vehicle'.
  const impossible = kind.refuse(known).filter((refusal) => refusal.where in held);
  if (impossible.length > 0) return { ok: false, refusals: impossible };
  const state = free.length === 0 ? known : newton(known, free, wanted, held);
  if (!state) return { ok: false, refusals: wanted.map((dimension) => noSolution(dimension, held)) };
  const refusals = kind.refuse(state);
  if (refusals.length > 0) return { ok: false, refusals };
  return { ok: true, state, values: evaluateAll(kind, state) };
}

export function evaluateAll(kind: Kind, state: State): Readonly<Record<string, number>> {
  return Object.fromEntries(kind.dimensions.map((dimension) => [dimension.id, dimension.evaluate(state)]));
}

function unknownOrOutside(kind: Kind, held: Readonly<Record<string, number>>): Refusal[] {
  return Object.entries(held).flatMap(([id, value]) => {
    const dimension = kind.dimensions.find((candidate) => candidate.id === id);
    if (!dimension)
      return [{ where: id, message: `A ${kind.name.toLowerCase()} has no dimension called “${id}”.` }];
    const [low, high] = dimension.limits;
    if (Number.isFinite(value) && value >= low && value <= high) return [];
    const measure = dimension.quantity === 'angle' ? formatAngle : lengthBothWays;
    return [
      { where: id, message: `${dimension.name} must lie between ${measure(low)} and ${measure(high)}.` },
    ];
  });
}

function miscounted(kind: Kind, held: Readonly<Record<string, number>>): Refusal[] {
  const missing = kind.dimensions
    .filter((dimension) => dimension.role === 'given' && !(dimension.id in held))
    .map((dimension) => ({ where: dimension.id, message: `${dimension.name} is missing: it must be held.` }));
  const groups = kind.exchange.flatMap((group) => {
    const names = group.map((id) =>
      kind.dimensions.find((dimension) => dimension.id === id)?.name.toLowerCase(),
    );
    const count = group.filter((id) => id in held).length;
    return count === 1
      ? []
      : [{ where: group[0]!, message: `Hold exactly one of ${names.join(', ')}; ${count} are held.` }];
  });
  const never = kind.dimensions
    .filter((dimension) => dimension.role === 'follows' && dimension.id in held)
    .map((dimension) => ({
      where: dimension.id,
      message: `${dimension.name} follows from the others: it cannot be held.`,
    }));
  return [...missing, ...groups, ...never];
}

function noSolution(dimension: Dimension, held: Readonly<Record<string, number>>): Refusal {
  return {
    where: dimension.id,
    message: `No such vehicle: a ${dimension.name.toLowerCase()} of ${held[dimension.id]} cannot be met with the other held dimensions.`,
  };
}

function newton(
  known: State,
  free: readonly string[],
  wanted: readonly Dimension[],
  held: Readonly<Record<string, number>>,
): State | undefined {
  const residuals = (state: State): number[] =>
    wanted.map((dimension) => dimension.evaluate(state) - held[dimension.id]!);
  const size = (errors: readonly number[]): number => Math.max(...errors.map(Math.abs));
  let state = known;
  let errors = residuals(state);
  for (let round = 0; round < ITERATIONS && size(errors) > TOLERANCE; round += 1) {
    const step = newtonStep(state, free, errors, residuals);
    if (!step) return undefined;
    let factor = 1;
    let next = moved(state, free, step, factor);
    let nextErrors = residuals(next);
    while (!(size(nextErrors) < size(errors)) && factor > 1e-6) {
      factor /= 2;
      next = moved(state, free, step, factor);
      nextErrors = residuals(next);
    }
    if (!(size(nextErrors) < size(errors))) break;
    state = next;
    errors = nextErrors;
  }
  return size(errors) <= 1e-7 ? state : undefined;
}

function newtonStep(
  state: State,
  free: readonly string[],
  errors: readonly number[],
  residuals: (state: State) => number[],
): number[] | undefined {
  const h = 1e-4;
  const columns = free.map((entry) => {
    const ahead = residuals({ ...state, [entry]: state[entry]! + h });
    const behind = residuals({ ...state, [entry]: state[entry]! - h });
    return ahead.map((value, row) => (value - behind[row]!) / (2 * h));
  });
  if (free.length === 1)
    return Math.abs(columns[0]![0]!) < 1e-12 ? undefined : [errors[0]! / columns[0]![0]!];
  try {
    const jacobian = new Matrix(columns).transpose();
    return solveLinear(jacobian, Matrix.columnVector([...errors])).to1DArray();
  } catch {
    return undefined; // a singular Jacobian: these dimensions do not fix the vehicle
  }
}

function moved(state: State, free: readonly string[], step: readonly number[], factor: number): State {
  const changes = free.map((entry, index) => [entry, state[entry]! - factor * step[index]!] as const);
  return { ...state, ...Object.fromEntries(changes) };
}
