import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { FACES, type Kit } from '@larchwood/outputs';

/** Where the outputs keep what they need. */
const outputs = createRequire(createRequire(import.meta.url).resolve('@larchwood/outputs'));

const bytes = (faces: readonly string[]) => Promise.all(faces.map((face) => readFile(outputs.resolve(face))));

/** What outputs fetch when they need it, from this machine. */
export const KIT: Kit = {
  fonts: async () => ({ regular: await bytes(FACES.regular), bold: await bytes(FACES.bold) }),
  modeller: () => readFile(outputs.resolve('replicad-opencascadejs/wasm')),
};
