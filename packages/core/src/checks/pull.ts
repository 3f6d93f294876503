import { Matrix, pseudoInverse } from 'ml-matrix';
import type { KeyId } from '../fixture/keys.js';
import { along, type Vector } from '../vector/vector.js';
import { placesOf, type AsBuilt, type WithOutcomes } from './asBuilt.js';
import type { AsBuiltFigure } from './figure.js';
import { leversFor, type By, type Lever } from './levers.js';

/** One thing to do, in the order in which it is done. */
export interface Pull {
  readonly lever: string;
  readonly what: string;
  readonly way: string;
  readonly how: By;
  /** So far it shall have gone when it is let go, mm. */
  readonly by: number;
  /** It goes beyond what is usually taken cold. */
  readonly much: boolean;
}
/** What to do about a frame that came out otherwise, and what comes of it. */
export interface Advice {
  readonly pulls: readonly Pull[];
  /** Every figure that is out of its tolerance, or that the pulls move by more than a tenth of it. */
  readonly figures: readonly {
    readonly id: string;
    readonly name: string;
    readonly before: number;
    readonly after: number;
  }[];
  /** Out of tolerance still, by figure. */
  readonly left: readonly string[];
}

/** More pulls than so many are a new frame. */
const MOST_PULLS = 4;
/** A lever that takes away less than this of what is left is not worth it. */
const WORTH = 0.15;
/** Moves smaller than this cannot be made, mm. */
export const LEAST = 0.3;

/**
 * Where to pull, push or shim, so that what is out of tolerance comes back: lever by lever the one that helps most, all
 * taken ones fitted anew each time, until nothing is out or nothing helps. Source: orthogonal matching pursuit.
 */
export function adviceFor(
  network: WithOutcomes,
  { figures, displaced, stage }: Pick<AsBuilt, 'figures' | 'displaced' | 'stage'>,
): Advice {
  const { keys, measurer, points } = network;
  const built = (id: string): Vector => along(points[id]!.at, displaced[id] ?? [0, 0, 0], 1);
  // The toe is no matter of where the frame's points lie: rods are turned for it.
  const told = figures
    .slice(0, measurer.definitions.length)
    .map((figure, index) => ({ figure, index }))
    .filter(({ figure }) => figure.told);
  const levers = leversFor(keys, stage);
  const at = (amounts: readonly number[], taken: readonly Lever[]) =>
    measurer.at(placesOf(keys, (id) => moved(built(id), id, amounts, taken)));
  const now = at([], []);
  // Each counted in its own tolerance, or in what the readings leave open where that is more.
  const off = (values: readonly number[]) =>
    told.map(
      ({ figure: { drawn, tolerance, sigma }, index }) =>
        (values[index]! - drawn) / Math.max(tolerance.value, 2 * sigma),
    );
  const wanted = off(now);
  const outside = (values: readonly number[]) => off(values).some((each) => Math.abs(each) > 1);
  const effects = levers.map((lever) => {
    const one = off(at([1], [lever]));
    return one.map((value, row) => value - wanted[row]!);
  });
  let taken: number[] = [];
  let amounts: number[] = [];
  let values = now;
  while (outside(values) && taken.length < MOST_PULLS) {
    const before = sumOf(off(values));
    const [best] = levers
      .map((_, index) => index)
      .filter((index) => !taken.includes(index))
      .map((index) => {
        const next = [...taken, index];
        const fit = fitted(
          next.map((each) => effects[each]!),
          wanted,
        );
        const then = at(
          fit,
          next.map((each) => levers[each]!),
        );
        return { next, fit, then, sum: sumOf(off(then)) };
      })
      .sort((a, b) => a.sum - b.sum);
    if (!best || best.sum > before * (1 - WORTH)) break;
    [taken, amounts, values] = [best.next, best.fit, best.then];
  }
  const pulls = taken.flatMap((index, order) => pullOf(levers[index]!, amounts[order]!));
  return {
    pulls,
    figures: changed(told, now, values),
    left: told
      .filter(
        ({ figure: { drawn, tolerance, sigma }, index }) =>
          Math.abs(values[index]! - drawn) > Math.max(tolerance.value, 2 * sigma),
      )
      .map(({ figure }) => figure.id),
  };
}
const sumOf = (values: readonly number[]): number => values.reduce((sum, each) => sum + each * each, 0);

function moved(from: Vector, id: string, amounts: readonly number[], taken: readonly Lever[]): Vector {
  return taken.reduce(
    (place, { moves, along: way }, index) =>
      moves.includes(id as KeyId) ? along(place, way, amounts[index]!) : place,
    from,
  );
}

/** Amounts that take away the most, all at once: least squares. */
function fitted(columns: readonly (readonly number[])[], wanted: readonly number[]): number[] {
  const matrix = new Matrix(wanted.map((_, row) => columns.map((column) => column[row]!)));
  return pseudoInverse(matrix)
    .mmul(Matrix.columnVector([...wanted]))
    .to1DArray()
    .map((value) => -value);
}

function pullOf({ id, what, ways, how, most }: Lever & { readonly how: By }, amount: number): Pull[] {
  const by = Math.abs(amount);
  if (by < LEAST) return [];
  return [
    {
      ...{ lever: id, what, way: amount > 0 ? ways[0] : ways[1], how, by, much: how === 'cold' && by > most },
    },
  ];
}

/** A change of a tenth of its tolerance is told. */
const TELLS = 0.1;
const changed = (
  told: readonly { readonly figure: AsBuiltFigure; readonly index: number }[],
  before: readonly number[],
  after: readonly number[],
): Advice['figures'] =>
  told
    .filter(
      ({ figure: { drawn, tolerance }, index }) =>
        Math.abs(before[index]! - drawn) > tolerance.value ||
        Math.abs(after[index]! - before[index]!) > TELLS * tolerance.value,
    )
    .map(({ figure: { id, name }, index }) => ({
      ...{ id, name, before: before[index]!, after: after[index]! },
    }));
