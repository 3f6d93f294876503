import { wrap } from 'comlink';
import { failure, type DrawnFile, type Result } from '@larchwood/core';
import type { DrawingReader } from './drawing.worker';

/** A drawing that takes longer to read is given up, ms. */
const LONGEST = 8000;

/** Reads a drawing in a worker of its own, for so long and no longer. */
export async function readDrawingApart(text: string, unit: number | undefined): Promise<Result<DrawnFile>> {
  const worker = new Worker(new URL('./drawing.worker.ts', import.meta.url), { type: 'module' });
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<Result<DrawnFile>>((done) => {
    timer = setTimeout(
      () => done(failure('This drawing takes too long to read: export the centre lines alone.')),
      LONGEST,
    );
  });
  try {
    return await Promise.race([wrap<DrawingReader>(worker).read(text, unit), late]);
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}
