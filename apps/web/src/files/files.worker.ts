import { expose } from 'comlink';
import { fixtureDetails, planBuild } from '@larchwood/core';
import type { BuildDocument, Shop } from '@larchwood/format';
import { outputOf, type OutputOptions } from '@larchwood/outputs';
import { paperFonts } from './paperFonts';

/** What is asked of the worker: one output of a build as it stands. */
export interface Wanted {
  readonly output: string;
  readonly options: OutputOptions;
  readonly document: BuildDocument;
  readonly revision: string;
  readonly shop?: Shop;
}

/** Makes a build's files off the main thread. */
const maker = {
  make: async ({ output, options, document, revision, shop }: Wanted): Promise<string | Uint8Array> => {
    const planned = planBuild(document);
    if (!planned.ok) throw new Error('The build has no shape yet.');
    const { plan } = planned;
    const details = () => fixtureDetails({ document, ...plan });
    return outputOf(output).make(
      { document, plan, details, revision, ...(shop ? { shop } : {}) },
      options,
      paperFonts,
    );
  },
};
export type FileMaker = typeof maker;
expose(maker);
