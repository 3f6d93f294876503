// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- an ambient module has no name to import
/// <reference path="./lineclip.d.ts" />
import { clipPolyline } from 'lineclip';
import { lengthBothWays } from '@larchwood/core';
import type { SheetSize } from '@larchwood/format';
import { label, path, placed, rimOf, type Drawing, type Mark, type Point } from './drawing.js';
import {
  bar,
  lyingPrinter,
  SHEETS,
  stretched,
  titleMarks,
  TRUE_PRINTER,
  type Printer,
  type TitleBlock,
} from './paper.js';
import { wrapped } from './text/measure.js';
import { boxesMeet, boxInside, boxOf, type Box } from './text/place.js';

export interface TileOptions {
  readonly size: SheetSize;
  /** How far neighbours share the drawing, mm. */
  readonly overlap: number;
  readonly printer?: Printer;
  readonly block: Omit<TitleBlock, 'sheet'>;
}

/** Room on each sheet for its bars and its name, mm. Bars keep clear of the window. */
const MARGIN = { left: 13, right: 5, top: 15, bottom: 15 };
const REGISTER = 4;

interface Tile {
  readonly name: string;
  readonly column: number;
  readonly row: number;
  /** Part of the drawing that the sheet shows. */
  readonly box: readonly [left: number, top: number, right: number, bottom: number];
  readonly marks: readonly Mark[];
}

/**
 * A drawing at full size on sheets that are joined edge to edge: a map first, then each sheet with something on it. Sheets
 * lie as they take fewest. Register crosses stand at the same points of the drawing on both sheets of a join.
 */
export function tiled(drawing: Drawing, options: TileOptions): Drawing[] {
  const own = options.printer ?? TRUE_PRINTER;
  const { width, height } = SHEETS[options.size];
  const upright = layout(drawing, { width, height }, options.overlap, own);
  const lying = layout(drawing, { width: height, height: width }, options.overlap, lyingPrinter(own));
  const chosen = upright.tiles.length <= lying.tiles.length ? upright : lying;
  const { sheet, tiles, columns, rows, printer } = chosen;
  const filled = tiles.filter(({ marks }) => marks.length > 0);
  const page = (marks: readonly Mark[]): Drawing => ({ ...sheet, marks: stretched(marks, printer) });
  // Bars and names stand in true millimetres, and are stretched with the rest.
  const room = { width: sheet.width / printer.x, height: sheet.height / printer.y };
  return [
    page(mapMarks(drawing, filled, columns, rows, options, room)),
    ...filled.map((tile) => page(tileMarks(tile, filled, options, room))),
  ];
}

function layout(
  drawing: Drawing,
  sheet: { readonly width: number; readonly height: number },
  overlap: number,
  printer: Printer,
) {
  const window = {
    width: sheet.width / printer.x - MARGIN.left - MARGIN.right,
    height: sheet.height / printer.y - MARGIN.top - MARGIN.bottom,
  };
  const count = (size: number, each: number) =>
    Math.max(1, Math.ceil((size - overlap) / (each - overlap) - 1e-9));
  const columns = count(drawing.width, window.width);
  const rows = count(drawing.height, window.height);
  const tiles = Array.from({ length: rows * columns }, (_, index): Tile => {
    const [row, column] = [Math.floor(index / columns), index % columns];
    const left = column * (window.width - overlap);
    const top = row * (window.height - overlap);
    const box = [left, top, left + window.width, top + window.height] as const;
    return { name: `${letter(row)}${column + 1}`, row, column, box, marks: within(drawing.marks, box) };
  });
  return { sheet, tiles, columns, rows, printer };
}

/** Rows are lettered from the top, A to Z and then AA. */
const letter = (row: number): string =>
  row < 26 ? String.fromCharCode(65 + row) : letter(Math.floor(row / 26) - 1) + letter(row % 26);

/** Words keep so far off the side of a box that cuts its lines; mm. */
const OFF_SIDE = 1;

