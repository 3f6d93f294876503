import equal from 'fast-deep-equal';
import type { BuildDocument } from './buildSchema.js';
import type { Measured } from './checksSchema.js';
import type { Done } from './workSchema.js';

/** Parts of a document that two people may change at once without being in each other's way. */
export const PARTS = [
  'name',
  'kind',
  'startingSet',
  'notes',
  'brief',
  'units',
  'wheels',
  'stance',
  'seat',
  'steering',
  'mass',
  'frame',
  'cuts',
  'work',
  'checks',
  'profiles',
  'paper',
] as const;
export type Part = (typeof PARTS)[number];

/** Lists that are changed entry by entry, so that two at the bench are never in each other's way. */
export const LISTS = ['readings', 'done', 'measured'] as const;
export type List = (typeof LISTS)[number];

type Reading = BuildDocument['fixture']['readings'][number];

/** What a document is by itself; `fixture` is there as its profiles, a part, and its readings, a list. */
type Fixed = 'format' | 'version' | 'fixture';
/** Does not compile where a key of a document is neither part nor list: what is changed in none would be lost when two save. */
type Covered<Left extends never> = Left;
export type AllCovered = Covered<
  Exclude<keyof BuildDocument, Part | List | Fixed> | Exclude<keyof BuildDocument['fixture'], Part | List>
>;

/** What differs from one document to another, so that it can be done to a third one. */
export interface Changes {
  /** Parts that differ, as they are after the change. */
  readonly parts: ReadonlyMap<Part, unknown>;
  /** Fixture readings and ticks that differ, one by one; undefined where one was taken away. */
  readonly readings: ReadonlyMap<string, Reading | undefined>;
  /** Steps of the work that were done, or no longer are, one by one. */
  readonly done: ReadonlyMap<string, Done | undefined>;
  /** What was measured, reading by reading. */
  readonly measured: ReadonlyMap<string, Measured | undefined>;
}

/** What was changed from one document to the other, by part; readings, ticks, steps that were done and what was measured one by one. */
export function changesBetween(before: BuildDocument, after: BuildDocument): Changes {
  const parts = new Map<Part, unknown>();
  for (const part of PARTS) {
    const value = partOf(after, part);
    if (!equal(partOf(before, part), value)) parts.set(part, value);
  }
  return {
    parts,
    readings: differing(readingsOf(before), readingsOf(after)),
    done: differing(doneOf(before), doneOf(after)),
    measured: differing(measuredOf(before), measuredOf(after)),
  };
}

function differing<T>(was: ReadonlyMap<string, T>, is: ReadonlyMap<string, T>): Map<string, T | undefined> {
  const keys = new Set([...was.keys(), ...is.keys()]);
  return new Map(
    [...keys].filter((key) => !equal(was.get(key), is.get(key))).map((key) => [key, is.get(key)]),
  );
}

/** A document with those changes done to it. */
export function withChanges(
  document: BuildDocument,
  { parts, readings, done, measured }: Changes,
): BuildDocument {
  let next = document;
  for (const [part, value] of parts) {
    next =
      part === 'profiles'
        ? { ...next, fixture: { ...next.fixture, profiles: value as BuildDocument['fixture']['profiles'] } }
        : value === undefined
          ? without(next, part)
          : { ...next, [part]: value };
  }
  if (readings.size > 0)
    next = { ...next, fixture: { ...next.fixture, readings: merged(readingsOf(next), readings) } };
  if (done.size > 0) {
    const all = merged(doneOf(next), done);
    next = all.length > 0 ? { ...next, done: all } : without(next, 'done');
  }
  if (measured.size > 0) {
    const all = merged(measuredOf(next), measured);
    next = all.length > 0 ? { ...next, measured: all } : without(next, 'measured');
  }
  return next;
}

const merged = <T>(all: ReadonlyMap<string, T>, changed: ReadonlyMap<string, T | undefined>): T[] =>
  [...new Map<string, T | undefined>([...all, ...changed]).values()].filter((each) => each !== undefined);

/** What both changed, and differently: parts by name, the entries of a list together as the list. */
export function clashes(mine: Changes, theirs: Changes): (Part | List)[] {
  const parts = [...mine.parts].filter(
    ([part, value]) => theirs.parts.has(part) && !equal(value, theirs.parts.get(part)),
  );
  return [
    ...parts.map(([part]) => part),
    ...LISTS.filter((list) =>
      [...mine[list]].some(
        ([key, value]) => theirs[list].has(key) && !sameTick(value, theirs[list].get(key)),
      ),
    ),
  ];
}

/**
 * Mine, with all that they changed since `base` and I did not: where both changed the same, differently, mine stays.
 * @param base what both began from
 */
export function mineOver(base: BuildDocument, mine: BuildDocument, theirs: BuildDocument): BuildDocument {
  const here = changesBetween(base, mine);
  const there = changesBetween(base, theirs);
  const free = <K, V>(changed: ReadonlyMap<K, V>, taken: ReadonlyMap<K, V>): ReadonlyMap<K, V> =>
    new Map([...changed].filter(([key]) => !taken.has(key)));
  return withChanges(mine, {
    parts: free(there.parts, here.parts),
    readings: free(there.readings, here.readings),
    done: free(there.done, here.done),
    measured: free(there.measured, here.measured),
  });
}

/** Two who tick the same step say the same, whoever was first, whenever, and however long it took. */
type Entry = Reading | Done | Measured | undefined;
function sameTick(mine: Entry, theirs: Entry): boolean {
  const bare = (tick: Entry) => tick && { ...tick, on: undefined, hours: undefined };
  return equal(bare(mine), bare(theirs));
}

/** Whether nothing was changed at all. */
export const isUnchanged = ({ parts, ...lists }: Changes): boolean =>
  parts.size === 0 && LISTS.every((list) => lists[list].size === 0);
/** Whether nothing was changed but readings and ticks of the fixture, and steps of the work that were done, and what was measured. */
export const ticksOnly = ({ parts }: Changes): boolean => parts.size === 0;

/** A part that is there no longer leaves no empty place behind. */
function without(document: BuildDocument, part: Part | List): BuildDocument {
  return Object.fromEntries(
    Object.entries(document).filter(([key]) => key !== part),
  ) as unknown as BuildDocument;
}

const partOf = (document: BuildDocument, part: Part): unknown =>
  part === 'profiles' ? document.fixture.profiles : document[part];
const readingsOf = ({ fixture }: BuildDocument): Map<string, Reading> =>
  new Map(fixture.readings.map((reading) => [`${reading.school} ${reading.setting}`, reading]));
const doneOf = ({ done }: BuildDocument): Map<string, Done> =>
  new Map((done ?? []).map((each) => [each.step, each]));
const measuredOf = ({ measured }: BuildDocument): Map<string, Measured> =>
  new Map((measured ?? []).map((each) => [`${each.stage} ${each.measure}`, each]));
