import { expose } from 'comlink';
import { planBuild, type PieceCut } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import {
  drawingsToPdf,
  frameGltf,
  frameStl,
  patternSheets,
  type Drawing,
  type SheetOptions,
} from '@larchwood/outputs';
import { paperFonts } from './paperFonts';

/** Makes the pattern PDF, and the frame as a solid, off the main thread. */
const maker = {
  patterns: async (cuts: readonly PieceCut[], options: SheetOptions): Promise<Uint8Array> =>
    drawingsToPdf(patternSheets(cuts, options), `${options.buildName}: patterns`, await paperFonts()),
  drawings: async (drawings: readonly Drawing[], title: string): Promise<Uint8Array> =>
    drawingsToPdf(drawings, title, await paperFonts()),
  solid: async (document: BuildDocument, as: 'gltf' | 'stl'): Promise<Uint8Array> => {
    const planned = planBuild(document);
    if (!planned.ok) throw new Error('The build has no shape yet.');
    return as === 'gltf' ? frameGltf(planned.plan, document.name) : frameStl(planned.plan, document.name);
  },
};
export type PdfMaker = typeof maker;
expose(maker);
