import { label, path, type Drawing, type Mark } from './drawing.js';

export interface Table {
  readonly title: string;
  readonly note?: string;
  readonly columns: readonly { readonly name: string; readonly right: boolean }[];
  readonly rows: readonly (readonly string[])[];
}
interface PageOptions {
  readonly width: number;
  readonly height: number;
  readonly title: string;
}

const MARGIN = { left: 12, right: 10, top: 20, bottom: 12 };
const TEXT = 2.7;
const ROW = 4.6;
const GAP = 3;
/** Mean width of a letter of the paper's face, against its size; words are wrapped by it. */
const LETTER = 0.53;

const widthOf = (text: string): number => text.length * TEXT * LETTER;

/** Tables one after the other on as many pages as they take; long words wrap in their column, heads are repeated. */
export function tablePages(tables: readonly Table[], { width, height, title }: PageOptions): Drawing[] {
  const room = width - MARGIN.left - MARGIN.right;
  const pages: Mark[][] = [[]];
  let y = MARGIN.top;
  const page = () => pages.at(-1)!;
  const next = () => {
    pages.push([]);
    y = MARGIN.top;
  };
  for (const table of tables) {
    const columns = columnsOf(table, room);
    const note = table.note === undefined ? [] : wrapped(table.note, room);
    const head = (): void => {
      page().push(
        ...table.columns.map(({ name, right }, index) => cell(name, columns[index]!, y, right, true)),
        path('thin', [
          [MARGIN.left, y + 1.4],
          [width - MARGIN.right, y + 1.4],
        ]),
      );
      y += ROW + 0.6;
    };
    if (y + 4 * ROW + note.length * ROW > height - MARGIN.bottom) next();
    page().push(label([MARGIN.left, y], 3.6, table.title, { bold: true }));
    y += ROW + 0.6;
    for (const line of note) {
      page().push(label([MARGIN.left, y], TEXT, line));
      y += ROW - 0.6;
    }
    head();
    for (const row of table.rows) {
      const lines = row.map((text, index) => wrapped(text, columns[index]!.width));
      const tall = Math.max(1, ...lines.map(({ length }) => length));
      if (y + (tall - 1) * (ROW - 1) > height - MARGIN.bottom) {
        next();
        page().push(label([MARGIN.left, y], 3.2, `${table.title}, continued`));
        y += ROW;
        head();
      }
      lines.forEach((parts, index) =>
        parts.forEach((part, line) =>
          page().push(cell(part, columns[index]!, y + line * (ROW - 1), table.columns[index]!.right, false)),
        ),
      );
      y += ROW + (tall - 1) * (ROW - 1);
    }
    y += ROW;
  }
  return pages.map((marks, index) => ({
    width,
    height,
    marks: [
      label([MARGIN.left, 11], 4, title, { bold: true }),
      label([width - MARGIN.right, 11], 2.8, `Page ${index + 1} of ${pages.length}`, { anchor: 'end' }),
      ...marks,
    ],
  }));
}

interface ColumnPlace {
  readonly x: number;
  readonly width: number;
}

/** Each column as wide as its words; the widest give way where the page is too narrow. */
function columnsOf({ columns, rows }: Table, room: number): ColumnPlace[] {
  const wanted = columns.map(
    ({ name }, index) => Math.max(widthOf(name), ...rows.map((row) => widthOf(row[index] ?? ''))) + 1,
  );
  const space = room - GAP * (columns.length - 1);
  let widest = Math.max(...wanted);
  const given = (most: number) => wanted.reduce((sum, each) => sum + Math.min(each, most), 0);
  while (given(widest) > space && widest > 8) widest -= 0.5;
  const widths = wanted.map((each) => Math.min(each, widest));
  let x = MARGIN.left;
  return widths.map((width) => {
    const place = { x, width };
    x += width + GAP;
    return place;
  });
}

const cell = (text: string, { x, width }: ColumnPlace, y: number, right: boolean, bold: boolean): Mark =>
  label([right ? x + width : x, y], TEXT, text, { anchor: right ? 'end' : 'start', bold });

function wrapped(text: string, width: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (line !== '' && widthOf(longer) > width + 1) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}
