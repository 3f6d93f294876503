import type { Plan } from '@larchwood/core';
import { unzipSync, zipSync, type Zippable } from 'fflate';
import { cutListTable, type Listed } from './cutList.js';

/** A column is as wide as its longest words, in letters, and no wider than this. */
const WIDEST = 34;
/** Letters on a sheet's tab. Source: the table programs' own limit, from memory. */
const TAB = 31;
/** A sheet is the same bytes for the same list: its parts are all of one day. */
const NO_DAY = new Date(1980, 0, 2);

/** The cut list as a sheet of a table program, heads kept in sight, its tab named by the build's revision; figures are figures, words stay words. */
export async function cutListXlsx(plan: Plan, document: Listed, edition: string): Promise<Uint8Array> {
  const { default: sheetOf } = await import('write-excel-file/universal');
  const { heads, rows } = cutListTable(plan, document);
  const head = heads.map((value) => ({
    ...{ value, type: String, fontWeight: 'bold' as const, wrap: true },
    bottomBorderStyle: 'thin' as const,
  }));
  const cells = rows.map((row) =>
    row.map((value) => (typeof value === 'number' ? { value, type: Number } : { value, type: String })),
  );
  const columns = heads.map((name, column) => ({
    width: Math.min(
      WIDEST,
      2 + Math.max(9, ...rows.map((row) => String(row[column]).length), name.length / 2),
    ),
  }));
  const file = sheetOf([head, ...cells], {
    columns,
    stickyRowsCount: 1,
    sheet: `Cut list ${edition}`.slice(0, TAB),
  });
  const parts = unzipSync(new Uint8Array(await (await file.toBlob()).arrayBuffer()));
  const all: Zippable = {};
  for (const [name, bytes] of Object.entries(parts)) all[name] = [bytes, { mtime: NO_DAY }];
  return zipSync(all);
}
