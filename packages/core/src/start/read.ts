import { readFormat, readFormatText, type ReadResult } from '@larchwood/format';
import { referenceFaults } from './references.js';

/**
 * Reads the text of a `.larchwood.json` file of any version: what the format says, and that its names point to kinds,
 * points, materials and schools that there are.
 * @returns the document, or every fault with its path; never throws
 */
export const readDocumentText = (text: string): ReadResult => withReferences(readFormatText(text));

/** The same of a value that is parsed already. */
export const readDocument = (value: unknown): ReadResult => withReferences(readFormat(value));

function withReferences(read: ReadResult): ReadResult {
  if (!read.ok) return read;
  const faults = referenceFaults(read.document);
  return faults.length > 0 ? { ok: false, faults } : read;
}
