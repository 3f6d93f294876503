import { expose } from 'comlink';
import { balanced, type Segment } from '@larchwood/core';

/** Looks for an order of welding that keeps the heat balanced; it is stopped by ending the worker. */
const weldWork = {
  balance: (segments: readonly Segment[], progress: (share: number) => void) =>
    balanced(segments, {
      progress: (share) => {
        progress(share);
        return true;
      },
    }),
};
export type WeldWork = typeof weldWork;
expose(weldWork);
