import type { WorkData } from '@larchwood/format';
import { moved } from './order.js';
import type { Step } from './step.js';
import { seamStep } from './steps/join.js';

type Moves = WorkData['moves'];

/**
 * The moves by which a seam is welded before what shuts it in goes in: a step of its own right after the last of what it
 * joins, and what shuts it in after that.
 * @param steps as they stand
 * @param seam its id
 * @param joined steps in which its piece and its hosts are put in
 * @param shutting steps in which what shuts it in is put in; what is no step, as a part of the
 *   fixture, no order cures
 */
export function weldBefore(
  steps: readonly Step[],
  seam: string,
  joined: readonly string[],
  shutting: readonly string[],
): Moves {
  const at = (id: string) => steps.findIndex((step) => step.id === id);
  const own = seamStep(seam);
  const loads = new Set(joined);
  const last = [...loads].sort((a, b) => at(a) - at(b)).at(-1);
  const others = [...new Set(shutting)].filter((id) => at(id) >= 0 && !loads.has(id));
  if (last === undefined || at(last) < 0 || others.length === 0) return [];
  return [
    { step: own, after: last },
    // From the last to the first, each right after the weld: they keep their order among themselves.
    ...others
      .filter((id) => at(id) < at(last))
      .sort((a, b) => at(b) - at(a))
      .map((step) => ({ step, after: own })),
  ];
}

export const withStepMoves = (work: WorkData, moves: Moves): WorkData =>
  moves.reduce((next, { step, after }) => moved(next, step, after), work);

/** As it was generated: a step that the builder moved, again where it belongs. */
export const putBack = (work: WorkData, step: string): WorkData => ({
  ...work,
  moves: work.moves.filter((move) => move.step !== step),
});
