import { expose } from 'comlink';
import {
  crowding,
  frameStage,
  linkageOf,
  heldOf,
  Planner,
  searchLinkage,
  stanceStage,
  steeringStage,
  type Proposal,
  type SearchOptions,
} from '@larchwood/core';
import { renewed, type BuildDocument } from '@larchwood/format';
import { SLOW, type Slow, type SlowName } from './slow';

/** Holds the plan of the open build: what one stage has made, the next need not make again. */
const planner = new Planner();

/** Longer than this, ms, a search does not run without listening whether it is to stop. */
const BREATH = 20;
let running = 0;

const planning = {
  ask: <N extends SlowName>(name: N, document: BuildDocument): Slow<N> =>
    planner.ask<unknown>(SLOW[name], renewed(document)) as Slow<N>,

  /** Looks for a linkage with less error; undefined where there is none, or it was told to stop. */
  search: async (
    sent: BuildDocument,
    options: Omit<SearchOptions, 'crowded'>,
    onProgress: (done: number) => void,
  ): Promise<Proposal | undefined> => {
    const mine = ++running;
    const document = renewed(sent);
    const on = planner.ask(stanceStage, document);
    const linkage = linkageOf(document, on);
    if (!linkage) return undefined;
    const steering = planner.ask(steeringStage, document);
    const search = searchLinkage(linkage, on, heldOf(document, linkage, on), {
      ...options,
      ...(steering?.ok
        ? {
            crowded: crowding(
              document,
              { stance: on, frame: planner.ask(frameStage, document) },
              steering.steering.built,
            ),
          }
        : {}),
    });
    for (let since = performance.now(); ;) {
      const next = search.next();
      if (next.done) return next.value;
      if (performance.now() - since < BREATH) continue;
      onProgress(next.value.done);
      await new Promise((go) => setTimeout(go));
      if (mine !== running) return undefined;
      since = performance.now();
    }
  },
  stop: (): void => {
    running += 1;
  },
};
export type Planning = typeof planning;
expose(planning);
