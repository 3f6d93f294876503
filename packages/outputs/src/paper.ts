import type { SheetSize } from '@larchwood/format';
import { label, path, rimOf, type Mark, type Point } from './drawing.js';
import { shortened } from './text/measure.js';

/** Sheet sizes in mm, upright. Sources: ISO 216; ANSI/ASME Y14.1 sizes A and B. */
export const SHEETS: Readonly<Record<SheetSize, { readonly width: number; readonly height: number }>> = {
  A4: { width: 210, height: 297 },
  A3: { width: 297, height: 420 },
  Letter: { width: 215.9, height: 279.4 },
  Tabloid: { width: 279.4, height: 431.8 },
};

/** What a sheet says of itself, so that old paper is known for what it is. */
export interface TitleBlock {
  readonly build: string;
  /** What is on the sheet. */
  readonly what: string;
  /** Revision and its date; 'not saved' where there is none. */
  readonly revision: string;
  /** `1:1`, `1:5`; none for lists. */
  readonly scale?: string;
  /** `mm`, or `in`. */
  readonly units: string;
  /** `Sheet 2 of 5, A4` */
  readonly sheet: string;
}

/** Two lines at the head of a sheet: the build and what it is; revision, scale, units and which sheet. */
export function titleMarks(block: TitleBlock, left: number, right: number, top: number): Mark[] {
  const { build, what, revision, scale, units, sheet } = block;
  const first = shortened(`${build}: ${what}`, right - left, 4.2, true);
  const rest = [revision, ...(scale ? [scale] : []), units, sheet].join('  ·  ');
  return [
    label([left, top + 4], 4.2, first, { bold: true }),
    label([left, top + 9], 2.8, shortened(rest, right - left, 2.8)),
  ];
}

/** A bar of known length with a tick at each end, to hold a ruler to. */
export function bar([x, y]: Point, length: number, text: string, upright: boolean): Mark[] {
  const at = (along: number, across: number): Point =>
    upright ? [x + across, y + along] : [x + along, y + across];
  return [
    path('bar', [at(0, 0), at(length, 0)]),
    path('bar', [at(0, -1.5), at(0, 1.5)]),
    path('bar', [at(length, -1.5), at(length, 1.5)]),
    upright
      ? label([x + 1.2, y + length / 2], 2.8, text, { turned: true, anchor: 'middle' })
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
  return marks.map((mark): Mark => {
    if (mark.as === 'path') return { ...mark, points: mark.points.map(put) };
    if (mark.as === 'circle') return path(mark.stroke, rimOf(mark).map(put), true);
    return { ...mark, at: put(mark.at) };
  });
};
