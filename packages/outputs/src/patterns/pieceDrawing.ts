import type { LengthDisplay, PieceCut } from '@larchwood/core';
import { placed, type Drawing } from '../drawing.js';
import { stripsOf } from './strip.js';

/** Both ends of one piece side by side, for a single SVG. */
export function pieceDrawing(cut: PieceCut, paperThickness: number, display: LengthDisplay): Drawing {
  const [first, second] = stripsOf(cut, paperThickness, display);
  const height = Math.max(first.height, second.height);
  return {
    width: first.width + second.width + 18,
    height: height + 8,
    marks: [
      ...placed(first.marks, [4, 4 + height - first.height]),
      ...placed(second.marks, [first.width + 14, 4 + height - second.height]),
    ],
  };
}
