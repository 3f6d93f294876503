// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- an ambient module has no name to import
/// <reference path="./maxrects.d.ts" />
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import type { LengthDisplay, PieceCut } from '@larchwood/core';
import type { SheetSize } from '@larchwood/format';
import { label, path, placed, type Drawing, type Mark } from '../drawing.js';
import { bar, SHEETS, stretched, titleMarks, TRUE_PRINTER, type Printer } from '../paper.js';
import { shortened } from '../text/measure.js';
import { within } from '../tiles.js';
import { stripsOf } from './strip.js';

const MARGIN = { left: 20, right: 5, top: 21, bottom: 18 };
const GAP = 3;
const PATTERN_NOTE =
  'Print without scaling and measure the bars. Arrow: the host leans to that side. Dashed: inside of the wall.';

export interface SheetOptions {
  readonly size: SheetSize;
  readonly paperThickness: number;
  readonly display: LengthDisplay;
  readonly buildName: string;
  /** Revision and its date, as the title block says it. */
  readonly revision: string;
  /** Correction of the printer; none where it prints true. */
  readonly printer?: Printer;
  /** Also wraps of ends that are cut square. */
  readonly square?: boolean;
}

/** Every wrap of the given pieces, on as few sheets as the packer finds. One that is larger than a sheet comes in parts. */
export function patternSheets(cuts: readonly PieceCut[], options: SheetOptions): Drawing[] {
  const { fits } = roomOn(options);
  const of = (cut: PieceCut, separate: boolean) => stripsOf(cut, { ...options, separate });
  const strips = cuts.flatMap((cut) => {
    const usual = of(cut, false);
    return usual.every(fits) ? usual : of(cut, true);
  });
  return onSheets(strips, options, 'patterns', PATTERN_NOTE);
}

/** A sheet's room for what is laid on it, in true millimetres: the printer's correction comes after. */
function roomOn(options: Pick<SheetOptions, 'size' | 'printer'>) {
  const printer = options.printer ?? TRUE_PRINTER;
  const sheet = SHEETS[options.size];
  const [width, height] = [sheet.width / printer.x, sheet.height / printer.y];
  const room = { width: width - MARGIN.left - MARGIN.right, height: height - MARGIN.top - MARGIN.bottom };
  const fits = ({ width: w, height: h }: Drawing): boolean =>
    (w <= room.width && h <= room.height) || (h <= room.width && w <= room.height);
  return { printer, sheet, width, height, room, fits };
}

/** A drawing that is cut out, with what is written on its parts where it is larger than a sheet. */
export type Shape = Drawing & { readonly mark: string };

/** Shapes at full size, each with its mark, on as few sheets as the packer finds; larger ones in parts. */
export function onSheets(
  shapes: readonly Shape[],
  options: SheetOptions,
  what: string,
  note: string,
): Drawing[] {
  const { printer, sheet, width, height, room, fits } = roomOn(options);
  const strips = shapes.flatMap((strip): Drawing[] => (fits(strip) ? [strip] : inParts(strip, room)));
  const bins = packed(strips, room);
  return bins.map((bin, index) => {
    const marks = bin.flatMap(({ x, y, turned, drawing }) =>
      placed(
        drawing.marks,
        [MARGIN.left + x, MARGIN.top + y],
        turned ? { height: drawing.height } : undefined,
      ),
    );
    const number = `Sheet ${index + 1} of ${bins.length}, ${options.size}`;
    const all = [...marks, ...sheetMarks(options, width, height, number, what, note)];
    return { ...sheet, marks: stretched(all, printer) };
  });
}

interface Packed {
  readonly x: number;
  readonly y: number;
  readonly turned: boolean;
  readonly drawing: Drawing;
}

/** Orders in which strips are tried; the packer places them one after the other. */
const ORDERS: readonly ((a: Drawing, b: Drawing) => number)[] = [
  (a, b) => b.width * b.height - a.width * a.height,
  (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height),
  (a, b) => b.width - a.width || b.height - a.height,
  (a, b) => b.height - a.height || b.width - a.width,
  (a, b) => Math.min(b.width, b.height) - Math.min(a.width, a.height),
];

