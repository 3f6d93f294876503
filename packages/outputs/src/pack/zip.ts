import { strToU8, Zip, ZipDeflate } from 'fflate';
import type { PackedFile } from './pack.js';

/** The day that files are said to be of, where it is not known; a zip knows none before 1980. */
const NO_DAY = [1980, 1, 2] as const;
/** Solids are many megabytes of text: a third of the time for a tenth more of size. */
const LEVEL = 3;

/**
 * Files as a zip that is the same bytes for the same files; each is packed as it comes, while the next is waited for.
 * @param date of the build's state, `2026-11-29`
 */
export async function zipOf(
  files: AsyncIterable<PackedFile> | Iterable<PackedFile>,
  date?: string,
): Promise<Uint8Array> {
  const [year, month, day] = date ? date.split('-').map(Number) : NO_DAY;
  const chunks: Uint8Array[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    chunks.push(chunk);
  });
  for await (const { file, content } of files) {
    const packed = new ZipDeflate(file, { level: LEVEL });
    // A zip holds local time: told in parts it is the same in every place.
    packed.mtime = new Date(year!, month! - 1, day);
    zip.add(packed);
    packed.push(typeof content === 'string' ? strToU8(content) : content, true);
  }
  zip.end();
  const all = new Uint8Array(chunks.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const chunk of chunks) {
    all.set(chunk, at);
    at += chunk.length;
  }
  return all;
}
