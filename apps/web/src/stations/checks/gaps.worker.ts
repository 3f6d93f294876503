import { expose } from 'comlink';
import { clearanceFindings, clearances, Planner, type Finding } from '@larchwood/core';
import { renewed, type BuildDocument } from '@larchwood/format';

/** Sweeps all that moves of a build; it is stopped by ending the worker. */
const gapsWork = {
  gapsOf: (document: BuildDocument): readonly Finding[] =>
    clearanceFindings(new Planner().ask(clearances, renewed(document))),
};
export type GapsWork = typeof gapsWork;
expose(gapsWork);
