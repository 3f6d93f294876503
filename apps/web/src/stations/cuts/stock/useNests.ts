import { wrap, proxy } from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import {
  foundNest,
  nestedBy,
  nestPlace,
  restOf,
  type Cutting,
  type Nested,
  type NestedBar,
  type Proven,
  type StockGroup,
} from '@larchwood/core';
import { useFoundNests } from '../../../shop/useFoundNests';
import type { Nesting } from './nest.worker';

export const keyOf = ({ section, material }: Pick<StockGroup, 'section' | 'material'>): string =>
  `${section} ${material}`;

export interface Proving {
  /** Groups done, of how many. */
  readonly done: number;
  readonly of: number;
}
/** A first nest of every group at once; those that were looked for as long as they stand. */
export function useNests(groups: readonly StockGroup[], { kerf, trim }: Cutting) {
  const [found, setFound] = useFoundNests();
  const [proving, setProving] = useState<Proving>();
  const worker = useRef<Worker>(undefined);
  const nested = useMemo(
    () => groups.map((group) => nestedBy(found, group, { kerf, trim })),
    [groups, found, kerf, trim],
  );
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = undefined;
    setProving(undefined);
  }, []);
  useEffect(() => stop, [stop]);
  const prove = async () => {
    stop();
    const mine = new Worker(new URL('./nest.worker.ts', import.meta.url), { type: 'module' });
    worker.current = mine;
    const nesting = wrap<Nesting>(mine);
    const cutting = { kerf, trim };
    const worth = groups.filter(
      ({ wanted, sources, oneEach }) => wanted.length > 0 && sources.length > 0 && !oneEach,
    );
    try {
      for (const [done, group] of worth.entries()) {
        setProving({ done, of: worth.length });
        const take = (step: Proven) => {
          if (worker.current !== mine) return;
          setFound((before) => ({ ...before, [nestPlace(group, cutting)]: foundNest(group, step) }));
        };
        take(await nesting.prove(group.wanted, group.sources, cutting, proxy(take)));
        if (worker.current !== mine) return;
      }
    } catch (error) {
      if (worker.current === mine)
        toast(
          `The best could not be looked for: ${error instanceof Error ? error.message : 'unknown reason'}`,
        );
    }
    if (worker.current === mine) stop();
  };
  const keepRest = ({ group, nest }: Nested, gone: NestedBar) =>
    setFound((before) => ({ ...before, [nestPlace(group, { kerf, trim })]: restOf(nest, gone) }));
  return { nested, prove, stop, proving, keepRest };
}
