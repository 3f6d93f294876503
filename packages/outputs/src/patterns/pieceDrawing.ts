import type { LengthDisplay, PieceCut } from '@larchwood/core';
import { placed, type Drawing } from '../drawing.js';
import { stripsOf } from './strip.js';

/** The wraps of one piece side by side, for a single SVG. */
export function pieceDrawing(cut: PieceCut, paperThickness: number, display: LengthDisplay): Drawing {
  const strips = stripsOf(cut, paperThickness, display);
  const height = Math.max(...strips.map((strip) => strip.height));
  let x = 4;
  const marks = strips.flatMap((strip) => {
    const at = x;
    x += strip.width + 10;
    return placed(strip.marks, [at, 4 + height - strip.height]);
  });
  return { width: x - 6, height: height + 8, marks };
}