/**
 * What of a drawing lies in a box: lines cut at its sides; words that begin in it, moved in where they would be cut, and
 * left out where there is no room for them.
 */
export function within(marks: readonly Mark[], box: Tile['box']): Mark[] {
  const [left, top, right, bottom] = box;
  const room: Box = {
    left: left + OFF_SIDE,
    top: top + OFF_SIDE,
    right: right - OFF_SIDE,
    bottom: bottom - OFF_SIDE,
  };
  const words = marks.flatMap((mark) => (mark.as === 'text' ? [mark] : []));
  const whole = words.filter((mark) => boxInside(boxOf(mark), room));
  const taken = whole.map(boxOf);
  return marks.flatMap((mark): Mark[] => {
    if (mark.as === 'text') {
      if (whole.includes(mark)) return [mark];
      const [x, y] = mark.at;
      if (x < left || x > right || y < top || y > bottom) return [];
      const own = boxOf(mark);
      const inward = (low: number, high: number, from: number, to: number) =>
        low < from ? from - low : high > to ? to - high : 0;
      const [dx, dy] = [
        inward(own.left, own.right, room.left, room.right),
        inward(own.top, own.bottom, room.top, room.bottom),
      ];
      const moved = { ...mark, at: [x + dx, y + dy] as const };
      const there = boxOf(moved);
      if (!boxInside(there, room) || taken.some((each) => boxesMeet(each, there))) return [];
      taken.push(there);
      return [moved];
    }
    if (mark.as === 'circle') {
      const [x, y] = mark.at;
      const reach = mark.radius;
      if (x - reach >= left && x + reach <= right && y - reach >= top && y + reach <= bottom) return [mark];
      return within([path(mark.stroke, rimOf(mark), true)], box);
    }
    const points = mark.closed && mark.points[0] ? [...mark.points, mark.points[0]] : mark.points;
    if (points.length < 2) return [];
    return clipPolyline(points, box).map((part) => ({ ...mark, points: part, closed: false }));
  });
}

function tileMarks(
  { name, row, column, box, marks }: Tile,
  tiles: readonly Tile[],
  { block, size, overlap }: TileOptions,
  room: { readonly width: number; readonly height: number },
): Mark[] {
  const shift = ([x, y]: Point): Point => [x - box[0] + MARGIN.left, y - box[1] + MARGIN.top];
  const moved = placed(marks, [MARGIN.left - box[0], MARGIN.top - box[1]]);
  const neighbour = (dx: number, dy: number) =>
    tiles.find((tile) => tile.column === column + dx && tile.row === row + dy);
  const joins = [
    { to: neighbour(1, 0), words: 'right' },
    { to: neighbour(-1, 0), words: 'left' },
    { to: neighbour(0, 1), words: 'below' },
    { to: neighbour(0, -1), words: 'above' },
  ].flatMap(({ to, words }) => (to ? [`${to.name} ${words}`] : []));
  const joinRoom = 46;
  const joinLines = wrapped(
    joins.length > 0 ? `Joins ${joins.join(', ')}` : 'Joins nothing',
    joinRoom - 2,
    2.8,
  );
  const [left, top, right, bottom] = box;
  const half = overlap / 2;
  // The middle of each overlap, where both neighbours print the same cross.
  const crosses = [left + half, right - half].flatMap((x) =>
    [top + half, bottom - half].map((y): Point => [x, y]),
  );
  const frame = [
    [left, top],
    [right, top],
    [right, bottom],
    [left, bottom],
  ].map(([x, y]) => shift([x!, y!]));
  return [
    ...moved,
    path('fold', frame, true),
    ...crosses.flatMap((at) => cross(shift(at))),
    label([MARGIN.left, 8], 5, name, { bold: true }),
    ...titleMarks(
      {
        ...block,
        sheet: `Sheet ${tiles.findIndex((tile) => tile.name === name) + 1} of ${tiles.length}, ${size}`,
      },
      MARGIN.left + 14,
      room.width - MARGIN.right - joinRoom,
      1,
    ),
    ...joinLines.map((line, index) =>
      label([room.width - MARGIN.right, 5 + index * 4], 2.8, line, { anchor: 'end' }),
    ),
    ...bars(room),
  ];
}

