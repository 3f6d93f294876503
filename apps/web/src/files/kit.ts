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
import modeller from 'replicad-opencascadejs/wasm?url';
import type { Kit, PaperFonts } from '@larchwood/outputs';

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

/** @throws Error naming what could not be loaded */
async function bytesOf(url: string, what: string): Promise<Uint8Array> {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error(`${what} could not be loaded`);
  return new Uint8Array(await answer.arrayBuffer());
}

/** The faces that paper is set in. */
async function fonts(): Promise<PaperFonts> {
  const faces = (urls: readonly string[]) =>
    Promise.all(urls.map((url) => bytesOf(url, 'the letters of the paper')));
  const [regular, bold] = await Promise.all([faces(URLS.regular), faces(URLS.bold)]);
  return { regular, bold };
}

/** What outputs fetch when they need it, as the application ships it. */
export const KIT: Kit = { fonts, modeller: () => bytesOf(modeller, 'the solid modeller') };
