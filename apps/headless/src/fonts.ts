import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { FACES, type PaperFonts } from '@larchwood/outputs';

/** The faces that paper is set in, from where the outputs keep them. */
export async function paperFonts(): Promise<PaperFonts> {
  const outputs = createRequire(createRequire(import.meta.url).resolve('@larchwood/outputs'));
  const bytes = (faces: readonly string[]) =>
    Promise.all(faces.map((face) => readFile(outputs.resolve(face))));
  return { regular: await bytes(FACES.regular), bold: await bytes(FACES.bold) };
}
