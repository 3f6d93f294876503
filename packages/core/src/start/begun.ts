import { changesBetween, PARTS, type BuildDocument, type Part } from '@larchwood/format';
import { createBuild } from './create.js';

const fresh = new Map<string, BuildDocument | undefined>();
const known = new WeakMap<BuildDocument, ReadonlySet<Part>>();

/**
 * Parts of a document in which something was settled: those that are no longer as a new build of its kind and starting set
 * has them. All of them where it is of a set that there is no more.
 */
export function begunParts(document: BuildDocument): ReadonlySet<Part> {
  const before = known.get(document);
  if (before) return before;
  const { kind, startingSet } = document;
  const key = `${kind} ${startingSet}`;
  if (!fresh.has(key)) {
    const made = createBuild({ name: 'New', kind, startingSet });
    fresh.set(key, made.ok ? made.value : undefined);
  }
  const start = fresh.get(key);
  const parts = new Set(start ? changesBetween(start, document).parts.keys() : PARTS);
  known.set(document, parts);
  return parts;
}
