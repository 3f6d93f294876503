import { wrap, type Remote } from 'comlink';
import PQueue from 'p-queue';
import type { BuildDocument } from '@larchwood/format';
import { builds } from '../api/builds';
import type { Look } from './look';
import type { Looker } from './look.worker';

export interface Looked extends Look {
  readonly document: BuildDocument;
}

let worker: Remote<Looker> | undefined;

// One at a time, so that a shelf of builds never stands between the builder and what is asked next.
const queue = new PQueue({ concurrency: 1 });

/**
 * Fetches a build and looks it over, in one worker for the whole shelf, builds in turn.
 * @param closely also what takes longer; waits until no build is left that was not looked at
 * @param signal of a card that is gone: its build loses its turn
 */
export function lookOver(id: string, closely: boolean, signal: AbortSignal): Promise<Looked> {
  return queue.add(
    async () => {
      const { document } = await builds.get(id);
      worker ??= wrap<Looker>(new Worker(new URL('./look.worker.ts', import.meta.url), { type: 'module' }));
      return { document, ...(await worker.lookAt(document, closely)) };
    },
    { signal, priority: closely ? 0 : 1, throwOnTimeout: true },
  );
}
