import type { PieceCut } from '@larchwood/core';
import { placed, type Drawing } from '../drawing.js';
import { bar } from '../paper.js';
import { stripsOf, type StripOptions } from './strip.js';

const EDGE = 4;
const BAR = 100;

/** The wraps of one piece side by side over a bar to measure, for a single SVG. */
export function pieceDrawing(cut: PieceCut, options: StripOptions): Drawing {
  const some = stripsOf(cut, options);
  const strips = some.length > 0 ? some : stripsOf(cut, { ...options, square: true });
  const height = Math.max(...strips.map((strip) => strip.height));
  let x = EDGE;
  const marks = strips.flatMap((strip) => {
    const at = x;
    x += strip.width + 10;
    return placed(strip.marks, [at, EDGE + height - strip.height]);
  });
  const width = Math.max(x - 10 + EDGE, BAR + 30);
  return {
    width,
    height: height + 2 * EDGE + 8,
    marks: [...marks, ...bar([EDGE, height + 2 * EDGE + 2], BAR, '100 mm', false)],
  };
}
