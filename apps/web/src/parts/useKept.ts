import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';

/** What was chosen on a view and is no part of a build, until the page is loaded anew. */
const kept = createStore<Readonly<Record<string, unknown>>>(() => ({}));

type Next<T> = T | ((before: T) => T);

/**
 * As `useState`, but it is still there when the view is come back to.
 * @param key of this one choice: with the id of the build that it belongs to
 */
export function useKept<T>(key: string, first: T): readonly [T, (next: Next<T>) => void] {
  const of = (all: Readonly<Record<string, unknown>>): T =>
    Object.hasOwn(all, key) ? (all[key] as T) : first;
  const value = useStore(kept, of);
  const set = (next: Next<T>) =>
    kept.setState((all) => ({
      ...all,
      [key]: typeof next === 'function' ? (next as (before: T) => T)(of(all)) : next,
    }));
  return [value, set];
}

/** All choices whose keys begin so are as they were at first. */
export const forget = (beginning: string): void =>
  kept.setState(
    (all) => Object.fromEntries(Object.entries(all).filter(([key]) => !key.startsWith(beginning))),
    true,
  );
