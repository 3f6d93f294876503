import type { PaperFonts } from '../text/faces.js';
import type { Output, Source } from './output.js';
import { fileIn, OUTPUTS } from './registry.js';

export interface PackedFile {
  readonly file: string;
  readonly content: string | Uint8Array;
}

/**
 * Every file that can be made of a build, one after the other, each by its own name.
 *
 * @param fonts fetches the faces of paper; asked once, and only where there is paper
 * @param outputs what is made; every output there is, where none are named
 */
export async function* packOf(
  source: Source,
  fonts: () => Promise<PaperFonts>,
  outputs: readonly Output[] = OUTPUTS,
): AsyncGenerator<PackedFile> {
  let fetched: Promise<PaperFonts> | undefined;
  const once = () => (fetched ??= fonts());
  for (const output of outputs.filter(({ refuse }) => refuse(source) === undefined))
    for (const options of output.packed?.(source) ?? [{}])
      yield { file: fileIn(output, source, options), content: await output.make(source, options, once) };
}
