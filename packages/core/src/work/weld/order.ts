import type { WorkData } from '@larchwood/format';
import { distance } from '../../vector/vector.js';
import type { Segment } from './segments.js';

/**
 * How hot an order makes the frame: each stretch warms those that follow within a few steps, the nearer in space and time
 * the more. Lower is better. No unit.
 */
export const HEAT = {
  /** It still tells after so many stretches. */
  window: 6,
  /** At this distance a third of it arrives, mm. */
  reach: 120,
  /** What is left of it at each stretch that follows. */
  fades: 0.6,
} as const;

const warms = (a: Segment, b: Segment, later: number): number =>
  Math.exp(-distance(a.at, b.at) / HEAT.reach) * HEAT.fades ** (later - 1);

/** Of a whole order. */
export function heatOf(order: readonly Segment[]): number {
  let sum = 0;
  for (let index = 0; index < order.length; index += 1)
    for (let later = 1; later <= HEAT.window && index + later < order.length; later += 1)
      sum += warms(order[index]!, order[index + later]!, later);
  return sum;
}

/** More than this of what was welded just before still warms a stretch: it is let cool first. Common practice, no source. */
export const COOL_FROM = 0.6;
/** In so many minutes of still air a thin wall's warmth falls to a third. Common practice, no source. */
export const COOLS = 2;

/** Minutes to let a stretch cool before its turn, from its warmth; 0 where it may be welded at once. */
export const pauseOf = (warmth: number): number =>
  warmth > COOL_FROM ? COOLS * Math.log(warmth / COOL_FROM) : 0;

/** How warm each stretch of an order is when its turn comes, from what was welded within the window before it. */
export const warmthOf = (order: readonly Segment[]): readonly number[] =>
  order.map((segment, index) => {
    let sum = 0;
    for (let later = 1; later <= HEAT.window && later <= index; later += 1)
      sum += warms(order[index - later]!, segment, later);
    return sum;
  });

/** Two that follow each other and lie at the same joint, side by side. */
export const neighbours = (a: Segment, b: Segment): boolean =>
  a.seam === b.seam && (Math.abs(a.quarter - b.quarter) === 1 || Math.abs(a.quarter - b.quarter) === 3);

/** Stretches by their number; a stretch and, where it has one, the same of its twin right after it are moved as one. */
type Unit = readonly number[];
function unitsOf(segments: readonly Segment[], pass: Segment['pass']): Unit[] {
  const byId = new Map(segments.map(({ id }, index) => [id, index]));
  const taken = new Set<number>();
  return segments.flatMap((segment, index): Unit[] => {
    if (segment.pass !== pass || taken.has(index)) return [];
    taken.add(index);
    const twin = segment.twin === undefined ? undefined : byId.get(segment.twin);
    if (twin === undefined || taken.has(twin)) return [[index]];
    taken.add(twin);
    return [[index, twin]];
  });
}

/** How much of one stretch's heat reaches another at once: looked up, as it is asked for millions of times. */
function reachOf(segments: readonly Segment[]): (a: number, b: number) => number {
  const { length: count } = segments;
  const table = new Float64Array(count * count);
  segments.forEach((a, row) =>
    segments.forEach((b, column) => {
      table[row * count + column] = Math.exp(-distance(a.at, b.at) / HEAT.reach);
    }),
  );
  return (a, b) => table[a * count + b]!;
}
const FADED = Array.from({ length: HEAT.window + 1 }, (_, later) => HEAT.fades ** (later - 1));

export interface Search {
  /** Told the share done now and then; false stops it with the best so far. */
  readonly progress?: (share: number) => boolean;
  /** Rounds over all units; each tries every other place for each of them. */
  readonly rounds?: number;
}

/**
 * An order that keeps the heat balanced: left and right in turn, far from the last, never two neighbours in a row while
 * there is another way. Roots go before caps. Starts from the farthest each time and is then mended, a unit after the
 * other, as long as that lowers the heat.
 * @returns the order and its heat
 * Source: farthest-first start and insertion moves, as for tours.
 */