/** Strips on as few sheets as any of several orders finds. */
function packed(strips: readonly Drawing[], room: { width: number; height: number }): Packed[][] {
  let best: Packed[][] | undefined;
  for (const order of ORDERS)
    for (const allowRotation of [true, false]) {
      const packer = new MaxRectsPacker<Drawing>(room.width, room.height, GAP, {
        smart: false,
        pot: false,
        square: false,
        allowRotation,
      });
      const laid = new Set<Drawing>();
      // Where rotation is not allowed, what only fits lying is laid down before.
      const standing = ({ width, height }: Drawing) => width <= room.width && height <= room.height;
      for (const strip of [...strips].sort(order)) {
        const lie = !allowRotation && !standing(strip);
        const { width, height } = strip;
        packer.add(lie ? height : width, lie ? width : height, strip);
        if (lie) laid.add(strip);
      }
      const bins = packer.bins.map((bin) =>
        bin.rects.map(({ x, y, rot, data }): Packed => ({
          x,
          y,
          turned: rot || laid.has(data),
          drawing: data,
        })),
      );
      if (!best || bins.length < best.length) best = bins;
    }
  return best ?? [];
}

/** How far parts of a strip share it, mm; where they are joined stands a cross on each. */
const SHARED = 12;

/** A strip that is larger than a sheet, in parts that are joined cross on cross. */
function inParts(strip: Shape, room: { width: number; height: number }): Drawing[] {
  const [short, long] = [Math.min(room.width, room.height), Math.max(room.width, room.height)];
  const window = strip.width >= strip.height ? ([long, short] as const) : ([short, long] as const);
  const count = (size: number, each: number) => Math.max(1, Math.ceil((size - SHARED) / (each - SHARED)));
  const columns = count(strip.width, window[0]);
  const rows = count(strip.height, window[1]);
  const step = (size: number, parts: number) => (size - SHARED) / parts;
  const [across, down] = [step(strip.width, columns), step(strip.height, rows)];
  return Array.from({ length: columns * rows }, (_, part): Drawing => {
    const [column, row] = [part % columns, Math.floor(part / columns)];
    const [left, top] = [column * across, row * down];
    const [width, height] = [across + SHARED, down + SHARED];
    const half = SHARED / 2;
    const crosses = [
      ...(column > 0 ? [0.25, 0.75].map((share) => [half, height * share] as const) : []),
      ...(column < columns - 1 ? [0.25, 0.75].map((share) => [width - half, height * share] as const) : []),
      ...(row > 0 ? [0.25, 0.75].map((share) => [width * share, half] as const) : []),
      ...(row < rows - 1 ? [0.25, 0.75].map((share) => [width * share, height - half] as const) : []),
    ];
    const name = `${strip.mark}, part ${part + 1} of ${columns * rows}: lay cross on cross`;
    return {
      width,
      height,
      marks: [
        ...placed(within(strip.marks, [left, top, left + width, top + height]), [-left, -top]),
        ...crosses.flatMap(([x, y]) => [
          path('bar', [
            [x - 3, y],
            [x + 3, y],
          ]),
          path('bar', [
            [x, y - 3],
            [x, y + 3],
          ]),
        ]),
        label([SHARED, height - 2], 3, shortened(name, width - 2 * SHARED, 3), { clear: true }),
      ],
    };
  });
}

/** Title block, a word on the marks, and check bars in both directions and both units. */
function sheetMarks(
  options: SheetOptions,
  width: number,
  height: number,
  number: string,
  what: string,
  note: string,
): Mark[] {
  const { buildName, revision, display } = options;
  return [
    ...titleMarks(
      {
        build: buildName,
        what,
        revision,
        scale: '1:1',
        units: display.length === 'mm' ? 'mm' : 'in',
        sheet: number,
      },
      MARGIN.left,
      width - MARGIN.right,
      4,
    ),
    label([MARGIN.left, 17.5], 2.8, shortened(note, width - MARGIN.left - MARGIN.right, 2.8)),
    ...bar([MARGIN.left, height - 12], 150, '150 mm', false),
    ...bar([MARGIN.left, height - 6.5], 152.4, '6 in', false),
    ...bar([6.5, MARGIN.top], 200, '200 mm', true),
    ...bar([13, MARGIN.top], 203.2, '8 in', true),
  ];
}
