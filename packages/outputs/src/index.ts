/** Files and paper made from a plan. */
export { drawingsToPdf } from './pdf.js';
export { drawingToSvg, pathData } from './svg.js';
export { STROKES, type Drawing, type Mark, type Stroke } from './drawing.js';
export { SHEETS, TRUE_PRINTER, type Printer } from './paper.js';
export { tiled, type TileOptions } from './tiles.js';
export { drawingToDxf } from './dxf.js';
export { fullSizeDrawing, onRoll } from './fixture/fullSize.js';
export { fixtureDrawing, fixtureSheets } from './fixture/fixtureSheets.js';
export { settingsCsv } from './fixture/settingsCsv.js';
export { patternSheets, PatternTooLarge, type SheetOptions } from './patterns/sheets.js';
export { stripsOf, type Strip } from './patterns/strip.js';
export { cutListCsv } from './lists/cutList.js';
export { frameGltf } from './solids/gltf.js';
export { frameStl } from './solids/stl.js';
export { pieceDrawing } from './patterns/pieceDrawing.js';
