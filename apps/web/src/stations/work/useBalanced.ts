import { proxy, wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { segmentsOf, type balanced, type Seam } from '@larchwood/core';
import type { WeldWork } from './weld.worker';

export interface Balanced {
  readonly found: ReturnType<typeof balanced> | undefined;
  /** Share of the search that is done; none when it is not running. */
  readonly progress: number | undefined;
}
interface State extends Balanced {
  readonly of: string;
}

/** The order of welding with the least heat, looked for beside the page; what was found before stays until then. */
export function useBalanced(seams: readonly Seam[]): Balanced {
  const segments = useMemo(() => segmentsOf(seams), [seams]);
  const key = useMemo(
    () => segments.map(({ id, at }) => `${id} ${at.map((each) => each.toFixed(1)).join(' ')}`).join('|'),
    [segments],
  );
  const [state, setState] = useState<State>({ of: '', found: undefined, progress: undefined });
  useEffect(() => {
    const worker = new Worker(new URL('./weld.worker.ts', import.meta.url), {
      type: 'module',
      name: 'welds',
    });
    let looking = true;
    const settle = (found: Balanced['found']) => {
      looking = false;
      setState({ of: key, found, progress: undefined });
    };
    wrap<WeldWork>(worker)
      .balance(
        segments,
        proxy((progress: number) => {
          if (looking) setState({ of: '', found: undefined, progress });
        }),
      )
      .then(settle, () => settle(undefined));
    return () => {
      looking = false;
      worker.terminate();
    };
    // What is searched is told by the key: the same seams, made anew, are not searched again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  // Until it is first told how far it is, a search has just begun.
  return state.of === key ? state : { found: undefined, progress: state.progress ?? 0 };
}
