import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { SearchOptions } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { planning } from '../../planning/useSlow';
import { useSteeringMotion } from './motion';

type Options = Omit<SearchOptions, 'crowded'>;

export interface Search {
  /** From 0 to 1 while it runs. */
  readonly progress: number | undefined;
  readonly look: (options: Options) => void;
  readonly stop: () => void;
}

/** Looks for a better linkage beside the page; what is found is a proposal until the linkage changes. */
export function useSearch(): Search {
  const { present, document } = useEditor('present', 'document');
  const { propose } = useSteeringMotion();
  const [progress, setProgress] = useState<number>();
  const turn = useRef(0);
  const { steering, stance, wheels, seat, frame } = document;
  const stop = useCallback(() => {
    turn.current += 1;
    setProgress(undefined);
    void planning().stop();
  }, []);
  // What is looked for is looked for the linkage as it is, among the tubes as they are: a change of them stops the search.
  useEffect(() => stop, [steering, stance, wheels, seat, frame, stop]);
  const look = useCallback(
    (options: Options) => {
      const mine = ++turn.current;
      const of = present();
      setProgress(0);
      propose(undefined);
      const heard = proxy((done: number) => {
        if (turn.current === mine) setProgress(done);
      });
      const done = (found: Parameters<typeof propose>[0]) => {
        if (turn.current !== mine) return;
        setProgress(undefined);
        propose(found);
      };
      planning()
        .search(of, options, heard)
        .then(
          (proposal) => done({ of, proposal }),
          () => done(undefined),
        );
    },
    [present, propose],
  );
  return { progress, look, stop };
}
