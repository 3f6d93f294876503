import { Check, Circle, CircleDashed, OctagonAlert, TriangleAlert } from 'lucide-react';
import type { StepState } from '@larchwood/core';

const SHAPE = {
  done: Check,
  changed: TriangleAlert,
  wrong: OctagonAlert,
  ready: Circle,
  waits: CircleDashed,
} as const;
const TINT = {
  done: 'text-spruce',
  changed: 'text-larch-text',
  wrong: 'text-brick',
  ready: 'text-ink',
  waits: 'text-quiet',
} as const;
export const STATE_WORDS: Readonly<Record<StepState, string>> = {
  done: 'done',
  changed: 'done, but the drawing has changed since',
  wrong: 'something is wrong',
  ready: 'can be done now',
  waits: 'waits for another step',
};

/** How a step stands, by shape and by word. */
export function StepMark({ state, size = 16 }: { readonly state: StepState; readonly size?: number }) {
  const Shape = SHAPE[state];
  return (
    <span className={`inline-flex ${TINT[state]}`} title={STATE_WORDS[state]}>
      <Shape size={size} aria-hidden />
      <span className="sr-only">{STATE_WORDS[state]}</span>
    </span>
  );
}
