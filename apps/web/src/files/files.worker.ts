import { expose, wrap } from 'comlink';
import type { CutItem } from '@larchwood/core';
import {
  orderFiles,
  outputOf,
  packOf,
  zipOf,
  type Making,
  type OrderPage,
  type Output,
  type OutputOptions,
  type PackedFile,
} from '@larchwood/outputs';
import { KIT } from './kit';
import type { SolidMaker } from './solids.worker';
import { sourceOf, type Build, type Wanted } from './wanted';

/** Makes a build's files off the main thread. */
const maker = {
  make: async ({ output, options, ...build }: Wanted): Promise<string | Uint8Array> =>
    outputOf(output).make(sourceOf(build), options, KIT),

  /** The pack as a zip; solids are made in a worker of their own meanwhile. */
  pack: (build: Build, outputs: readonly string[], onMaking: (making: Making) => void): Promise<Uint8Array> =>
    zipped(build, (elsewhere) =>
      packOf(sourceOf(build), KIT, { outputs: outputs.map(outputOf), onMaking, elsewhere }),
    ),

  /** What a cutting service gets, as a zip. */
  order: (
    build: Build,
    page: OrderPage,
    items: readonly CutItem[],
    onMaking: (making: Making) => void,
  ): Promise<Uint8Array> =>
    zipped(build, (elsewhere) => orderFiles(sourceOf(build), KIT, page, items, onMaking, elsewhere)),
};

type Elsewhere = (output: Output, options: OutputOptions) => Promise<string | Uint8Array>;

/** Files as a zip, made beside a worker for solids. */
async function zipped(
  build: Build,
  making: (elsewhere: Elsewhere) => AsyncGenerator<PackedFile>,
): Promise<Uint8Array> {
  const worker = new Worker(new URL('./solids.worker.ts', import.meta.url), { type: 'module' });
  const solids = wrap<SolidMaker>(worker);
  try {
    const files = making((output, options) => solids.make({ ...build, output: output.id, options }));
    return await zipOf(files, build.edition.date);
  } finally {
    worker.terminate();
  }
}
export type FileMaker = typeof maker;
expose(maker);
