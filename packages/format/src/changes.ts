import equal from 'fast-deep-equal';
import type { BuildDocument } from './buildSchema.js';

/** Parts of a document that two people may change at once without being in each other's way. */
export const PARTS = [
  'name',
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
  'profiles',
  'paper',
] as const;
export type Part = (typeof PARTS)[number];

type Reading = BuildDocument['fixture']['readings'][number];

/** What differs from one document to another, so that it can be done to a third one. */
export interface Changes {
  /** Parts that differ, as they are after the change. */
  readonly parts: ReadonlyMap<Part, unknown>;
  /** Fixture readings and ticks that differ, one by one; undefined where one was taken away. */
  readonly readings: ReadonlyMap<string, Reading | undefined>;
}

/** What was changed from one document to the other, by part; readings and ticks of the fixture one by one. */
export function changesBetween(before: BuildDocument, after: BuildDocument): Changes {
  const parts = new Map<Part, unknown>();
  for (const part of PARTS) {
    const value = partOf(after, part);
    if (!equal(partOf(before, part), value)) parts.set(part, value);
  }
  const [was, is] = [readingsOf(before), readingsOf(after)];
  const readings = new Map<string, Reading | undefined>();
  for (const key of new Set([...was.keys(), ...is.keys()])) {
    if (!equal(was.get(key), is.get(key))) readings.set(key, is.get(key));
  }
  return { parts, readings };
}

/** A document with those changes done to it. */
export function withChanges(document: BuildDocument, { parts, readings }: Changes): BuildDocument {
  let next = document;
  for (const [part, value] of parts) {
    next =
      part === 'profiles'
        ? { ...next, fixture: { ...next.fixture, profiles: value as BuildDocument['fixture']['profiles'] } }
        : value === undefined
          ? without(next, part)
          : { ...next, [part]: value };
  }
  if (readings.size === 0) return next;
  const all = new Map<string, Reading | undefined>([...readingsOf(next), ...readings]);
  const kept = [...all.values()].filter((reading) => reading !== undefined);
  return { ...next, fixture: { ...next.fixture, readings: kept } };
}

/** What both changed, and differently: parts by name, readings together as 'readings'. */
export function clashes(mine: Changes, theirs: Changes): (Part | 'readings')[] {
  const parts = [...mine.parts].filter(
    ([part, value]) => theirs.parts.has(part) && !equal(value, theirs.parts.get(part)),
  );
  const readings = [...mine.readings].some(
    ([key, value]) => theirs.readings.has(key) && !equal(value, theirs.readings.get(key)),
  );
  return [...parts.map(([part]) => part), ...(readings ? (['readings'] as const) : [])];
}

/** Whether nothing was changed at all. */
export const isUnchanged = ({ parts, readings }: Changes): boolean => parts.size + readings.size === 0;
/** Whether nothing was changed but readings and ticks of the fixture. */
export const ticksOnly = ({ parts }: Changes): boolean => parts.size === 0;

/** A part that is there no longer leaves no empty place behind. */
function without(document: BuildDocument, part: Part): BuildDocument {
  return Object.fromEntries(
    Object.entries(document).filter(([key]) => key !== part),
  ) as unknown as BuildDocument;
}

const partOf = (document: BuildDocument, part: Part): unknown =>
  part === 'profiles' ? document.fixture.profiles : document[part];
const readingsOf = ({ fixture }: BuildDocument): Map<string, Reading> =>
  new Map(fixture.readings.map((reading) => [`${reading.school} ${reading.setting}`, reading]));
