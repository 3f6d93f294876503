import type { CheckStage } from '@larchwood/format';
import type { CheckSeed } from '../input.js';
import type { Line, Need, Step, Why } from '../step.js';

/** A step with what most have not. */
export const step = (
  of: Pick<Step, 'id' | 'phase' | 'sort' | 'name' | 'about' | 'hours'> & Partial<Step>,
): Step => ({ pieces: [], lines: [], needs: [], cautions: [], of: '', ...of });

export const needs = (why: Why, ...steps: readonly string[]): Need[] =>
  steps.map((id) => ({ step: id, why }));

/** Numbers that a change of the frame would change, as the step that was done keeps them. */
export const told = (...values: readonly (string | number)[]): string =>
  values
    .map((value) => (typeof value === 'number' ? value.toFixed(1).replace(/^-0\.0$/, '0.0') : value))
    .join(' ')
    .slice(0, 300);

/** Piece marks as a list in a name: `6L, 6R`. */
export const marks = (pieces: readonly { readonly mark: string }[]): string =>
  pieces.map(({ mark }) => mark).join(', ');

/** Measures as lines; more than so many stand in the fixture's own list. */
const MOST_CHECKS = 24;
/** What is measured in a step belongs to a stage, and is read there. */
export const measuredAt = (stage: CheckStage): Pick<Step, 'stage' | 'sheet'> => ({
  stage,
  sheet: { station: 'checks', at: stage },
});
export const checkLines = (checks: readonly CheckSeed[], welded = true): Line[] =>
  checks.slice(0, MOST_CHECKS).map(({ id, name, value, held, quantity }) => ({
    ...{ id, text: name, value: welded ? value : held, quantity, measure: id },
  }));
