// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- an ambient module has no name to import
/// <reference path="./maxrects.d.ts" />
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import type { LengthDisplay, PieceCut, SheetSize } from '@larchwood/core';
import { label, placed, type Drawing, type Mark } from '../drawing.js';
import { bar, SHEETS, stretched, TRUE_PRINTER, type Printer } from '../paper.js';
import { stripsOf, type Strip } from './strip.js';

const MARGIN = { left: 24, right: 8, top: 22, bottom: 20 };
const GAP = 4;

export interface SheetOptions {
  readonly size: SheetSize;
  readonly paperThickness: number;
  readonly display: LengthDisplay;
  readonly buildName: string;
  /** Correction of the printer; none where it prints true. */
  readonly printer?: Printer;
}
export class PatternTooLarge extends Error {}

/** Every wrap of the given pieces, on as few sheets as the packer finds. @throws PatternTooLarge naming a piece that fits no sheet. */
export function patternSheets(cuts: readonly PieceCut[], options: SheetOptions): Drawing[] {
  const printer = options.printer ?? TRUE_PRINTER;
  const sheet = SHEETS[options.size];
  // Drawn in true millimetres, then stretched with the printer's correction.
  const [width, height] = [sheet.width / printer.x, sheet.height / printer.y];
  const room = { width: width - MARGIN.left - MARGIN.right, height: height - MARGIN.top - MARGIN.bottom };
  const fits = ({ width: w, height: h }: Strip): boolean =>
    (w <= room.width && h <= room.height) || (h <= room.width && w <= room.height);
  const strips = cuts.flatMap((cut) => {
    const usual = stripsOf(cut, options.paperThickness, options.display);
    return usual.every(fits) ? usual : stripsOf(cut, options.paperThickness, options.display, true);
  });
  const large = strips.find((strip) => !fits(strip));
  if (large)
    throw new PatternTooLarge(
      `Piece ${large.title} needs ${large.width.toFixed(0)} × ${large.height.toFixed(0)} mm of paper: more than one ${options.size} sheet holds.`,
    );
  const packer = new MaxRectsPacker<Strip>(room.width, room.height, GAP, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: true,
  });
  packer.addArray(strips.map((strip) => ({ width: strip.width, height: strip.height, data: strip })));
  return packer.bins.map((bin, index) => {
    const marks = bin.rects.flatMap((rect) => {
      const strip = rect.data;
      return placed(
        strip.marks,
        [MARGIN.left + rect.x, MARGIN.top + rect.y],
        rect.rot ? { height: strip.height } : undefined,
      );
    });
    const all = [
      ...marks,
      ...sheetMarks(options, width, height, `Sheet ${index + 1} of ${packer.bins.length}`),
    ];
    return { ...sheet, marks: stretched(all, printer) };
  });
}

/** Head, and check bars in both directions and both units. */
function sheetMarks(options: SheetOptions, width: number, height: number, number: string): Mark[] {
  return [
    label([MARGIN.left, 12], 4, options.buildName, { bold: true }),
    label(
      [MARGIN.left, 17],
      2.8,
      'Patterns at full size. Print without scaling, then measure the bars: each must be as long as it says.',
    ),
    label([width - MARGIN.right, 12], 3.2, `${number}, ${options.size}`, { anchor: 'end' }),
    ...bar([MARGIN.left, height - 14], 150, '150 mm', false),
    ...bar([MARGIN.left, height - 8], 152.4, '6 in', false),
    ...bar([9, MARGIN.top], 200, '200 mm', true),
    ...bar([16, MARGIN.top], 203.2, '8 in', true),
  ];
}
