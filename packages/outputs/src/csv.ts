import { INCH, type LengthDisplay } from '@larchwood/core';
import Papa from 'papaparse';

/** A byte-order mark: table programs then read letters outside ASCII, such as ×, as they are. */
const MARK = '\uFEFF';

/** Rows as comma-separated values that table programs open as they stand; text that they could take for a formula stays text. */
export const csvOf = (fields: readonly string[], data: readonly (readonly unknown[])[]): string =>
  MARK +
  Papa.unparse(
    { fields: [...fields], data: data.map((row) => [...row]) },
    { escapeFormulae: true, newline: '\r\n' },
  );

/**
 * How a table has its lengths: in the build's unit, which its heads name, as plain figures.
 * @param mm digits behind the point in millimetres
 * @param inch digits in inches
 */
export function lengthsIn(
  display: LengthDisplay,
  { mm: metric, inch }: { readonly mm: number; readonly inch: number },
): { readonly unit: 'mm' | 'in'; readonly length: (mm: number) => number } {
  return display.length === 'mm'
    ? { unit: 'mm', length: (mm) => Number(mm.toFixed(metric)) }
    : { unit: 'in', length: (mm) => Number((mm / INCH).toFixed(inch)) };
}
