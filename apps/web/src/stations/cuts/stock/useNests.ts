import { wrap, proxy } from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import {
  betterNest,
  firstNest,
  oneEachNest,
  type Cutting,
  type Nest,
  type NestedBar,
  type Proven,
  type StockGroup,
} from '@larchwood/core';
import type { Nesting } from './nest.worker';

export const keyOf = ({ section, material }: Pick<StockGroup, 'section' | 'material'>): string =>
  `${section} ${material}`;

export interface Nested extends Proven {
  readonly group: StockGroup;
  /** It is one of many that were looked at, not the first answer alone. */
  readonly lookedFor: boolean;
}
export interface Proving {
  /** Groups done, of how many. */
  readonly done: number;
  readonly of: number;
}
/** A nest that was looked for, with the bars that it was looked for in. */
interface Kept extends Proven {
  readonly among: string;
}

/** Bars that are to be had, as one text. */
const among = ({ sources }: StockGroup): string =>
  sources.map(({ id, length, cost, most }) => `${id} ${length} ${cost} ${most ?? ''}`).join(', ');

/** Whether a nest still cuts just what is wanted, from bars that are still to be had. */
function stands({ bars, over }: Nest, { wanted, sources }: StockGroup): boolean {
  const pieces = [...bars.flatMap((bar) => bar.pieces), ...over];
  const lengths = new Map(wanted.map(({ mark, length }) => [mark, length]));
  const there = new Set(sources.map(({ id, length, cost }) => `${id} ${length} ${cost}`));
  return (
    pieces.length === wanted.length &&
    pieces.every(({ mark, length }) => Math.abs((lengths.get(mark) ?? -1) - length) < 1e-6) &&
    bars.every(({ source: { id, length, cost } }) => there.has(`${id} ${length} ${cost}`))
  );
}

function nestedOf(group: StockGroup, known: Kept | undefined, cutting: Cutting): Nested {
  if (group.oneEach)
    return { group, nest: oneEachNest(group.wanted, group.sources, cutting), proven: true, lookedFor: true };
  const first = firstNest(group.wanted, group.sources, cutting);
  if (!known || !stands(known.nest, group)) return { group, nest: first, proven: false, lookedFor: false };
  // Other bars to be had than it was looked for in: it may not be the best any more, and nothing is claimed of it.
  if (known.among !== among(group))
    return { group, nest: betterNest(known.nest, first), proven: false, lookedFor: false };
  return { ...known, group, lookedFor: true };
}

/** A first nest of every group at once; those that were looked for as long as they stand. */
export function useNests(groups: readonly StockGroup[], { kerf, trim }: Cutting) {
  const [kept, setKept] = useState<Readonly<Record<string, Kept>>>({});
  const [proving, setProving] = useState<Proving>();
  const worker = useRef<Worker>(undefined);
  // Another way of sawing makes other nests.
  const place = useCallback((of: StockGroup) => `${keyOf(of)} ${kerf} ${trim}`, [kerf, trim]);
  const put = useCallback(
    (group: StockGroup, step: Kept) => setKept((before) => ({ ...before, [place(group)]: step })),
    [place],
  );
  const nested = useMemo(
    () => groups.map((group) => nestedOf(group, kept[place(group)], { kerf, trim })),
    [groups, kept, kerf, trim, place],
  );
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = undefined;
    setProving(undefined);
  }, []);
  useEffect(() => stop, [stop]);
  const prove = useCallback(async () => {
    stop();
    const mine = new Worker(new URL('./nest.worker.ts', import.meta.url), { type: 'module' });
    worker.current = mine;
    const nesting = wrap<Nesting>(mine);
    const worth = groups.filter(
      ({ wanted, sources, oneEach }) => wanted.length > 0 && sources.length > 0 && !oneEach,
    );
    try {
      for (const [done, group] of worth.entries()) {
        setProving({ done, of: worth.length });
        const take = (step: Proven) => {
          if (worker.current === mine) put(group, { ...step, among: among(group) });
        };
        take(await nesting.prove(group.wanted, group.sources, { kerf, trim }, proxy(take)));
        if (worker.current !== mine) return;
      }
    } catch (error) {
      if (worker.current === mine)
        toast(
          `The best could not be looked for: ${error instanceof Error ? error.message : 'unknown reason'}`,
        );
    }
    if (worker.current === mine) stop();
  }, [groups, kerf, trim, stop, put]);
  /** The rest of a nest stays as it is when one of its bars was cut; what is left of that bar is new, so nothing is claimed. */
  const keepRest = useCallback(
    ({ group, nest }: Nested, gone: NestedBar) => {
      const bars = nest.bars.filter((bar) => bar !== gone);
      const rest = { ...nest, bars, cost: nest.cost - gone.source.cost };
      put(group, { nest: rest, proven: false, among: '' });
    },
    [put],
  );
  return { nested, prove, stop, proving, keepRest };
}
