import { expose } from 'comlink';
import type { PieceCut } from '@larchwood/core';
import { drawingsToPdf, patternSheets, type SheetOptions } from '@larchwood/outputs';

/** Makes the pattern PDF off the main thread. */
const maker = {
  patterns: (cuts: readonly PieceCut[], options: SheetOptions): Promise<Uint8Array> =>
    drawingsToPdf(patternSheets(cuts, options), `${options.buildName}: patterns`),
};
export type PdfMaker = typeof maker;
expose(maker);