const cross = ([x, y]: Point): Mark[] => [
  path('bar', [
    [x - REGISTER, y],
    [x + REGISTER, y],
  ]),
  path('bar', [
    [x, y - REGISTER],
    [x, y + REGISTER],
  ]),
];

/** 200 mm and 8 in, in both directions, on every sheet. */
function bars({ width, height }: { readonly width: number; readonly height: number }): Mark[] {
  const start = (size: number, length: number, wanted: number) => Math.min(wanted, (size - length) / 2);
  const flat = (length: number, y: number, text: string): Mark[] => {
    const x = start(width, length, MARGIN.left);
    const [line, first, last] = bar([x, y], length, '', false);
    return [line!, first!, last!, label([x + length / 2, y - 1], 2.7, text, { anchor: 'middle' })];
  };
  return [
    ...flat(200, height - 9, '200 mm'),
    ...flat(203.2, height - 4, '8 in'),
    ...bar([4, start(height, 200, MARGIN.top)], 200, '200 mm', true),
    ...bar([9, start(height, 203.2, MARGIN.top)], 203.2, '8 in', true),
  ];
}

function mapMarks(
  drawing: Drawing,
  tiles: readonly Tile[],
  columns: number,
  rows: number,
  { block, size, overlap, printer }: TileOptions,
  room: { readonly width: number; readonly height: number },
): Mark[] {
  const words = [
    `Map of ${tiles.length} sheets ${size}, ${columns} across and ${rows} down; they overlap by ${lengthBothWays(overlap)}.`,
    'Print without scaling. Measure the four bars on a sheet: each must be as long as it says.',
    printer && (printer.x !== 1 || printer.y !== 1)
      ? `Printer corrected: ${((printer.x - 1) * 100).toFixed(2)} % along the short side, ${((printer.y - 1) * 100).toFixed(2)} % along the long one.`
      : 'Printer not corrected: measure the bars, and type what they measure.',
    'Trim one edge of each join to its line, lay cross on cross, tape. Then check a long dimension.',
  ].flatMap((sentence) => wrapped(sentence, room.width - MARGIN.left - MARGIN.right, 3.2));
  const head = 20 + words.length * 4.6;
  const space = { width: room.width - MARGIN.left - 12, height: room.height - head - 26 };
  const extent = {
    width: Math.max(drawing.width, ...tiles.map(({ box }) => box[2])),
    height: Math.max(drawing.height, ...tiles.map(({ box }) => box[3])),
  };
  const scale = Math.min(space.width / extent.width, space.height / extent.height);
  const put = ([x, y]: Point): Point => [MARGIN.left + 4 + x * scale, head + y * scale];
  const shown = drawing.marks.flatMap((mark): Mark[] =>
    mark.as === 'path'
      ? [{ ...mark, stroke: 'thin', points: mark.points.map(put) }]
      : mark.as === 'circle'
        ? [{ ...mark, stroke: 'thin', at: put(mark.at), radius: mark.radius * scale }]
        : [],
  );
  return [
    ...titleMarks(
      { ...block, what: `${block.what}, map`, sheet: size },
      MARGIN.left,
      room.width - MARGIN.right,
      2,
    ),
    ...words.map((line, index) => label([MARGIN.left, 17 + index * 4.6], 3.2, line)),
    ...shown,
    ...tiles.flatMap(({ name, box: [left, top, right, bottom] }) => [
      path(
        'bar',
        (
          [
            [left, top],
            [right, top],
            [right, bottom],
            [left, bottom],
          ] as Point[]
        ).map(put),
        true,
      ),
      label(put([(left + right) / 2, (top + bottom) / 2]), 4, name, {
        anchor: 'middle',
        bold: true,
        clear: true,
      }),
    ]),
    ...bars(room),
  ];
}
