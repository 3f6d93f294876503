import { label, path, placed, type Drawing, type Mark } from './drawing.js';
import { titleMarks, type TitleBlock } from './paper.js';
import { textWidth, wrapped } from './text/measure.js';

export interface Table {
  readonly title: string;
  readonly note?: string;
  readonly columns: readonly { readonly name: string; readonly right: boolean; readonly bold?: boolean }[];
  readonly rows: readonly (readonly string[])[];
  /** A small drawing before each row, from its own upper left corner; all of one size. */
  readonly pictures?: {
    readonly width: number;
    readonly height: number;
    readonly of: (row: number) => readonly Mark[];
  };
}
interface PageOptions {
  readonly width: number;
  readonly height: number;
  readonly block: Omit<TitleBlock, 'sheet'>;
  /** Sheets that come before these, and the name of their size, for `Sheet 3 of 7, A4`. */
  readonly before: number;
  readonly size: string;
}

const MARGIN = { left: 12, right: 10, top: 21, bottom: 10 };
const TEXT = 2.9;
const ROW = 4.9;
const LINE = 3.7;
const GAP = 3;
const LEAST_COLUMN = 10;

const widthOf = (text: string, bold = false): number => textWidth(text, TEXT, bold);

/** Tables one after the other on as many pages as they take; long words wrap in their column, heads are repeated. */
export function tablePages(tables: readonly Table[], options: PageOptions): Drawing[] {
  const { width, height, block, before, size } = options;
  const room = width - MARGIN.left - MARGIN.right;
  const floor = height - MARGIN.bottom;
  const pages: Mark[][] = [[]];
  let y = MARGIN.top;
  const page = () => pages.at(-1)!;
  const next = () => {
    pages.push([]);
    y = MARGIN.top;
  };
  for (const table of tables) {
    const picture = table.pictures ? table.pictures.width + GAP : 0;
    const columns = columnsOf(table, room - picture, MARGIN.left + picture);
    const note = table.note === undefined ? [] : wrapped(table.note, room, TEXT);
    const head = (): void => {
      page().push(
        ...table.columns.map(({ name, right }, index) => cell(name, columns[index]!, y, right, true)),
        path('thin', [
          [MARGIN.left, y + 1.4],
          [width - MARGIN.right, y + 1.4],
        ]),
      );
      y += ROW + 0.4;
    };
    if (y + 4 * ROW + note.length * LINE + (table.pictures?.height ?? 0) > floor) next();
    page().push(label([MARGIN.left, y], 3.8, table.title, { bold: true }));
    y += ROW + 0.6;
    for (const line of note) {
      page().push(label([MARGIN.left, y], TEXT, line));
      y += LINE;
    }
    if (note.length > 0) y += 1;
    head();
    table.rows.forEach((row, index) => {
      const lines = row.map((text, column) =>
        wrapped(text, columns[column]!.width, TEXT, table.columns[column]!.bold),
      );
      const words = ROW + (Math.max(1, ...lines.map(({ length }) => length)) - 1) * LINE;
      const tall = Math.max(words, (table.pictures?.height ?? 0) + 1.2);
      if (y + tall - ROW > floor) {
        next();
        page().push(label([MARGIN.left, y], 3.2, `${table.title}, continued`));
        y += ROW;
        head();
      }
      if (table.pictures)
        page().push(
          ...placed(table.pictures.of(index), [MARGIN.left, y - ROW + 1.6]),
          path('thin', [
            [MARGIN.left, y - ROW + tall + 1.2],
            [width - MARGIN.right, y - ROW + tall + 1.2],
          ]),
        );
      lines.forEach((parts, column) =>
        parts.forEach((part, line) =>
          page().push(
            cell(
              part,
              columns[column]!,
              y + line * LINE,
              table.columns[column]!.right,
              table.columns[column]!.bold ?? false,
            ),
          ),
        ),
      );
      y += tall;
    });
    y += ROW;
  }
  const count = pages.length + before;
  return pages.map((marks, index) => ({
    width,
    height,
    marks: [
      ...titleMarks(
        { ...block, sheet: `Sheet ${before + index + 1} of ${count}, ${size}` },
        MARGIN.left,
        width - MARGIN.right,
        4,
      ),
      ...marks,
    ],
  }));
}

interface ColumnPlace {
  readonly x: number;
  readonly width: number;
}

/** Each column as wide as its words; where the page is too narrow the widest give way, and none is left wrapping beside empty room. */
function columnsOf({ columns, rows }: Table, room: number, left: number): ColumnPlace[] {
  const wanted = columns.map(
    ({ name, bold }, index) =>
      Math.max(widthOf(name, true), ...rows.map((row) => widthOf(row[index] ?? '', bold))) + 0.2,
  );
  const space = room - GAP * (columns.length - 1);
  const given = (most: number) => wanted.reduce((sum, each) => sum + Math.min(each, most), 0);
  let [low, high] = [LEAST_COLUMN, Math.max(...wanted, LEAST_COLUMN)];
  if (given(high) > space)
    for (let round = 0; round < 40; round += 1) {
      const most = (low + high) / 2;
      if (given(most) > space) high = most;
      else low = most;
    }
  else low = high;
  const widths = wanted.map((each) => Math.min(each, low));
  let x = left;
  return widths.map((width) => {
    const place = { x, width };
    x += width + GAP;
    return place;
  });
}

const cell = (text: string, { x, width }: ColumnPlace, y: number, right: boolean, bold: boolean): Mark =>
  label([right ? x + width : x, y], TEXT, text, { anchor: right ? 'end' : 'start', bold });
