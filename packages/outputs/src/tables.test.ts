import { describe, expect, it } from 'vitest';
import { tablePages, type Table } from './tables.js';

const PAGE = {
  width: 210,
  height: 297,
  block: { build: 'Test', what: 'lists', revision: 'revision 1', units: 'mm' },
  before: 2,
  size: 'A4',
};
const table = (rows: number, words = 'a tube'): Table => ({
  title: 'List',
  note: 'A note of some length that stands over the table and is wrapped where the sheet is too narrow for all of it at once.',
  columns: [
    { name: 'No', right: true },
    { name: 'What', right: false },
    { name: 'Length', right: true },
  ],
  rows: Array.from({ length: rows }, (_, index) => [String(index + 1), words, `${index}.5 mm`]),
});
const words = (pages: ReturnType<typeof tablePages>) =>
  pages.map(({ marks }) => marks.flatMap((mark) => (mark.as === 'text' ? [mark] : [])));

describe('tables on paper', () => {
  it('nothing is lost over several pages; heads are repeated, pages counted, all within the sheet', () => {
    const pages = tablePages([table(120), table(3)], PAGE);
    expect(pages.length).toBeGreaterThan(2);
    const texts = words(pages);
    const all = texts.flat().map(({ text }) => text);
    for (let row = 0; row < 120; row += 1) expect(all).toContain(`${row}.5 mm`);
    texts.forEach((page, index) => {
      expect(page.some(({ text }) => text.endsWith(`Sheet ${index + 3} of ${pages.length + 2}, A4`))).toBe(
        true,
      );
      expect(page.some(({ text }) => text === 'Length')).toBe(true);
      for (const { at } of page) expect(at[0] > 0 && at[0] < 210 && at[1] > 0 && at[1] < 290).toBe(true);
    });
    expect(all.filter((text) => text === 'List, continued').length).toBe(pages.length - 1);
  });
  it('long words wrap in their column, and the row is as tall as its tallest cell', () => {
    const long = 'words '.repeat(60).trim();
    const [page] = words(tablePages([table(2, long)], PAGE));
    const parts = page!.filter(({ text }) => text.startsWith('words'));
    expect(parts.map(({ text }) => text).join(' ')).toBe(`${long} ${long}`);
    const [first, second] = ['1', '2'].map((number) => page!.find(({ text }) => text === number)!.at[1]);
    const lines = parts.length / 2;
    expect(second! - first!).toBeGreaterThan((lines - 1) * 3);
    // Figures end at one line, words begin at one.
    const figures = page!.filter(({ text }) => text.endsWith('.5 mm'));
    expect(new Set(figures.map(({ at, anchor }) => `${anchor} ${at[0]}`)).size).toBe(1);
  });
  it('an empty table still has its head', () => {
    const [page] = words(tablePages([table(0)], PAGE));
    expect(page!.map(({ text }) => text)).toEqual(expect.arrayContaining(['List', 'No', 'What', 'Length']));
  });
});
