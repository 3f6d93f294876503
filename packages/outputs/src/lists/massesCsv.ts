import { INCH, massUnitOf, POUND } from '@larchwood/core';
import { csvOf } from '../csv.js';
import type { Source } from '../registry/output.js';

/** Mass of every piece as cut and where it is: forward of the rear axle, to the left of the middle, over the floor. */
export function massesCsv({ document, plan }: Source): string {
  const { units } = document;
  const inch = units.length !== 'mm';
  const unit = inch ? 'in' : 'mm';
  const mass = massUnitOf(units);
  const length = (mm: number) => Number((inch ? mm / INCH : mm).toFixed(inch ? 2 : 1));
  const weight = (kilograms: number) => Number((mass === 'kg' ? kilograms : kilograms / POUND).toFixed(3));
  return csvOf(
    ['Piece', 'Name', 'Sort', `Mass (${mass})`, `Forward (${unit})`, `Left (${unit})`, `Up (${unit})`],
    plan.weights.map(({ mark, name, sort, mass: kilograms, at: [x, y, z] }) => [
      ...[mark, name, sort, weight(kilograms)],
      ...[length(x), length(y), length(z)],
    ]),
  );
}