export function balanced(
  segments: readonly Segment[],
  { progress, rounds = 3 }: Search = {},
): { readonly order: readonly Segment[]; readonly heat: number } {
  const reach = reachOf(segments);
  const passes = (['root', 'cap'] as const).map((pass) => unitsOf(segments, pass));
  const all = passes.reduce((sum, units) => sum + units.length, 0) * rounds;
  const order: number[] = [];
  const result = (line: readonly number[]) => {
    const found = line.map((index) => segments[index]!);
    return { order: found, heat: heatOf(found) };
  };
  let tried = 0;
  for (const units of passes) {
    const before = order.slice(-HEAT.window);
    let line = farthestFirst(units, before, reach);
    for (let round = 0; round < rounds; round += 1) {
      let better = false;
      for (const unit of [...line]) {
        tried += 1;
        if (progress && tried % 16 === 0 && !progress(tried / all)) return result([...order, ...line.flat()]);
        const next = bestPlace(line, unit, before, reach);
        if (next === line) continue;
        line = next;
        better = true;
      }
      if (!better) break;
    }
    order.push(...line.flat());
  }
  return result(order);
}
type Reach = ReturnType<typeof reachOf>;

/** Always the one that what was welded last warms least. */
function farthestFirst(units: readonly Unit[], before: readonly number[], reach: Reach): Unit[] {
  const left = [...units];
  const line: Unit[] = [];
  let last = [...before];
  while (left.length > 0) {
    let best = 0;
    let least = Infinity;
    left.forEach((unit, index) => {
      const heat = joined(last, unit, [], reach);
      if (heat < least - 1e-12) [best, least] = [index, heat];
    });
    const [next] = left.splice(best, 1);
    line.push(next!);
    last = [...last, ...next!].slice(-HEAT.window);
  }
  return line;
}

/** Heat that a unit between two stretches of an order gives and takes, less what it keeps them apart. */
function joined(head: readonly number[], unit: Unit, tail: readonly number[], reach: Reach): number {
  const line = [...head, ...unit, ...tail];
  const [from, to] = [head.length, head.length + unit.length];
  let sum = 0;
  for (let index = 0; index < line.length; index += 1)
    for (let later = 1; later <= HEAT.window && index + later < line.length; later += 1) {
      const other = index + later;
      const part = reach(line[index]!, line[other]!);
      const own = (index >= from && index < to) || (other >= from && other < to);
      if (own) sum += part * FADED[later]!;
      else if (index < from && other >= to) {
        // Before, these two were nearer in time.
        sum += part * (FADED[later]! - FADED[later - unit.length]!);
      }
    }
  // Pairs that the unit pushes out of the window.
  for (let index = Math.max(0, from - HEAT.window); index < from; index += 1)
    for (let other = to; other < line.length; other += 1) {
      const apart = other - index;
      if (apart > HEAT.window && apart - unit.length <= HEAT.window)
        sum -= reach(line[index]!, line[other]!) * FADED[apart - unit.length]!;
    }
  return sum;
}

/** The line with a unit where it is best; the same line where it stands best already. */
function bestPlace(line: Unit[], unit: Unit, before: readonly number[], reach: Reach): Unit[] {
  const from = line.indexOf(unit);
  const without = [...line.slice(0, from), ...line.slice(from + 1)];
  const flat = [...before, ...without.flat()];
  const starts: number[] = [before.length];
  for (const each of without) starts.push(starts.at(-1)! + each.length);
  // Heat only reaches so far: the change at a place is told by what stands round it.
  const costAt = (place: number): number => {
    const at = starts[place]!;
    return joined(
      flat.slice(Math.max(0, at - HEAT.window), at),
      unit,
      flat.slice(at, at + HEAT.window),
      reach,
    );
  };
  let [best, least] = [from, costAt(from) - 1e-9];
  for (let place = 0; place <= without.length; place += 1) {
    const cost = costAt(place);
    if (cost < least) [best, least] = [place, cost];
  }
  return best === from ? line : [...without.slice(0, best), unit, ...without.slice(best)];
}

/** The order with the builder's own moves done to it; moves of what is there no longer are left out. */
export function withMoves(order: readonly Segment[], moves: WorkData['seams']): readonly Segment[] {
  const line = [...order];
  for (const { seam, after } of moves) {
    const from = line.findIndex(({ id }) => id === seam);
    const place = after === 'start' ? -1 : line.findIndex(({ id }) => id === after);
    if (from < 0 || (place < 0 && after !== 'start') || seam === after) continue;
    const [segment] = line.splice(from, 1);
    const to = after === 'start' ? 0 : line.findIndex(({ id }) => id === after) + 1;
    line.splice(to, 0, segment!);
  }
  return line;
}
