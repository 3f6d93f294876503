/**
 * The application's own faces as they ship, each weight as the files that share out its letters. Later ones stand in where
 * the first have no letter. Paths as packages name them.
 */
const own = (part: string, weight: 400 | 700) =>
  `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${part}-${weight}-normal.woff`;
const other = (part: string, weight: 400 | 700) =>
  `@fontsource/noto-sans/files/noto-sans-${part}-${weight}-normal.woff`;

const facesOf = (weight: 400 | 700) =>
  [
    own('latin', weight),
    own('latin-ext', weight),
    other('latin', weight),
    other('latin-ext', weight),
    other('cyrillic', weight),
    other('cyrillic-ext', weight),
    other('greek', weight),
    other('vietnamese', weight),
  ] as const;

export const FACES = { regular: facesOf(400), bold: facesOf(700) } as const;

/** The bytes of each face, in the order of `FACES`. */
export interface PaperFonts {
  readonly regular: readonly Uint8Array[];
  readonly bold: readonly Uint8Array[];
}
