import { documentText, FILE_SUFFIX, fileStem } from '@larchwood/format';
import type { PaperFonts } from '../text/faces.js';
import type { Kit, Output, OutputOptions, Source } from '../registry/output.js';
import { OUTPUTS } from '../registry/registry.js';
import { editionOf } from '../registry/edition.js';
import { indexPage } from './indexPage.js';
import type { LeftOut, Listed } from './groups.js';

export interface PackedFile {
  /** Its name in the pack, with its folder. */
  readonly file: string;
  readonly content: string | Uint8Array;
}

/** One step of the making. */
export interface Making {
  /** Of all steps, this one is so many; from 1. */
  readonly step: number;
  readonly of: number;
  readonly title: string;
}

export interface PackOptions {
  /** What goes in; every output there is, where none are named. */
  readonly outputs?: readonly Output[];
  /** Told when a file is begun, or, of one that is made elsewhere, waited for. */
  readonly onMaking?: (making: Making) => void;
  /** Makes a slow one in another place, while the others are made here. */
  readonly elsewhere?: (output: Output, options: OutputOptions) => Promise<string | Uint8Array>;
}

const INDEX = 'index.html';

const markOf = ({ plan }: Source, { piece }: OutputOptions): string | undefined =>
  (plan.cuts.find((cut) => cut.piece === piece) ?? plan.frame.plates.find(({ id }) => id === piece))?.mark;

/**
 * Every file that can be made of a build, one after the other, in folders by what they are for; then the build's own file, and
 * a page that lists them all. What cannot be made is named on that page, and the rest comes. The same build gives the same
 * bytes.
 */
export async function* packOf(
  source: Source,
  kit: Kit,
  { outputs = OUTPUTS, onMaking, elsewhere }: PackOptions = {},
): AsyncGenerator<PackedFile> {
  const edition = editionOf(source.edition);
  const wanted = outputs
    .filter(({ refuse }) => refuse(source) === undefined)
    .flatMap((output) => (output.packed?.(source) ?? [{}]).map((options) => ({ output, options })))
    .map((each) => {
      const { output, options } = each;
      if (!output.slow || !elsewhere) return each;
      const coming = elsewhere(output, options);
      // Whoever waits for it is told: until then a failure is nobody's.
      coming.catch(() => undefined);
      return { ...each, coming };
    })
    .sort((a, b) => Number('coming' in a) - Number('coming' in b));
  const of = wanted.length + 1;
  const listed: Listed[] = [];
  const leftOut: LeftOut[] = [];
  const once = keptKit(kit);
  const list = (file: PackedFile, rest: Omit<Listed, 'file' | 'size'>): PackedFile => {
    listed.push({ ...rest, file: file.file, size: sizeOf(file.content) });
    return file;
  };
  for (const [index, { output, options, ...rest }] of wanted.entries()) {
    const mark = markOf(source, options);
    const named = output.listed ?? output.title;
    const title = mark === undefined ? named : `${named}: ${mark}`;
    onMaking?.({ step: index + 1, of, title });
    let content: string | Uint8Array;
    try {
      content = await ('coming' in rest ? rest.coming : output.make(source, options, once));
    } catch (error) {
      leftOut.push({ title, why: error instanceof Error ? error.message : 'It could not be made.' });
      continue;
    }
    const remark = typeof content === 'string' ? output.remark?.(content) : undefined;
    const file = `${output.group}/${output.name(source, options)}-${edition}.${output.suffix}`;
    yield list(
      { file, content },
      {
        ...{ title: named, group: output.group },
        ...(mark === undefined ? {} : { mark }),
        ...(output.caution ? { caution: output.caution } : {}),
        ...(remark === undefined ? {} : { remark }),
      },
    );
  }
  onMaking?.({ step: of, of, title: 'The build’s own file and the page that lists all' });
  const { document } = source;
  yield list(
    { file: `${fileStem(document.name)}-${edition}${FILE_SUFFIX}`, content: documentText(document) },
    { title: 'The build itself, to open in Larchwood', group: 'build' },
  );
  yield { file: INDEX, content: indexPage(source, listed, leftOut) };
}

const sizeOf = (content: string | Uint8Array): number =>
  typeof content === 'string' ? new TextEncoder().encode(content).length : content.length;

/** The same kit, each part fetched once. */
function keptKit(kit: Kit): Kit {
  let fonts: Promise<PaperFonts> | undefined;
  let modeller: Promise<Uint8Array> | undefined;
  return {
    fonts: () => (fonts ??= kit.fonts()),
    modeller: () => (modeller ??= kit.modeller()),
  };
}
