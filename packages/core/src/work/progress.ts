import type { Done } from '@larchwood/format';
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

/** What is done of an order of work, and what is next. A step that waits for a taste only does not wait. */
export function progressOf(steps: readonly Step[], done: readonly Done[] = []): Progress {
  const byStep = new Map(done.map((each) => [each.step, each]));
  const ids = new Set(steps.map(({ id }) => id));
  const states = new Map<string, StepState>();
  const ticked = (id: string) => byStep.get(id)?.done === true;
  for (const { id, of, needs } of steps) {
    const tick = byStep.get(id);
    states.set(
      id,
      tick?.wrong !== undefined
        ? 'wrong'
        : tick?.done
          ? tick.of === of
            ? 'done'
            : 'changed'
          : needs.every(({ step, why }) => why === 'usual' || !ids.has(step) || ticked(step))
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
