import { wrap, proxy } from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { firstNest, type Cutting, type Nest, type Proven, type StockGroup } from '@larchwood/core';
import type { Nesting } from './nest.worker';

export const keyOf = ({ section, material }: Pick<StockGroup, 'section' | 'material'>): string =>
  `${section} ${material}`;

export interface Nested {
  readonly group: StockGroup;
  readonly nest: Nest;
  /** No nest costs less; known once it was looked for. */
  readonly bound?: number;
  readonly proven?: boolean;
}
export interface Proving {
  /** Groups done, of how many. */
  readonly done: number;
  readonly of: number;
}

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

/** A first nest of every group at once; proven ones when they are looked for, as long as they stand. */
export function useNests(groups: readonly StockGroup[], cutting: Cutting) {
  const [kept, setKept] = useState<Readonly<Record<string, Proven>>>({});
  const [proving, setProving] = useState<Proving>();
  const worker = useRef<Worker>(undefined);
  const { kerf, trim } = cutting;
  // Another way of sawing makes other nests.
  const place = useCallback((of: StockGroup) => `${keyOf(of)} ${kerf} ${trim}`, [kerf, trim]);
  const nested = useMemo(
    () =>
      groups.map((group): Nested => {
        const known = kept[place(group)];
        if (known && stands(known.nest, group)) return { group, ...known };
        return { group, nest: firstNest(group.wanted, group.sources, { kerf, trim }) };
      }),
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
    const worth = groups.filter(({ wanted, sources }) => wanted.length > 0 && sources.length > 0);
    for (const [done, group] of worth.entries()) {
      setProving({ done, of: worth.length });
      const take = (step: Proven) => {
        if (worker.current === mine) setKept((before) => ({ ...before, [place(group)]: step }));
      };
      take(await nesting.prove(group.wanted, group.sources, { kerf, trim }, proxy(take)));
      if (worker.current !== mine) return;
    }
    stop();
  }, [groups, kerf, trim, stop, place]);
  /** The rest of a nest stands when one of its bars was cut. */
  const keepRest = useCallback(
    (of: StockGroup, rest: Nested) => {
      const { nest, bound = 0, proven = false } = rest;
      setKept((before) => ({ ...before, [place(of)]: { nest, bound, proven } }));
    },
    [place],
  );
  return { nested, prove, stop, proving, keepRest };
}
