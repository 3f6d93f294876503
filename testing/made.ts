import {
  createBuild,
  KINDS,
  planBuild,
  readDocument,
  stanceOf,
  type CreateOptions,
  type Plan,
  type Result,
  type Stance,
} from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

/** A set of each family of frames: what holds for these is tried on all. */
export const FAMILIES = [
  ['bicycle', 'trail'],
  ['motorcycle', 'sport'],
  ['tadpole-trike', 'tadpole'],
  ['kart', 'ladder'],
  ['buggy', 'buggy'],
] as const;

/** Every starting set of every kind; in a mutation run, which tries all tests many times, one of each family. */
export const EVERY_SET: readonly (readonly [kind: string, set: string])[] =
  process.env.LARCHWOOD_MUTATE === undefined
    ? KINDS.flatMap((kind) => kind.startingSets.map((set) => [kind.id, set.id] as const))
    : FAMILIES;

const known = new Map<string, BuildDocument>();

/** A build as its starting set makes it: one and the same for the same words. */
export function made(
  kind = 'bicycle',
  startingSet = 'road',
  options: Partial<CreateOptions> = {},
): BuildDocument {
  const key = JSON.stringify([kind, startingSet, options]);
  const before = known.get(key);
  if (before) return before;
  const build = createBuild({ name: 'Test', kind, startingSet, ...options });
  if (!build.ok) throw new Error(build.message);
  known.set(key, build.value);
  return build.value;
}

export function stanceMade(document: BuildDocument): Stance {
  const result = stanceOf(document);
  if (!result.ok) throw new Error(JSON.stringify(result.refusals));
  return result.stance;
}

const planned = new WeakMap<BuildDocument, Plan>();

/** A document's plan, made once for each document. */
export function planMade(document: BuildDocument): Plan {
  const before = planned.get(document);
  if (before) return before;
  const result = planBuild(document);
  if (!result.ok) throw new Error(JSON.stringify(result.refusals));
  planned.set(document, result.plan);
  return result.plan;
}

/** The same build with other values held. */
export const holding = (document: BuildDocument, held: Readonly<Record<string, number>>): BuildDocument => ({
  ...document,
  stance: { ...document.stance, held },
});

/** What an edit of a frame gives: a document that can be saved and read again. */
export function kept(result: Result<BuildDocument>): BuildDocument {
  if (!result.ok) throw new Error(result.message);
  const read = readDocument(JSON.parse(JSON.stringify(result.value)));
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return result.value;
}
