import type { BuildDocument } from '@larchwood/format';
import { nextStep } from '../parts/steps';

/** A document that a step leads from or to, with the number of that step. */
export interface Step {
  readonly document: BuildDocument;
  readonly no: number;
}

/** Documents before and after the present one. */
export interface History {
  readonly past: readonly Step[];
  readonly present: BuildDocument;
  readonly future: readonly Step[];
  /** Edits with one key, one after the other, undo as one. */
  readonly key: string | undefined;
}

const MOST = 300;

export const begin = (present: BuildDocument): History => ({ past: [], present, future: [], key: undefined });

export function edited(history: History, next: BuildDocument, key: string): History {
  const joins = key === history.key && history.past.length > 0;
  const past = joins
    ? history.past
    : [...history.past, { document: history.present, no: nextStep() }].slice(-MOST);
  return { past, present: next, future: [], key };
}

/** The next edit starts a new step, even with the same key. */
export const settled = (history: History): History => ({ ...history, key: undefined });

export function undone(history: History): History {
  const previous = history.past.at(-1);
  if (!previous) return history;
  return {
    past: history.past.slice(0, -1),
    present: previous.document,
    future: [{ document: history.present, no: previous.no }, ...history.future],
    key: undefined,
  };
}

export function redone(history: History): History {
  const [next, ...future] = history.future;
  if (!next) return history;
  const past = [...history.past, { document: history.present, no: next.no }];
  return { past, present: next.document, future, key: undefined };
}
