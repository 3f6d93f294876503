import { rollup, sum } from 'd3-array';
import {
  barOf,
  better,
  firstNest,
  roomOf,
  shrunk,
  type BarSource,
  type Cutting,
  type Nest,
  type Wanted,
} from './nest.js';

/** A solver of linear and integer programs in LP text, given from outside. */
export interface LinearAnswer {
  /** The best there is, of a linear program, or at least one answer of an integer one. */
  readonly found: boolean;
  readonly proven: boolean;
  readonly value: number;
  readonly columns: Readonly<Record<string, number>>;
  /** Of each row, in order; of a linear program. */
  readonly duals: readonly number[];
}
export type LinearSolver = (program: string, seconds: number) => LinearAnswer;

export interface Proven {
  readonly nest: Nest;
  /** No nest costs less, to a tenth of a millimetre of each piece; none while it is not known. */
  readonly bound?: number;
  readonly proven: boolean;
}

/** What is asked of the solver's package. */
interface Package {
  readonly solve: (
    program: string,
    options: { readonly output_flag: boolean; readonly time_limit: number; readonly random_seed: number },
  ) => {
    readonly Status: string;
    readonly ObjectiveValue: number;
    readonly Columns: Readonly<Record<string, object>>;
    readonly Rows: readonly object[];
  };
}

const numberIn = (from: object, key: string): number =>
  Number((from as Readonly<Record<string, unknown>>)[key] ?? 0);

/** The general-purpose solver as nesting asks it. */
export const solverFrom =
  ({ solve }: Package): LinearSolver =>
  (program, seconds) => {
    const { Status, ObjectiveValue, Columns, Rows } = solve(program, {
      ...{ output_flag: false, time_limit: seconds, random_seed: 1 },
    });
    const columns = Object.fromEntries(
      Object.entries(Columns).map(([name, column]) => [name, numberIn(column, 'Primal')]),
    );
    const proven = Status === 'Optimal';
    return {
      found: proven || (Status === 'Time limit reached' && Number.isFinite(ObjectiveValue)),
      ...{
        proven,
        value: ObjectiveValue,
        columns,
        duals: Rows.map((row) => numberIn(row, 'Dual')),
      },
    };
  };

/** Lengths are reckoned in tenths of a millimetre: pieces up, bars down. */
const TENTHS = 10;
const EPSILON = 1e-6;
/** Most fillings of a bar that are looked at. */
const LOOKS = 200_000;
/** Most rounds of new patterns. */
const ROUNDS = 400;

interface Size {
  readonly units: number;
  readonly wanted: readonly Wanted[];
}
/** So many pieces of each size from one bar of a kind. */
interface Pattern {
  readonly bar: number;
  readonly counts: readonly number[];
}

/**
 * The best nest that an integer program finds over patterns that column generation brought, and the bound of its linear
 * program: no nest costs less. Yields what it has so far, so that it can be
 * stopped between steps.
 * Source: Gilmore and Gomory (1961).
 * @param seconds for the integer program
 */
export function* proveNest(
  wanted: readonly Wanted[],
  sources: readonly BarSource[],
  cutting: Cutting,
  solve: LinearSolver,
  seconds = 5,
): Generator<Proven, Proven> {
  const first = firstNest(wanted, sources, cutting);
  const fitting = wanted.filter((piece) => !first.over.includes(piece));
  if (fitting.length === 0) return { nest: first, proven: true };
  let best: Proven = { nest: first, proven: false };
  yield best;
  const sizes = sizesOf(fitting, cutting);
  const least = Math.min(...sizes.map(({ units }) => units));
  // A bar that holds none of them has no row in the program either.
  const bars = kindsOf(sources).filter(({ source }) => roomOf(source, cutting) * TENTHS + EPSILON >= least);
  const rooms = bars.map(({ source }) => Math.floor(roomOf(source, cutting) * TENTHS + EPSILON));
  const patterns = sizes.flatMap((_, size) => alone(size, sizes, rooms));
  patterns.push(...patternsOf(first, sizes, bars));
  let bound = boundOfBars(sizes, bars, rooms, solve, seconds);
  for (let round = 0; round < ROUNDS; round += 1) {
    const answer = solve(programOf(patterns, sizes, bars, false), seconds);
    if (!answer.proven) break;
    const { fresh, sure } = priced(answer.duals, sizes, bars, rooms);
    // Only when no pattern is left that would lower it, the linear program’s cost is a bound.
    if (fresh.length === 0 && sure) bound = Math.max(bound, answer.value);
    if (fresh.length === 0) break;
    patterns.push(...fresh);
    if (round % 10 === 9) yield best;
  }
  const judged = (nest: Nest): Proven => ({ nest, bound, proven: nest.cost <= bound + slack(bars) });
  best = judged(first);
  yield best;
  if (best.proven) return best;
  const whole = solve(programOf(patterns, sizes, bars, true), seconds);
  if (!whole.found) return best;
  const made = shrunk(laidOut(whole.columns, patterns, sizes, bars, cutting, first), sources, cutting);
  return judged(better(made, first));
}

