import { expose } from 'comlink';
import loadHighs from 'highs';
import wasm from 'highs/runtime?url';
import {
  proveNest,
  solverFrom,
  type BarSource,
  type Cutting,
  type Proven,
  type Wanted,
} from '@larchwood/core';

const loaded = loadHighs({ locateFile: () => wasm });

/** Proves nests off the main thread; told to stop by ending the worker. */
const nesting = {
  prove: async (
    wanted: readonly Wanted[],
    sources: readonly BarSource[],
    cutting: Cutting,
    onStep: (step: Proven) => void,
  ): Promise<Proven> => {
    const steps = proveNest(wanted, sources, cutting, solverFrom(await loaded));
    for (;;) {
      const { done, value } = steps.next();
      if (done) return value;
      onStep(value);
      await new Promise((go) => setTimeout(go));
    }
  },
};
export type Nesting = typeof nesting;
expose(nesting);
