import { BuildSchema, FORMAT_VERSION, type BuildDocument } from './buildSchema.js';
import { migrated } from './migrations/migrated.js';
import { schemaFaults, type Fault } from './faults.js';
import { renewed } from './renewed.js';

export type ReadResult =
  | { readonly ok: true; readonly document: BuildDocument }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** Largest file that is read at all, in bytes; a whole build is some 20 kB. */
export const LARGEST_DOCUMENT = 4 * 1024 * 1024;

/** Reads the text of a `.larchwood.json` file against the format. Never throws; every fault carries its path. */
export function readFormatText(text: string): ReadResult {
  if (text.length > LARGEST_DOCUMENT) {
    return refused(
      '/',
      `This file is ${(text.length / 1048576).toFixed(1)} MB; a build is never more than ${LARGEST_DOCUMENT / 1048576} MB.`,
    );
  }
  try {
    return readFormat(JSON.parse(text) as unknown);
  } catch (error) {
    return refused('/', `This is not JSON: ${error instanceof Error ? error.message : 'it cannot be read'}.`);
  }
}

/**
 * Checks an unknown value against the format, brings an earlier version up to this one, and names every fault. What its
 * names point to, kinds, points, materials and schools, is for those to check who know them.
 */
export function readFormat(value: unknown): ReadResult {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return refused('/', 'A build is a JSON object.');
  const { format, version } = value as Record<string, unknown>;
  if (format !== 'larchwood-build')
    return refused('/format', 'This is not a Larchwood build: “format” must be "larchwood-build".');
  if (typeof version === 'number' && version > FORMAT_VERSION) {
    return refused(
      '/version',
      `This build was saved by a newer Larchwood (format ${version}; this one reads up to ${FORMAT_VERSION}). Update to open it; the file is left as it is.`,
    );
  }
  const present = migrated(value as Record<string, unknown>);
  const faults = schemaFaults(BuildSchema, present);
  if (faults.length > 0) return { ok: false, faults };
  return { ok: true, document: renewed(present as BuildDocument) };
}

function refused(path: string, message: string): ReadResult {
  return { ok: false, faults: [{ path, message }] };
}