/** All nests cost a multiple of this: the bound may be rounded up to the next one. In hundredths of the money. */
function slack(bars: readonly Kind[]): number {
  const cents = bars.map(({ source }) => Math.round(source.cost * 100));
  const whole = bars.every(({ source }, index) => Math.abs(source.cost * 100 - cents[index]!) < 1e-6);
  const step = cents.reduce((a, b) => gcd(a, b), 0) / 100;
  return whole ? Math.max(EPSILON, step * (1 - 1e-6)) : EPSILON;
}
/** Whole bars whose rooms together hold what is wanted, however it is shared among them: no nest costs less. */
function boundOfBars(
  sizes: readonly Size[],
  bars: readonly Kind[],
  rooms: readonly number[],
  solve: LinearSolver,
  seconds: number,
): number {
  const need = sum(sizes, ({ units, wanted }) => units * wanted.length);
  const of = (value: (index: number) => number) =>
    bars.map((_, index) => `+ ${value(index)} y${index}`).join(' ');
  const { proven, value } = solve(
    [
      ...['Minimize', ` cost: ${of((index) => bars[index]!.source.cost)}`],
      ...['Subject To', ` room: ${of((index) => rooms[index]!)} >= ${need}`],
      ...['Bounds', ...bars.map(({ most }, index) => ` 0 <= y${index} <= ${most ?? 10_000}`)],
      ...['General', ` ${bars.map((_, index) => `y${index}`).join(' ')}`, 'End'],
    ].join('\n'),
    seconds,
  );
  return proven ? value : 0;
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

function sizesOf(wanted: readonly Wanted[], { kerf }: Cutting): readonly Size[] {
  const units = ({ length }: Wanted) => Math.ceil((length + kerf) * TENTHS - EPSILON);
  return [...rollup(wanted, (all) => all, units)]
    .map(([size, all]) => ({ units: size, wanted: all }))
    .sort((a, b) => b.units - a.units);
}

interface Kind {
  readonly source: BarSource;
  readonly ids: readonly BarSource[];
  readonly most: number | undefined;
}
/** Off-cuts of one length are one kind of bar; out of a donor they are another. */
function kindsOf(sources: readonly BarSource[]): readonly Kind[] {
  const racks = rollup(
    sources.filter(({ offcut }) => offcut),
    (all) => all,
    ({ length, donor }) => `${Math.floor(length * TENTHS)} ${donor ?? false}`,
  );
  return [
    ...sources
      .filter(({ offcut, most }) => !offcut && most !== 0)
      .map((source) => ({ source, ids: [source], most: source.most })),
    ...[...racks.values()].map((all) => ({ source: all[0]!, ids: all, most: all.length })),
  ];
}

/** As many of one size as a bar holds. */
const alone = (size: number, sizes: readonly Size[], rooms: readonly number[]): Pattern[] =>
  rooms.flatMap((room, bar) => {
    const count = Math.min(sizes[size]!.wanted.length, Math.floor(room / sizes[size]!.units));
    return count > 0 ? [{ bar, counts: sizes.map((_, index) => (index === size ? count : 0)) }] : [];
  });

const patternsOf = ({ bars }: Nest, sizes: readonly Size[], kinds: readonly Kind[]): Pattern[] =>
  bars.flatMap(({ source, pieces }) => {
    const bar = kinds.findIndex(({ ids }) => ids.includes(source));
    const counts = sizes.map(({ wanted }) => pieces.filter((piece) => wanted.includes(piece)).length);
    return bar < 0 ? [] : [{ bar, counts }];
  });

function programOf(
  patterns: readonly Pattern[],
  sizes: readonly Size[],
  bars: readonly Kind[],
  whole: boolean,
): string {
  const terms = (of: (pattern: Pattern) => number) =>
    patterns
      .flatMap((pattern, index) => {
        const factor = of(pattern);
        return factor === 0 ? [] : [`+ ${factor} x${index}`];
      })
      .join(' ');
  const names = patterns.map((_, index) => `x${index}`).join(' ');
  return [
    'Minimize',
    ` cost: ${terms(({ bar }) => bars[bar]!.source.cost) || '+ 0 x0'}`,
    'Subject To',
    ...sizes.map(
      ({ wanted }, size) => ` s${size}: ${terms(({ counts }) => counts[size]!)} >= ${wanted.length}`,
    ),
    ...bars.flatMap(({ most }, bar) =>
      most !== undefined ? [` b${bar}: ${terms((pattern) => (pattern.bar === bar ? 1 : 0))} <= ${most}`] : [],
    ),
    ...(whole ? ['General', ` ${names}`] : []),
    'End',
  ].join('\n');
}

/** Patterns that would lower the linear program's cost: the best filling of each kind of bar by its duals. */
function priced(
  duals: readonly number[],
  sizes: readonly Size[],
  bars: readonly Kind[],
  rooms: readonly number[],
): { readonly fresh: readonly Pattern[]; readonly sure: boolean } {
  let row = sizes.length;
  let sure = true;
  const fresh = bars.flatMap(({ source, most }, bar): Pattern[] => {
    const limit = most === undefined ? 0 : (duals[row++] ?? 0);
    const filling = knapsack(rooms[bar]!, sizes, duals);
    sure &&= filling.sure;
    const lowers = source.cost - filling.value - limit < -1e-6 * Math.max(1, source.cost);
    return lowers ? [{ bar, counts: filling.counts }] : [];
  });
  return { fresh, sure };
}

/** The most valuable filling of a bar, no size oftener than it is wanted: branch and bound by value for length. */
function knapsack(
  room: number,
  sizes: readonly Size[],
  values: readonly number[],
): { readonly value: number; readonly counts: readonly number[]; readonly sure: boolean } {
  const order = sizes
    .map(({ units, wanted }, index) => ({ index, units, most: wanted.length, value: values[index]! }))
    .filter(({ value }) => value > 1e-9)
    .sort((a, b) => b.value / b.units - a.value / a.units);
  let best = { value: 0, counts: sizes.map(() => 0) };
  const counts = sizes.map(() => 0);
  let looks = 0;
  const look = (place: number, free: number, value: number) => {
    looks += 1;
    if (value > best.value + 1e-12) best = { value, counts: [...counts] };
    const item = order[place];
    if (!item || looks > LOOKS || value + (free * item.value) / item.units <= best.value + 1e-12) return;
    for (let count = Math.min(item.most, Math.floor(free / item.units)); count >= 0; count -= 1) {
      counts[item.index] = count;
      look(place + 1, free - count * item.units, value + count * item.value);
    }
    counts[item.index] = 0;
  };
  look(0, room, 0);
  // Cut short, a better filling may have been left out.
  return { ...best, sure: looks <= LOOKS };
}

/** Bars with their pieces, from how often each pattern is used; what a pattern gives too many of is left out. */
function laidOut(
  columns: Readonly<Record<string, number>>,
  patterns: readonly Pattern[],
  sizes: readonly Size[],
  kinds: readonly Kind[],
  cutting: Cutting,
  { over }: Nest,
): Nest {
  const rest = sizes.map(({ wanted }) => [...wanted]);
  const usedOf = kinds.map(() => 0);
  const bars = patterns.flatMap(({ bar, counts }, index) =>
    Array.from({ length: Math.round(columns[`x${index}`] ?? 0) }, () => {
      const { ids } = kinds[bar]!;
      const source = ids[Math.min(usedOf[bar]!, ids.length - 1)]!;
      usedOf[bar]! += 1;
      return barOf(
        source,
        counts.flatMap((count, size) => rest[size]!.splice(0, count)),
        cutting,
      );
    }),
  );
  const used = bars.filter(({ pieces }) => pieces.length > 0);
  return {
    bars: used,
    over: [...over, ...rest.flat()],
    cost: sum(used, ({ source }) => source.cost),
  };
}
