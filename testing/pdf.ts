import { drawingsToPdf, type Drawing } from '@larchwood/outputs';
import { KIT } from './kit.js';
import { measurePdf, type MeasuredPage } from './measurePdf.js';

const fonts = KIT.fonts();

/** Drawings as a PDF with the application's own letters. */
export const pdfOf = async (drawings: readonly Drawing[]): Promise<Uint8Array> =>
  drawingsToPdf(drawings, 'Test', await fonts);

/** The same as another program reads it. */
export const pagesOf = async (drawings: readonly Drawing[]): Promise<MeasuredPage[]> =>
  measurePdf(await pdfOf(drawings));
