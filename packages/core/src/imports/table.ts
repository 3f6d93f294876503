import Papa from 'papaparse';
import { failure, success, type Result } from '../result.js';
import { parseAngle } from '../units/angle.js';
import { parseLength, type LengthUnit } from '../units/length.js';
import type { Quantity } from '../units/quantity.js';
import { LARGEST_IMPORT } from './brought.js';

/** More rows than these are no table that a person wrote. */
const MOST_ROWS = 500;
const HEADS = /^(name|dimension|measure|wheel|what|no\.?|number)$/i;

/** A row of a table: where it stands, and what is in it. */
export interface TableRow {
  readonly row: number;
  readonly name: string;
  readonly value: string;
  readonly unit: string;
  /** As it stands, shortened, with its place. */
  readonly where: string;
}

/** Cells of a table, row by row: commas, semicolons or tabs between; empty rows are left out. */
export function tableCells(text: string): Result<readonly (readonly string[])[]> {
  if (text.length > LARGEST_IMPORT) return failure('This file is too large for a table.');
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  if (data.length === 0) return failure('There is nothing in this file.');
  if (data.length > MOST_ROWS)
    return failure(`More than ${MOST_ROWS} rows: this is no table of figures to take in.`);
  return success(data.map((cells) => cells.map((cell) => cell.trim())));
}

/** Where a row stands, and what is in it, shortened. */
export const placeOf = (row: number, cells: readonly string[]): string =>
  `row ${row}: ${cells.join(', ').slice(0, 60)}`;

/** Rows of name, value and unit; a row of heads is left out. */
export function tableRows(text: string): Result<readonly TableRow[]> {
  const read = tableCells(text);
  if (!read.ok) return read;
  return success(
    read.value.flatMap((cells, index): TableRow[] => {
      const [name = '', value = '', unit = ''] = wholeNumbers(cells);
      if (index === 0 && HEADS.test(name)) return [];
      const row = index + 1;
      return [{ row, name, value, unit, where: placeOf(row, cells) }];
    }),
  );
}

/** A row whose decimal comma has parted its number: 62,5 in two cells is 62.5; no unit is a number. */
const wholeNumbers = ([name = '', value = '', unit = '', ...rest]: readonly string[]): readonly string[] =>
  /^[-+−]?\d+$/.test(value) && /^\d+$/.test(unit) ? [name, `${value}.${unit}`, ...rest] : [name, value, unit];

/** A name without what people write differently. */
export const plainName = (name: string): string => name.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');
/** A value in the unit that stands with it, or beside it; else in the build's own. @returns mm or degrees */
export function valueIn(
  quantity: Quantity,
  { value, unit }: Pick<TableRow, 'value' | 'unit'>,
  units: LengthUnit,
): Result<number> {
  if (value === '') return failure('It has no value.');
  const text = withUnit(value, unit);
  if (quantity === 'angle') {
    if (/mm|cm|\bin\b|inch|"|ft/i.test(text)) return failure('It is an angle: degrees are wanted.');
    return parseAngle(text.replace(/\s*degrees?$/i, '°'));
  }
  if (/°|deg/i.test(text)) return failure('It is a length: millimetres or inches are wanted.');
  return parseLength(text, units);
}
/** A value with the unit that stands beside it, where it has none of its own. */
export const withUnit = (value: string, unit: string): string =>
  unit === '' || /[^\d\s.,+−/-]/.test(value) ? value : `${value} ${unit}`;
