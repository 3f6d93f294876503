import { max, sum } from 'd3-array';

/** A piece that is cut from a bar; mm. */
export interface Wanted {
  readonly piece: string;
  readonly mark: string;
  readonly length: number;
}
/** A bar to be had: a length as sold, or one off-cut; mm. */
export interface BarSource {
  readonly id: string;
  readonly length: number;
  /** What one costs: its price, or its length where prices are not known. An off-cut costs nothing. */
  readonly cost: number;
  /** So many are there; any number where it is left out. */
  readonly most?: number;
  readonly offcut: boolean;
  /** Out of another frame: its ends are sawn clean like those of a new bar. */
  readonly donor?: boolean;
}
/** How bars are sawn; mm. */
export interface Cutting {
  readonly kerf: number;
  /** Off each end of a new bar, and of one out of a donor. */
  readonly trim: number;
}
export interface NestedBar {
  readonly source: BarSource;
  readonly pieces: readonly Wanted[];
  /** What is left in one length after the last cut, mm. */
  readonly left: number;
}
/** One section and material, nested. */
export interface Nest {
  readonly bars: readonly NestedBar[];
  /** Pieces that no bar holds. */
  readonly over: readonly Wanted[];
  /** Sum of what the bars cost. */
  readonly cost: number;
}

/** A bar gives so much to pieces that each bring their kerf, mm: the last piece may end where the bar does. */
export const roomOf = ({ length, offcut, donor }: BarSource, { kerf, trim }: Cutting): number =>
  length - (offcut && !donor ? 0 : 2 * trim) + kerf;

/** A piece with the saw's cut behind it. */
const taken = ({ length }: Wanted, { kerf }: Cutting): number => length + kerf;

/** The largest piece that any of the bars gives, mm. */
export const longestOf = (sources: readonly BarSource[], cutting: Cutting): number =>
  max(sources, (source) => roomOf(source, cutting) - cutting.kerf) ?? 0;

const EPSILON = 1e-6;

/** A bar with its pieces, longest first, and what is left. */
export function barOf(source: BarSource, pieces: readonly Wanted[], cutting: Cutting): NestedBar {
  const left = roomOf(source, cutting) - sum(pieces, (piece) => taken(piece, cutting));
  return {
    source,
    pieces: [...pieces].sort((a, b) => b.length - a.length),
    left: Math.max(0, left - cutting.kerf),
  };
}

/** Bars, and pieces that none of them holds. */
export const nestOf = (bars: readonly NestedBar[], over: readonly Wanted[]): Nest => ({
  bars,
  over,
  cost: sum(bars, ({ source }) => source.cost),
});

/** Of two nests the one that costs less; then fewer bars; then the longer off-cut in one piece. */
export function better(a: Nest, b: Nest): Nest {
  if (a.over.length !== b.over.length) return a.over.length < b.over.length ? a : b;
  if (Math.abs(a.cost - b.cost) > EPSILON) return a.cost < b.cost ? a : b;
  if (a.bars.length !== b.bars.length) return a.bars.length < b.bars.length ? a : b;
  const longest = ({ bars }: Nest) => max(bars, ({ left }) => left) ?? 0;
  return longest(a) >= longest(b) - EPSILON ? a : b;
}

/**
 * A first answer at once: longest pieces first, each into the fullest bar that has room, off-cuts before new bars; new bars
 * of one length after the other, the cheapest answer taken; then each bar changed for the cheapest that holds its pieces.
 * Source: first-fit and best-fit decreasing, Johnson (1973).
 */
export function firstNest(wanted: readonly Wanted[], sources: readonly BarSource[], cutting: Cutting): Nest {
  const sold = sources.filter(({ offcut, most }) => !offcut && most !== 0);
  const racks = [true, false].flatMap((useRack) =>
    [undefined, ...sold].map((only) => bestFit(wanted, sources, cutting, only, useRack)),
  );
  return racks.map((nest) => shrunk(nest, sources, cutting)).reduce(better);
}

function bestFit(
  wanted: readonly Wanted[],
  sources: readonly BarSource[],
  cutting: Cutting,
  only: BarSource | undefined,
  useRack: boolean,
): Nest {
  const open = sources
    .filter(({ offcut }) => offcut && useRack)
    .map((source) => ({ source, pieces: [] as Wanted[], room: roomOf(source, cutting) }));
  const used = new Map<string, number>();
  const over: Wanted[] = [];
  const sold = sources.filter(({ offcut }) => !offcut);
  for (const piece of [...wanted].sort((a, b) => b.length - a.length)) {
    const size = taken(piece, cutting);
    let best = undefined as (typeof open)[number] | undefined;
    for (const bar of open) if (bar.room >= size - EPSILON && (!best || bar.room < best.room)) best = bar;
    if (!best) {
      const free = sold.filter(
        (source) =>
          roomOf(source, cutting) >= size - EPSILON && (used.get(source.id) ?? 0) < (source.most ?? Infinity),
      );
      // The one length that is tried; else the cheapest by the piece.
      const source =
        free.find((each) => each === only) ?? free.sort((a, b) => a.cost / a.length - b.cost / b.length)[0];
      if (!source) {
        over.push(piece);
        continue;
      }
      used.set(source.id, (used.get(source.id) ?? 0) + 1);
      best = { source, pieces: [], room: roomOf(source, cutting) };
      open.push(best);
    }
    best.pieces.push(piece);
    best.room -= size;
  }
  const bars = open.filter(({ pieces }) => pieces.length > 0);
  return nestOf(
    bars.map(({ source, pieces }) => barOf(source, pieces, cutting)),
    over,
  );
}

/** Each new bar changed for the cheapest length, or off-cut, that holds its pieces. */
export function shrunk({ bars, over }: Nest, sources: readonly BarSource[], cutting: Cutting): Nest {
  const count = new Map<string, number>();
  const use = (id: string, by: number) => count.set(id, (count.get(id) ?? 0) + by);
  bars.forEach(({ source }) => use(source.id, 1));
  return nestOf(
    bars.map(({ source, pieces }) => {
      const needs = sum(pieces, (piece) => taken(piece, cutting));
      const [cheaper] = sources
        .filter(
          (each) =>
            each.cost < source.cost - EPSILON &&
            roomOf(each, cutting) >= needs - EPSILON &&
            (count.get(each.id) ?? 0) < (each.offcut ? 1 : (each.most ?? Infinity)),
        )
        .sort((a, b) => a.cost - b.cost || a.length - b.length);
      if (!cheaper) return barOf(source, pieces, cutting);
      use(source.id, -1);
      use(cheaper.id, 1);
      return barOf(cheaper, pieces, cutting);
    }),
    over,
  );
}
