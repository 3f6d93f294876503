import { wrap, type Remote } from 'comlink';
import type { BuildDocument } from '@larchwood/format';
import type { Look } from './look';
import type { Looker } from './look.worker';

let worker: Remote<Looker> | undefined;

/** Looks a build over in one worker for the whole shelf, builds in turn. */
export function lookOver(document: BuildDocument, closely: boolean): Promise<Look> {
  worker ??= wrap<Looker>(new Worker(new URL('./look.worker.ts', import.meta.url), { type: 'module' }));
  return worker.lookAt(document, closely);
}
