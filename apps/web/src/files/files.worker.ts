import { expose, wrap } from 'comlink';
import { fixtureDetails, planBuild, type FixtureDetails } from '@larchwood/core';
import type { BuildDocument, Shop } from '@larchwood/format';
import {
  outputOf,
  packOf,
  zipOf,
  type Edition,
  type Making,
  type OutputOptions,
  type PackedFile,
  type Source,
} from '@larchwood/outputs';
import { KIT } from './kit';

/** A build as it stands, of which files are wanted. */
export interface Build {
  readonly document: BuildDocument;
  readonly revision: string;
  readonly edition: Edition;
  readonly address: string;
  readonly shop?: Shop;
}

/** What is asked of the worker: one output of a build. */
export interface Wanted extends Build {
  readonly output: string;
  readonly options: OutputOptions;
}

let known: { readonly text: string; readonly source: Source } | undefined;

/** What files are made from; kept, since one build's files are asked for one after the other. */
function sourceOf({ document, revision, edition, address, shop }: Build): Source {
  const text = JSON.stringify([document, revision, shop]);
  if (known?.text === text) return known.source;
  const planned = planBuild(document);
  if (!planned.ok) throw new Error('The build has no shape yet.');
  const { plan } = planned;
  let parts: FixtureDetails | undefined;
  const details = () => (parts ??= fixtureDetails({ document, ...plan }));
  const source = { document, plan, details, revision, edition, address, ...(shop ? { shop } : {}) };
  known = { text, source };
  return source;
}

/** Makes a build's files off the main thread. */
const maker = {
  make: async ({ output, options, ...build }: Wanted): Promise<string | Uint8Array> =>
    outputOf(output).make(sourceOf(build), options, KIT),

  /** The pack as a zip; solids are made in a second worker meanwhile. */
  pack: async (
    build: Build,
    outputs: readonly string[],
    onMaking: (making: Making) => void,
  ): Promise<Uint8Array> => {
    const other = new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
    const helper = wrap<FileMaker>(other);
    try {
      const files: PackedFile[] = [];
      const packed = packOf(sourceOf(build), KIT, {
        outputs: outputs.map(outputOf),
        onMaking,
        elsewhere: (output, options) => helper.make({ ...build, output: output.id, options }),
      });
      for await (const file of packed) files.push(file);
      return zipOf(files, build.edition.date);
    } finally {
      other.terminate();
    }
  },
};
export type FileMaker = typeof maker;
expose(maker);
