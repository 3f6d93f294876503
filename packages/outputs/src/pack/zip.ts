import { strToU8, zipSync, type Zippable } from 'fflate';
import type { PackedFile } from './pack.js';

/** The day that files are said to be of, where it is not known; a zip knows none before 1980. */
const NO_DAY = [1980, 1, 2] as const;

/**
 * Files as a zip that is the same bytes for the same files.
 * @param date of the build's state, `2026-11-29`
 */
export function zipOf(files: readonly PackedFile[], date?: string): Uint8Array {
  const [year, month, day] = date ? date.split('-').map(Number) : NO_DAY;
  // A zip holds local time: told in parts it is the same in every place.
  const mtime = new Date(year!, month! - 1, day);
  const all: Zippable = {};
  for (const { file, content } of files)
    all[file] = [typeof content === 'string' ? strToU8(content) : content, { mtime }];
  // Solids are many megabytes of text: a third of the time for a tenth more of size.
  return zipSync(all, { level: 3 });
}
