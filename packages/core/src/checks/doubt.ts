import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** An equation: how what it says goes with the unknowns, and how well it says it (one standard deviation). */
export interface Equation {
  readonly row: Float64Array;
  readonly sigma: number;
}
/** A covariance that is asked for rows only, and never written out. */
export interface Doubt {
  /** Its product with a row. */
  readonly times: (row: Float64Array) => Float64Array;
}

export const dotOf = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let index = 0; index < a.length; index += 1) sum += a[index]! * b[index]!;
  return sum;
};
const placesOf = (row: Float64Array): number[] => {
  const there: number[] = [];
  for (let index = 0; index < row.length; index += 1) if (row[index] !== 0) there.push(index);
  return there;
};

/** What a covariance makes of a row: its variance. */
export const varianceOf = (doubt: Doubt, row: Float64Array): number => dotOf(row, doubt.times(row));

/**
 * Unknowns that are each known to `loose` before, and what equations make of them: their covariance, and how far they are off.
 * There are fewer equations than unknowns where few were read, so it is solved for the equations:
 * C = P - P Jt (J P Jt + R)^-1 J P. Source: Bayesian least squares in the dual form.
 * @param equations all with rows of one length
 * @param loose standard deviation of each unknown before
 */
export function settledBy(
  equations: readonly Equation[],
  loose: number,
): Doubt & {
  /** How far the unknowns are off, where the equations are off by so much. */
  readonly offBy: (off: readonly number[]) => Float64Array;
  /**
   * Variance of how far an equation is off once all are settled: its own, less that of what it is said to be by then.
   * R - J C Jt of one equation is R (J P Jt + R)^-1 R. Source: the same form.
   */
  readonly leftOf: (equation: number) => number;
} {
  const before = loose * loose;
  const places = equations.map(({ row }) => placesOf(row));
  const size = equations.length;
  const sum = new Matrix(size, size);
  for (let a = 0; a < size; a += 1)
    for (let b = a; b < size; b += 1) {
      let product = 0;
      for (const place of places[a]!) product += equations[a]!.row[place]! * equations[b]!.row[place]!;
      const value = before * product + (a === b ? equations[a]!.sigma ** 2 : 0);
      sum.set(a, b, value);
      sum.set(b, a, value);
    }
  const lower = size > 0 ? new CholeskyDecomposition(sum) : undefined;
  let inverse: readonly Float64Array[] | undefined;
  /** Written out once a variance is asked for, and not before: to settle, one solution is enough. */
  const inverted = (): readonly Float64Array[] =>
    (inverse ??= (lower?.solve(Matrix.eye(size)).to2DArray() ?? []).map((row) => Float64Array.from(row)));
  /** P Jt of values, one an equation. */
  const carried = (values: readonly number[], length: number): Float64Array => {
    const out = new Float64Array(length);
    values.forEach((value, index) => {
      for (const place of places[index]!) out[place]! += before * equations[index]!.row[place]! * value;
    });
    return out;
  };
  return {
    times: (row) => {
      const reached = Float64Array.from(equations, (equation, index) => {
        let product = 0;
        for (const place of places[index]!) product += equation.row[place]! * row[place]!;
        return before * product;
      });
      const known = carried(
        inverted().map((each) => dotOf(each, reached)),
        row.length,
      );
      return known.map((value, index) => before * row[index]! - value);
    },
    leftOf: (equation) => equations[equation]!.sigma ** 4 * inverted()[equation]![equation]!,
    offBy: (off) =>
      carried(lower?.solve(Matrix.columnVector([...off])).to1DArray() ?? [], equations[0]?.row.length ?? 0),
  };
}

/** A covariance that takes one equation after another in. Source: update by one measurement. */
export function growing(
  size: number,
  loose: number,
): Doubt & { readonly takeIn: (equation: Equation) => void } {
  const taken: { readonly moved: Float64Array; readonly all: number }[] = [];
  const times = (row: Float64Array): Float64Array => {
    const out = row.map((value) => value * loose * loose);
    for (const { moved, all } of taken) {
      const share = dotOf(moved, row) / all;
      if (share !== 0) for (let index = 0; index < size; index += 1) out[index]! -= moved[index]! * share;
    }
    return out;
  };
  return {
    times,
    takeIn: ({ row, sigma }) => {
      const moved = times(row);
      taken.push({ moved, all: sigma ** 2 + dotOf(row, moved) });
    },
  };
}

/** By how much an equation more would lessen the variance of each of some rows. */
export function gainsOf(
  doubt: Doubt,
  rows: readonly Float64Array[],
  { row: more, sigma }: Equation,
): number[] {
  const moved = doubt.times(more);
  const all = sigma ** 2 + dotOf(more, moved);
  return rows.map((row) => dotOf(row, moved) ** 2 / all);
}
