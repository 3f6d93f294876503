import type { Refusal } from '../../stance/dimension.js';
import { stanceOf, type Stance } from '../../stance/stance.js';
import { parts, stage } from '../stage.js';

/** The stance, or why there is none. */
export const solved = stage(
  'solved',
  { document: parts('kind', 'startingSet', 'wheels', 'stance', 'brief', 'seat') },
  ({ document }) => stanceOf(document),
);

/** A stance was asked for where there is none. */
export class NoStance extends Error {
  constructor(readonly refusals: readonly Refusal[]) {
    super(refusals.map(({ message }) => message).join(' '));
  }
}

/** The stance that all the rest stands on. @throws NoStance where no vehicle can have it */
export const stance = stage('stance', { solved }, ({ solved: result }): Stance => {
  if (!result.ok) throw new NoStance(result.refusals);
  return result.stance;
});
