/** Files and paper made from a plan. */
export { drawingsToPdf } from './pdf.js';
export { drawingToSvg, pathData } from './svg.js';
export { STROKES, type Drawing, type Mark, type Stroke } from './drawing.js';
export {
  patternSheets,
  PatternTooLarge,
  SHEETS,
  type SheetOptions,
  type SheetSize,
} from './patterns/sheets.js';
export { stripsOf, type Strip } from './patterns/strip.js';
export { cutListCsv } from './lists/cutList.js';
export { frameGltf } from './solids/gltf.js';
export { frameStl } from './solids/stl.js';
export { pieceDrawing } from './patterns/pieceDrawing.js';
