import ownLatin400 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import ownLatinExt400 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url';
import otherLatin400 from '@fontsource/noto-sans/files/noto-sans-latin-400-normal.woff?url';
import otherLatinExt400 from '@fontsource/noto-sans/files/noto-sans-latin-ext-400-normal.woff?url';
import otherCyrillic400 from '@fontsource/noto-sans/files/noto-sans-cyrillic-400-normal.woff?url';
import otherCyrillicExt400 from '@fontsource/noto-sans/files/noto-sans-cyrillic-ext-400-normal.woff?url';
import otherGreek400 from '@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff?url';
import otherVietnamese400 from '@fontsource/noto-sans/files/noto-sans-vietnamese-400-normal.woff?url';
import ownLatin700 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import ownLatinExt700 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url';
import otherLatin700 from '@fontsource/noto-sans/files/noto-sans-latin-700-normal.woff?url';
import otherLatinExt700 from '@fontsource/noto-sans/files/noto-sans-latin-ext-700-normal.woff?url';
import otherCyrillic700 from '@fontsource/noto-sans/files/noto-sans-cyrillic-700-normal.woff?url';
import otherCyrillicExt700 from '@fontsource/noto-sans/files/noto-sans-cyrillic-ext-700-normal.woff?url';
import otherGreek700 from '@fontsource/noto-sans/files/noto-sans-greek-700-normal.woff?url';
import otherVietnamese700 from '@fontsource/noto-sans/files/noto-sans-vietnamese-700-normal.woff?url';
import type { PaperFonts } from '@larchwood/outputs';

/** Addresses of the faces, in the order in which the outputs name them. */
const URLS = {
  regular: [
    ownLatin400,
    ownLatinExt400,
    otherLatin400,
    otherLatinExt400,
    otherCyrillic400,
    otherCyrillicExt400,
    otherGreek400,
    otherVietnamese400,
  ],
  bold: [
    ownLatin700,
    ownLatinExt700,
    otherLatin700,
    otherLatinExt700,
    otherCyrillic700,
    otherCyrillicExt700,
    otherGreek700,
    otherVietnamese700,
  ],
};

/** The faces that paper is set in, as the application ships them. */
export async function paperFonts(): Promise<PaperFonts> {
  const bytes = (urls: readonly string[]) =>
    Promise.all(
      urls.map(async (url) => {
        const answer = await fetch(url);
        if (!answer.ok) throw new Error('the letters of the paper could not be loaded');
        return new Uint8Array(await answer.arrayBuffer());
      }),
    );
  const [regular, bold] = await Promise.all([bytes(URLS.regular), bytes(URLS.bold)]);
  return { regular, bold };
}
