import { readDocument } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

/** Edits that have not reached the server yet, kept in this browser until they have. */
export interface Unsaved {
  readonly revision: number;
  readonly document: BuildDocument;
}

const key = (id: string): string => `larchwood:unsaved:${id}`;

export function keepUnsaved(id: string, unsaved: Unsaved): void {
  try {
    localStorage.setItem(key(id), JSON.stringify(unsaved));
  } catch {
    // A full or blocked store: the edit is still in memory, and saving goes on.
  }
}

export const forgetUnsaved = (id: string): void => localStorage.removeItem(key(id));

export function findUnsaved(id: string): Unsaved | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(key(id)) ?? 'null') as {
      revision?: unknown;
      document?: unknown;
    } | null;
    const read = kept && readDocument(kept.document);
    return read?.ok && typeof kept?.revision === 'number'
      ? { revision: kept.revision, document: read.document }
      : undefined;
  } catch {
    return undefined;
  }
}
