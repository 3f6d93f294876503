import type { BuildDocument } from '@larchwood/format';

/** Documents before and after the present one. */
export interface History {
  readonly past: readonly BuildDocument[];
  readonly present: BuildDocument;
  readonly future: readonly BuildDocument[];
  /** Edits with one key, one after the other, undo as one. */
  readonly key: string | undefined;
}

const MOST = 300;

export const begin = (present: BuildDocument): History => ({ past: [], present, future: [], key: undefined });

export function edited(history: History, next: BuildDocument, key: string): History {
  const joins = key === history.key && history.past.length > 0;
  const past = joins ? history.past : [...history.past, history.present].slice(-MOST);
  return { past, present: next, future: [], key };
}

/** The next edit starts a new step, even with the same key. */
export const settled = (history: History): History => ({ ...history, key: undefined });

export function undone(history: History): History {
  const previous = history.past.at(-1);
  if (!previous) return history;
  return {
    past: history.past.slice(0, -1),
    present: previous,
    future: [history.present, ...history.future],
    key: undefined,
  };
}

export function redone(history: History): History {
  const [next, ...future] = history.future;
  return next ? { past: [...history.past, history.present], present: next, future, key: undefined } : history;
}
