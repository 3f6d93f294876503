import type { OpenCascadeInstance } from 'replicad-opencascadejs';

/** The solid modeller, ready for use. */
export type Modeller = OpenCascadeInstance;

let ready: Promise<Modeller> | undefined;

/**
 * Loads the modeller once; it is large, and fetched only where solids are wanted.
 * @param bytes fetches its compiled part
 */
export function modellerFrom(bytes: () => Promise<Uint8Array>): Promise<Modeller> {
  ready ??= load(bytes).catch((error: unknown) => {
    // What failed once may be there the next time.
    ready = undefined;
    throw error;
  });
  return ready;
}

async function load(bytes: () => Promise<Uint8Array>): Promise<Modeller> {
  const [{ default: init }, { setOC }, wasmBinary] = await Promise.all([
    import('replicad-opencascadejs'),
    import('replicad'),
    bytes(),
  ]);
  const silent = () => undefined;
  const modeller = await init({ wasmBinary, print: silent, printErr: silent });
  setOC(modeller);
  return modeller;
}
