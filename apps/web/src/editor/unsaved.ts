import { readDocument } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

/** Edits that have not reached the server yet, kept in this browser until they have. */
export interface Unsaved {
  readonly revision: number;
  readonly document: BuildDocument;
  /** Saves over that revision that had no answer yet: any of them may have arrived. */
  readonly saveIds: readonly string[];
}

const key = (id: string): string => `larchwood:unsaved:${id}`;

/** @returns false where the browser's store is full or blocked: then the edit is in memory only, and saving goes on */
export function keepUnsaved(id: string, unsaved: Unsaved): boolean {
  try {
    localStorage.setItem(key(id), JSON.stringify(unsaved));
    return true;
  } catch {
    return false;
  }
}

export function forgetUnsaved(id: string): void {
  try {
    localStorage.removeItem(key(id));
  } catch {
    // A blocked store holds nothing.
  }
}

export function findUnsaved(id: string): Unsaved | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(key(id)) ?? 'null') as {
      revision?: unknown;
      document?: unknown;
      saveIds?: unknown;
    } | null;
    const read = kept && readDocument(kept.document);
    return read?.ok && typeof kept?.revision === 'number'
      ? { revision: kept.revision, document: read.document, saveIds: wordsOf(kept.saveIds) }
      : undefined;
  } catch {
    return undefined;
  }
}

const wordsOf = (value: unknown): string[] =>
  Array.isArray(value) ? value.filter((each): each is string => typeof each === 'string') : [];

/** A name for one save that no other has. */
export const randomId = (): string =>
  Array.from(crypto.getRandomValues(new Uint32Array(4)), (part) => part.toString(36)).join('-');
