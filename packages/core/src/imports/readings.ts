import type { Measurand } from '../checks/measure.js';
import { captured } from '../instruments/capture.js';
import type { CheckList } from '../plan/stages/checks.js';
import { failure, success, type Result } from '../result.js';
import type { LengthUnit } from '../units/length.js';
import type { NotUnderstood } from './brought.js';
import { plainName, tableRows, valueIn } from './table.js';

/** What a table reads of one measure; mm or degrees. */
export interface BroughtReading {
  readonly measure: Measurand;
  readonly value: number;
  /** Standard deviation, where several rows read it. */
  readonly spread?: number;
  readonly rows: number;
}
export interface BroughtReadings {
  readonly understood: readonly BroughtReading[];
  readonly not: readonly NotUnderstood[];
}

/**
 * Reads a log of a gauge: the measure by its number on the list or its name, the value, and a unit where that has none.
 * Several rows of one measure come to one reading with its spread.
 * @param whole of the assembled vehicle, or of the frame
 */
export function readReadings(
  text: string,
  list: Pick<CheckList, 'measures' | 'order'>,
  whole: boolean,
  unit: LengthUnit,
): Result<BroughtReadings> {
  const rows = tableRows(text);
  if (!rows.ok) return rows;
  const mine = new Map(list.measures.filter((each) => each.whole === whole).map((each) => [each.id, each]));
  const numbered = (whole ? list.order.whole : list.order.frame).flatMap(
    ({ measure }) => mine.get(measure) ?? [],
  );
  if (numbered.length === 0) return failure('There is nothing to measure at this stage.');
  const not: NotUnderstood[] = [];
  const read = new Map<Measurand, number[]>();
  for (const each of rows.value) {
    const { name, where } = each;
    const number = /^\d+$/.test(name) ? Number(name) : undefined;
    const measure =
      number === undefined
        ? numbered.find((known) => plainName(known.name) === plainName(name))
        : numbered[number - 1];
    if (!measure) {
      not.push({
        where,
        why:
          number === undefined
            ? 'No measure of the list is called that.'
            : `The list ends at ${numbered.length}.`,
      });
      continue;
    }
    const parsed = valueIn(measure.quantity, each, unit);
    if (!parsed.ok) not.push({ where, why: parsed.message });
    else read.set(measure, [...(read.get(measure) ?? []), parsed.value]);
  }
  return success({
    understood: [...read].map(([measure, values]) => ({ measure, ...captured(values), rows: values.length })),
    not,
  });
}
