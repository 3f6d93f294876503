import { LIMITS, type Limits, type Section } from '@larchwood/format';
import { parseGauge } from '../frame/gauge.js';
import { noTube, ownSection } from '../frame/ownSection.js';
import { failure, success, type Result } from '../result.js';
import { parseLength, type LengthUnit } from '../units/length.js';
import type { NotUnderstood } from './brought.js';
import { placeOf, plainName, tableCells, withUnit } from './table.js';

export interface BroughtSection {
  readonly section: Section;
  readonly row: number;
}
export interface BroughtSections {
  readonly understood: readonly BroughtSection[];
  readonly not: readonly NotUnderstood[];
}

/** What a column may be called. */
const COLUMNS = {
  name: ['name', 'section', 'tube', 'size'],
  shape: ['shape', 'form', 'type'],
  width: ['diameter', 'outerdiameter', 'od', 'outside', 'outer', 'width', 'across', 'a'],
  height: ['height', 'up', 'b'],
  wall: ['wall', 'wallthickness', 'thickness', 'gauge', 't'],
  corner: ['corner', 'cornerradius', 'radius', 'r'],
} as const;
type Column = keyof typeof COLUMNS;
const SHAPES: Readonly<Record<string, Section['shape']>> = {
  ...{ round: 'round', circular: 'round', tube: 'round', pipe: 'round' },
  ...{ square: 'rectangular', rectangular: 'rectangular', rectangle: 'rectangular', box: 'rectangular' },
  ...{ oval: 'oval', elliptical: 'oval', ellipse: 'oval' },
};
/** `Wall (mm)`, `wall [in]`, `Wall, mm` */
const HEAD = /^(.*?)(?:[\s,([]+(mm|cm|m|in|inch|inches|"))?[\s)\]]*$/i;
const GAUGE = /^gauge$/i;

interface Place {
  readonly at: number;
  readonly unit: string;
}

/**
 * Reads a table of tube sections: heads in the first row (name, shape, diameter or width and height, wall, corner), with the
 * unit of a column in its head or of a value in its cell, walls also as gauges; else in the build's own unit. A row without a shape is round where
 * it has one size, rectangular where it has two.
 */
export function readSections(text: string, units: LengthUnit): Result<BroughtSections> {
  const table = tableCells(text);
  if (!table.ok) return table;
  const [heads = [], ...rows] = table.value;
  const places = placesOf(heads);
  if (!places.width || !places.wall)
    return failure('A table of sections names its columns in the first row: diameter (or width), and wall.');
  const not: NotUnderstood[] = [];
  const understood = new Map<string, BroughtSection>();
  for (const [index, cells] of rows.entries()) {
    const row = index + 2;
    const where = placeOf(row, cells);
    const read =
      cells.length > heads.length
        ? failure(
            `It has ${cells.length} cells, the head has ${heads.length}. Put semicolons between them where the decimal sign is a comma.`,
          )
        : sectionIn(cells, places, units);
    if (!read.ok) {
      not.push({ where, why: read.message });
      continue;
    }
    const same = understood.get(read.value.id);
    if (same) not.push({ where, why: `It is the same as row ${same.row}.` });
    else understood.set(read.value.id, { section: read.value, row });
  }
  return success({ understood: [...understood.values()], not });
}

function placesOf(heads: readonly string[]): Partial<Record<Column, Place>> {
  const found: Partial<Record<Column, Place>> = {};
  for (const [at, head] of heads.entries()) {
    const [, name = '', unit = ''] = HEAD.exec(head.trim()) ?? [];
    const column = (Object.keys(COLUMNS) as Column[]).find((each) =>
      (COLUMNS[each] as readonly string[]).includes(plainName(name)),
    );
    if (column && !found[column]) found[column] = { at, unit: GAUGE.test(name) ? 'ga' : unit };
  }
  return found;
}

function sectionIn(
  cells: readonly string[],
  places: Partial<Record<Column, Place>>,
  units: LengthUnit,
): Result<Section> {
  const cell = (column: Column) => cells[places[column]?.at ?? -1] ?? '';
  const told = plainName(cell('shape'));
  const shape = told === '' ? (cell('height') === '' ? 'round' : 'rectangular') : SHAPES[told];
  if (!shape) return failure(`“${cell('shape')}” is no shape: round, square, rectangular or oval.`);
  const size = (column: Column, within: Limits): Result<number> => {
    const told = withUnit(cell(column), places[column]?.unit ?? '');
    const read =
      (column === 'wall' ? parseGauge(told, shape === 'round' ? 'Birmingham' : 'sheet') : undefined) ??
      parseLength(told, units);
    if (!read.ok) return failure(`${column}: ${read.message}`);
    const [low, high] = within;
    return read.value >= low && read.value <= high
      ? read
      : failure(`${column}: between ${low} and ${high} mm is wanted.`);
  };
  const { outer, wall: walls } = LIMITS.section;
  const width = size('width', outer);
  if (!width.ok) return width;
  // A square has one size.
  const height = shape === 'round' || cell('height') === '' ? width : size('height', outer);
  if (!height.ok) return height;
  const wall = size('wall', walls);
  if (!wall.ok) return wall;
  const corner = shape === 'rectangular' && cell('corner') !== '' ? size('corner', CORNER) : undefined;
  if (corner && !corner.ok) return corner;
  const name = cell('name')
    .replace(/[\p{C}\p{Zl}\p{Zp}]+/gu, ' ')
    .trim();
  const sizes = {
    ...{ shape, width: width.value, height: height.value, wall: wall.value },
    ...(corner ? { corner: corner.value } : {}),
    ...(name === '' ? {} : { name: name.slice(0, 80) }),
  };
  const why = noTube(sizes);
  return why === undefined ? success(ownSection(sizes)) : failure(why);
}
/** mm */
const CORNER: Limits = [0, 100];
