import { better, firstNest, type BarSource, type Cutting, type Nest, type NestedBar } from './nest.js';
import { oneEachNest, type StockGroup } from './plan.js';
import type { Proven } from './prove.js';

/** A nest that was looked for, with the bars that it was looked for in. */
export interface FoundNest extends Proven {
  readonly among: string;
}
/** Nests that were looked for, by the place of their group. */
export type FoundNests = Readonly<Record<string, FoundNest>>;

/** A group as it is to be cut, with what is known of it. */
export interface Nested extends Proven {
  readonly group: StockGroup;
  /** It is one of many that were looked at, not the first answer alone. */
  readonly lookedFor: boolean;
}

/** Where a group's nest is kept: another way of sawing makes other nests. */
export const nestPlace = (
  { section, material }: Pick<StockGroup, 'section' | 'material'>,
  { kerf, trim }: Cutting,
): string => `${section} ${material} ${kerf} ${trim}`;

const nameOf = ({ id, length, cost, donor }: BarSource): string =>
  `${id} ${length} ${cost}${donor ? ' donor' : ''}`;

/** Bars that are to be had, as one text. */
const among = ({ sources }: StockGroup): string =>
  sources.map((source) => `${nameOf(source)} ${source.most ?? ''}`).join(', ');

/** What came of looking, to be kept as long as it stands. */
export const foundNest = (group: StockGroup, found: Proven): FoundNest => ({ ...found, among: among(group) });

/** The rest of a nest as it is when one of its bars was cut; what is left of that bar is new, so nothing is claimed. */
export const restOf = ({ bars, ...nest }: Nest, gone: NestedBar): FoundNest => ({
  nest: { ...nest, bars: bars.filter((bar) => bar !== gone), cost: nest.cost - gone.source.cost },
  ...{ proven: false, among: '' },
});

/** Whether a nest still cuts just what is wanted, from bars that are still to be had. */
function stands({ bars, over }: Nest, { wanted, sources }: StockGroup): boolean {
  const pieces = [...bars.flatMap((bar) => bar.pieces), ...over];
  const lengths = new Map(wanted.map(({ mark, length }) => [mark, length]));
  const there = new Set(sources.map(nameOf));
  return (
    pieces.length === wanted.length &&
    pieces.every(({ mark, length }) => Math.abs((lengths.get(mark) ?? -1) - length) < 1e-6) &&
    bars.every(({ source }) => there.has(nameOf(source)))
  );
}

/**
 * How a group is to be cut: the nest that was looked for, as long as it cuts what is wanted from what is to be had; else a
 * first one.
 * @param nests that were looked for; mm
 */
export function nestedBy(nests: FoundNests, group: StockGroup, cutting: Cutting): Nested {
  if (group.oneEach)
    return { group, nest: oneEachNest(group.wanted, group.sources, cutting), proven: true, lookedFor: true };
  const known = nests[nestPlace(group, cutting)];
  const first = firstNest(group.wanted, group.sources, cutting);
  if (!known || !stands(known.nest, group)) return { group, nest: first, proven: false, lookedFor: false };
  // Other bars to be had than it was looked for in: it may not be the best any more, and nothing is claimed of it.
  if (known.among !== among(group))
    return { group, nest: better(known.nest, first), proven: false, lookedFor: false };
  const { nest, proven, bound } = known;
  return { group, nest, proven, lookedFor: true, ...(bound === undefined ? {} : { bound }) };
}
