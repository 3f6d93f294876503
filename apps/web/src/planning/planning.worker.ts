import { expose } from 'comlink';
import { Planner } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { SLOW, type Slow, type SlowName } from './slow';

/** Holds the plan of the open build: what one stage has made, the next need not make again. */
const planner = new Planner();

const planning = {
  ask: <N extends SlowName>(name: N, document: BuildDocument): Slow<N> =>
    planner.ask<unknown>(SLOW[name], document) as Slow<N>,
};
export type Planning = typeof planning;
expose(planning);
