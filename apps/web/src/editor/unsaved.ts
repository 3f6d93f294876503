import { readDocument } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { openWindows, WINDOW } from '../parts/windows';

/** Edits that have not reached the server yet, kept in this browser until they have. */
export interface Unsaved {
  readonly revision: number;
  readonly document: BuildDocument;
  /** What it was changed from, where that is known: with it others' changes can be told from these. */
  readonly base?: BuildDocument | undefined;
  /** Saves over that revision that had no answer yet: any of them may have arrived. */
  readonly saveIds: readonly string[];
}

/** What a window that is no more has left. */
export interface Left extends Unsaved {
  /** Takes it out of the browser: it is elsewhere now. */
  readonly forget: () => void;
}

const PREFIX = 'larchwood:unsaved:';
/** Each window keeps its own: two on one build do not erase each other's. */
const key = (id: string): string => `${PREFIX}${id}:${WINDOW}`;

/** Beside the edits, and written only when it is another one: it stays the same from edit to edit. */
const baseKey = (of: string): string => `larchwood:base:${of}`;
let keptBase: readonly [at: string, base: BuildDocument | undefined] | undefined;
/** What the edits began from, as far as there is room: without it they are kept all the same. */
function keepBase(of: string, revision: number, base: BuildDocument | undefined): void {
  const at = baseKey(of);
  if (keptBase?.[0] === at && keptBase[1] === base) return;
  keptBase = [at, base];
  try {
    if (base !== undefined) return localStorage.setItem(at, JSON.stringify({ revision, document: base }));
  } catch {
    // An older one would be taken for this one.
  }
  remove(at);
}
/** The base of edits over a revision, where it was kept whole. */
function readBase(of: string, revision: number): BuildDocument | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(baseKey(of)) ?? 'null') as Partial<Unsaved> | null;
    const read = readDocument(kept?.document);
    return kept?.revision === revision && read.ok ? read.document : undefined;
  } catch {
    return undefined;
  }
}

/** @returns false where the browser's store is full or blocked: then the edit is in memory only, and saving goes on */
export function keepUnsaved(id: string, unsaved: Unsaved): boolean {
  try {
    const { base, ...changed } = unsaved;
    localStorage.setItem(key(id), JSON.stringify({ ...changed, at: Date.now() }));
    keepBase(key(id), unsaved.revision, base);
    return true;
  } catch {
    return false;
  }
}

export const forgetUnsaved = (id: string): void => forget(key(id));
function forget(of: string): void {
  remove(of);
  remove(baseKey(of));
  if (keptBase?.[0] === baseKey(of)) keptBase = undefined;
}

/** What windows that are closed now have left of a build, newest first. */
export async function findLeft(id: string): Promise<Left[]> {
  const all = keysOf(id);
  if (all.length === 0) return [];
  const open = await openWindows();
  return all
    .filter((each) => !open.has(each.slice(`${PREFIX}${id}:`.length)))
    .flatMap((each) => readLeft(each) ?? [])
    .sort((a, b) => b.at - a.at);
}

function keysOf(id: string): string[] {
  try {
    return Object.keys(localStorage).filter(
      (each) => each === PREFIX + id || each.startsWith(`${PREFIX}${id}:`),
    );
  } catch {
    return [];
  }
}

function readLeft(from: string): (Left & { readonly at: number }) | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(from) ?? 'null') as Record<
      keyof Unsaved | 'at',
      unknown
    > | null;
    const read = kept && readDocument(kept.document);
    return read?.ok && typeof kept?.revision === 'number'
      ? {
          ...{ revision: kept.revision, document: read.document, saveIds: wordsOf(kept.saveIds) },
          base: readBase(from, kept.revision),
          at: Number(kept.at) || 0,
          forget: () => forget(from),
        }
      : undefined;
  } catch {
    return undefined;
  }
}

function remove(from: string): void {
  try {
    localStorage.removeItem(from);
  } catch {
    // A blocked store holds nothing.
  }
}

const wordsOf = (value: unknown): string[] =>
  Array.isArray(value) ? value.filter((each): each is string => typeof each === 'string') : [];
