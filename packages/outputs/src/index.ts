/** Files and paper made from a plan. */
export { fileIn, fileNameOf, isPaper, outputOf, OUTPUTS } from './registry/registry.js';
export { logCsv } from './lists/logCsv.js';
export { packOf, type Making, type PackedFile, type PackOptions } from './pack/pack.js';
export { PACK_GROUPS, type LeftOut } from './pack/groups.js';
export { orderFiles, type OrderPage } from './cutting/orderFiles.js';
export { zipOf } from './pack/zip.js';
export type { Edition } from './registry/edition.js';
export type { Kit, Output, OutputOptions, Paper, Source } from './registry/output.js';
export { drawingsToPdf } from './pdf.js';
export { pathData } from './svg.js';
export { STROKES, type Drawing, type Mark, type Stroke } from './drawing.js';
export { stripsOf, type Strip } from './patterns/strip.js';
export { FACES, type PaperFonts } from './text/faces.js';
export { textWidth } from './text/measure.js';
export { outlineShape, steeringOutlines } from './plates/outlines.js';
export { nestOnSheets, type SheetNest } from './cuts/sheetNest.js';
