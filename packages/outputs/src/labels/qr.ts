import { create } from 'qrcode';
import { area, type Mark, type Point } from '../drawing.js';

/** White that a code needs round it, in modules. Source: ISO/IEC 18004, quiet zone. */
const QUIET = 4;
/** Rows reach into each other by so much of a module, so that no printer leaves a hair of white between them. */
const OVER = 0.02;

/**
 * A code that phones read, as black areas: one for each run of dark modules in a row. Source: ISO/IEC 18004, by the qrcode
 * package, level M.
 * @param at upper left corner of its white border, mm
 * @param size of its side with that border, mm
 */
export function qrMarks(text: string, [left, top]: Point, size: number): Mark[] {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const count = modules.size;
  const step = size / (count + 2 * QUIET);
  const at = (column: number, row: number): Point => [
    left + (QUIET + column) * step,
    top + (QUIET + row) * step,
  ];
  const marks: Mark[] = [];
  for (let row = 0; row < count; row += 1) {
    let begun: number | undefined;
    for (let column = 0; column <= count; column += 1) {
      const dark = column < count && modules.get(row, column) === 1;
      if (dark) begun ??= column;
      else if (begun !== undefined) {
        marks.push(
          area([
            at(begun, row - OVER),
            at(column, row - OVER),
            at(column, row + 1 + OVER),
            at(begun, row + 1 + OVER),
          ]),
        );
        begun = undefined;
      }
    }
  }
  return marks;
}
