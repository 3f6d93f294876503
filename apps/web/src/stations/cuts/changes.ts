import { USUAL_BENDING } from '@larchwood/core';
import type { Bending, BuildDocument, CutsData } from '@larchwood/format';

export const NO_CUTS: CutsData = { bends: {}, bars: [] };

/** Another way of bending one member. */
export const changeBending =
  (member: string, part: Partial<Bending>) =>
  (document: BuildDocument): BuildDocument => {
    const cuts = document.cuts ?? NO_CUTS;
    const before = cuts.bends[member] ?? USUAL_BENDING;
    return { ...document, cuts: { ...cuts, bends: { ...cuts.bends, [member]: { ...before, ...part } } } };
  };

/** The die that fits best again, not one that was chosen. */
export const letDieGo =
  (member: string) =>
  (document: BuildDocument): BuildDocument => {
    const cuts = document.cuts ?? NO_CUTS;
    const { from, extra } = cuts.bends[member] ?? USUAL_BENDING;
    return { ...document, cuts: { ...cuts, bends: { ...cuts.bends, [member]: { from, extra } } } };
  };
