/** Files and paper made from a plan. */
export { drawingsToPdf } from './pdf.js';
export { drawingToSvg, pathData } from './svg.js';
export { STROKES, type Drawing, type Mark, type Stroke } from './drawing.js';
export { SHEETS, TRUE_PRINTER, type Printer, type TitleBlock } from './paper.js';
export { tiled, type TileOptions } from './tiles.js';
export { drawingToDxf } from './dxf.js';
export { fullSizeDrawing, planOnRoll } from './fixture/fullSize.js';
export { fixtureDrawing, fixtureOnRoll } from './fixture/fixtureDrawing.js';
export { fixtureSheets } from './fixture/fixtureSheets.js';
export { settingsCsv } from './fixture/settingsCsv.js';
export { patternSheets, type SheetOptions } from './patterns/sheets.js';
export { stripsOf, type Strip } from './patterns/strip.js';
export { FACES, type PaperFonts } from './text/faces.js';
export { textWidth, LEAST_SIZE } from './text/measure.js';
export { cutListCsv } from './lists/cutList.js';
export { frameGltf } from './solids/gltf.js';
export { frameStl } from './solids/stl.js';
export { pieceDrawing } from './patterns/pieceDrawing.js';
