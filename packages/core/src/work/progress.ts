import type { BuildDocument, Done, SchoolId } from '@larchwood/format';
import type { Step } from './step.js';

/** How a step stands: done, done as it no longer is drawn, something wrong, next to do, waiting, or open. */
export type StepState = 'done' | 'changed' | 'wrong' | 'ready' | 'waits';

/** Ticked as done, even where the frame has changed since. */
export const isDone = (state: StepState | undefined): boolean => state === 'done' || state === 'changed';

export interface Progress {
  readonly states: ReadonlyMap<string, StepState>;
  readonly done: number;
  /** The first that can be done now; none where all is done. */
  readonly next: string | undefined;
  /** Ticks of steps that the frame has no more. */
  readonly gone: readonly Done[];
}

/** What a step sets of the fixture. */
export const settingsOf = ({ sort, lines }: Pick<Step, 'sort' | 'lines'>): readonly string[] =>
  sort === 'set' ? lines.flatMap(({ setting }) => setting ?? []) : [];

/** Settings that stand as ticked, or as they were found, in a school. */
export const standingSettings = (
  readings: BuildDocument['fixture']['readings'],
  school: SchoolId,
): ReadonlySet<string> =>
  new Set(
    readings
      .filter((each) => each.school === school && (each.set || each.found !== undefined))
      .map(({ setting }) => setting),
  );

/**
 * What is done of an order of work, and what is next. A step that waits for a taste only does not wait. One that sets the
 * fixture is done when all of its settings stand, wherever they were ticked; where none does, its own tick counts.
 * @param set settings of the fixture that stand
 * @param late those that were set at another reading than they have now
 */
export function progressOf(
  steps: readonly Step[],
  done: readonly Done[] = [],
  set: ReadonlySet<string> = new Set(),
  late: Pick<ReadonlySet<string>, 'has'> = new Set(),
): Progress {
  const byStep = new Map(done.map((each) => [each.step, each]));
  const ids = new Set(steps.map(({ id }) => id));
  const states = new Map<string, StepState>();
  const finished = new Set(
    steps.flatMap((step) => {
      const { id } = step;
      const settings = settingsOf(step);
      const stand = settings.filter((each) => set.has(each)).length;
      const all = stand > 0 ? stand === settings.length : byStep.get(id)?.done === true;
      return all ? [id] : [];
    }),
  );
  // Off the fixture, what is set on it is for the next frame.
  const off = steps.some(({ id, sort }) => sort === 'out' && finished.has(id));
  const ticked = (id: string) => finished.has(id) || (!ids.has(id) && byStep.get(id)?.done === true);
  for (const step of steps) {
    const { id, of, needs, sort } = step;
    const tick = byStep.get(id);
    const settings = settingsOf(step);
    const asDrawn =
      (sort === 'set' && off) ||
      (settings.some((each) => set.has(each))
        ? !settings.some((each) => late.has(each))
        : !tick?.done || tick.of === of || tick.kept === of);
    states.set(
      id,
      tick?.wrong !== undefined
        ? 'wrong'
        : ticked(id)
          ? asDrawn
            ? 'done'
            : 'changed'
          : needs.every(({ step: on, why }) => why === 'usual' || !ids.has(on) || ticked(on))
            ? 'ready'
            : 'waits',
    );
  }
  return {
    states,
    done: steps.filter(({ id }) => ticked(id)).length,
    next: steps.find(({ id }) => states.get(id) === 'ready')?.id ?? steps.find(({ id }) => !ticked(id))?.id,
    gone: done.filter(({ step, done: is }) => is && !ids.has(step)),
  };
}
