import { expose } from 'comlink';
import { outputOf } from '@larchwood/outputs';
import { KIT } from './kit';
import { sourceOf, type Wanted } from './wanted';

/** Makes files of solids. The modeller makes calls from text, which the server allows to this worker alone. */
const maker = {
  make: async ({ output, options, ...build }: Wanted): Promise<string | Uint8Array> =>
    outputOf(output).make(sourceOf(build), options, KIT),
};
export type SolidMaker = typeof maker;
expose(maker);
