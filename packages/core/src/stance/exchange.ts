import { Matrix, solve as solveLinear } from 'ml-matrix';
import type { Solvable, State } from './dimension.js';
import { jacobianOf, unknownsOf, type Held } from './solve.js';

/** A held dimension that may be let go when another is pinned. */
export interface Release {
  readonly id: string;
  /** How much it would change when the pinned one grows by 1 (mm or degree). */
  readonly perUnit: number;
}

/** A dimension that would have to change a hundredfold cannot be let go: what is pinned hardly answers to it. */
const FEEBLE = 0.01;

/**
 * Held dimensions of which one may be let go when `pin` is pinned, best first: those that keep the vehicle fixed. The
 * pin's gradient is written in the gradients of the held dimensions; a held one that does not appear in it cannot be let go.
 * What the dimension's own definition names comes first, then what stands in its group of the ledger, then the rest.
 * @param state solved, mm and degrees
 * @param held the held dimensions by id, mm and degrees
 * @param pin id of the dimension that is to be held
 */
export function releases(kind: Solvable, state: State, held: Held, pin: string): Release[] {
  const dimension = kind.dimensions.find(({ id }) => id === pin);
  if (!dimension || pin in held) return [];
  const weights = weightsOf(kind, state, held, pin);
  const group = kind.groups.find(({ ids }) => ids.includes(pin))?.ids ?? [];
  const rank = (id: string): number => {
    const named = dimension.letGo?.indexOf(id) ?? -1;
    if (named >= 0) return named;
    if (!group.includes(id)) return 100;
    // What took a measured dimension's place gives it back before another measured one goes.
    const givesBack = kind.state.includes(pin) && !kind.state.includes(id);
    return givesBack ? 20 : 50;
  };
  return [...weights]
    .filter(([id, weight]) => !kind.given.includes(id) && Math.abs(weight) > FEEBLE)
    .sort(([a, wa], [b, wb]) => rank(a) - rank(b) || Math.abs(wb) - Math.abs(wa))
    .map(([id, weight]) => ({ id, perUnit: 1 / weight }));
}

/**
 * By how much a dimension grows for each held one that grows by 1 while the other held ones stay.
 * @param state solved, mm and degrees
 * @param held the held dimensions by id
 * @param id a dimension that follows
 * @returns mm or degrees for each mm or degree
 */
export function weightsOf(kind: Solvable, state: State, held: Held, id: string): ReadonlyMap<string, number> {
  const { free, wanted } = unknownsOf(kind, held);
  const fixed = kind.state.filter((entry) => entry in held);
  const target = kind.dimensions.filter((each) => each.id === id);
  const gradient = jacobianOf(state, kind.state, [...target, ...wanted]);
  const column = (entry: string) => kind.state.indexOf(entry);
  const weights = new Map<string, number>();
  let along: number[] = [];
  if (free.length > 0) {
    const transposed = new Matrix(
      free.map((entry) => wanted.map((_, row) => gradient.get(row + 1, column(entry)))),
    );
    const wantedBy = Matrix.columnVector(free.map((entry) => gradient.get(0, column(entry))));
    try {
      along = solveLinear(transposed, wantedBy).to1DArray();
    } catch {
      return weights; // at a turning point nothing can be said
    }
  }
  wanted.forEach((dimension, row) => weights.set(dimension.id, along[row]!));
  for (const entry of fixed) {
    const through = wanted.reduce(
      (sum, _, row) => sum + along[row]! * gradient.get(row + 1, column(entry)),
      0,
    );
    weights.set(entry, gradient.get(0, column(entry)) - through);
  }
  return weights;
}
