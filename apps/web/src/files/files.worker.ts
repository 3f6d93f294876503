import { expose, wrap } from 'comlink';
import { outputOf, packOf, zipOf, type Making, type PackedFile } from '@larchwood/outputs';
import { KIT } from './kit';
import type { SolidMaker } from './solids.worker';
import { sourceOf, type Build, type Wanted } from './wanted';

/** Makes a build's files off the main thread. */
const maker = {
  make: async ({ output, options, ...build }: Wanted): Promise<string | Uint8Array> =>
    outputOf(output).make(sourceOf(build), options, KIT),

  /** The pack as a zip; solids are made in a worker of their own meanwhile. */
  pack: async (
    build: Build,
    outputs: readonly string[],
    onMaking: (making: Making) => void,
  ): Promise<Uint8Array> => {
    const worker = new Worker(new URL('./solids.worker.ts', import.meta.url), { type: 'module' });
    const solids = wrap<SolidMaker>(worker);
    try {
      const files: PackedFile[] = [];
      const packed = packOf(sourceOf(build), KIT, {
        outputs: outputs.map(outputOf),
        onMaking,
        elsewhere: (output, options) => solids.make({ ...build, output: output.id, options }),
      });
      for await (const file of packed) files.push(file);
      return zipOf(files, build.edition.date);
    } finally {
      worker.terminate();
    }
  },
};
export type FileMaker = typeof maker;
expose(maker);
