import { expose } from 'comlink';
import { clearancesOf, fitRange, planBuild, type Clearances, type Fitted } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

/** What takes longer than a frame at the seat: the sweep of everything that moves, and who fits. */
const seatWork = {
  clearances: (document: BuildDocument): Clearances | undefined => {
    const planned = planBuild(document);
    return planned.ok ? clearancesOf(document, planned.plan) : undefined;
  },
  fit: (document: BuildDocument): readonly Fitted[] => fitRange(document),
};
export type SeatWork = typeof seatWork;
expose(seatWork);
