import { massUnitOf, POUND } from '@larchwood/core';
import { csvOf, lengthsIn } from '../csv.js';
import type { Source } from '../registry/output.js';

/** Mass of every piece as cut and where it is: forward of the rear axle, to the left of the middle, over the floor. */
export function massesCsv({ document, plan }: Source): string {
  const { units } = document;
  const { unit, length } = lengthsIn(units, { mm: 1, inch: 2 });
  const mass = massUnitOf(units);
  const weight = (kilograms: number) => Number((mass === 'kg' ? kilograms : kilograms / POUND).toFixed(3));
  return csvOf(
    ['Piece', 'Name', 'Sort', `Mass (${mass})`, `Forward (${unit})`, `Left (${unit})`, `Up (${unit})`],
    plan.weights.map(({ mark, name, sort, mass: kilograms, at: [x, y, z] }) => [
      ...[mark, name, sort, weight(kilograms)],
      ...[length(x), length(y), length(z)],
    ]),
  );
}
