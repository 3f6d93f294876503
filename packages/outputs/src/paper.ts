import type { SheetSize } from '@larchwood/core';
import { label, path, type Mark, type Point } from './drawing.js';

/** Sheet sizes in mm, upright. Sources: ISO 216; ANSI/ASME Y14.1 sizes A and B. */
export const SHEETS: Readonly<Record<SheetSize, { readonly width: number; readonly height: number }>> = {
  A4: { width: 210, height: 297 },
  A3: { width: 297, height: 420 },
  Letter: { width: 215.9, height: 279.4 },
  Tabloid: { width: 279.4, height: 431.8 },
};

/** A bar of known length with a tick at each end, to hold a ruler to. */
export function bar([x, y]: Point, length: number, text: string, upright: boolean): Mark[] {
  const at = (along: number, across: number): Point =>
    upright ? [x + across, y + along] : [x + along, y + across];
  return [
    path('bar', [at(0, 0), at(length, 0)]),
    path('bar', [at(0, -1.5), at(0, 1.5)]),
    path('bar', [at(length, -1.5), at(length, 1.5)]),
    upright
      ? label([x + 1, y + length / 2], 2.8, text, { turned: true, anchor: 'middle' })
      : label([x + length + 2, y + 1], 2.8, text),
  ];
}

/** What the next print is stretched by: x along a sheet's short side, or across a roll; y along its long side. */
export interface Printer {
  readonly x: number;
  readonly y: number;
}

/** The same printer as it meets a sheet that lies on its side. */
export const lyingPrinter = ({ x, y }: Printer): Printer => ({ x: y, y: x });
export const TRUE_PRINTER: Printer = { x: 1, y: 1 };

/** Marks stretched for a printer that does not print true, about the sheet's corner. */
export const stretched = (marks: readonly Mark[], { x, y }: Printer): Mark[] => {
  if (x === 1 && y === 1) return [...marks];
  const put = ([px, py]: Point): Point => [px * x, py * y];
  return marks.map((mark) =>
    mark.as === 'path' ? { ...mark, points: mark.points.map(put) } : { ...mark, at: put(mark.at) },
  );
};
