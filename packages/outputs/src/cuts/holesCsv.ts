import { csvOf, lengthsIn } from '../csv.js';
import type { Source } from '../registry/output.js';

/** Every hole of every tube, wall by wall, where it is marked: lengths in the build's unit, angles in degrees. */
export function holesCsv({ document, plan }: Source): string {
  const { unit, length } = lengthsIn(document.units, { mm: 2, inch: 4 });
  return csvOf(
    [
      ...['Piece', 'Name', 'Hole', 'Wall'],
      ...[`From first end (${unit})`, `From second end (${unit})`],
      ...['Turned from the top (deg, clockwise)', `Off the middle (${unit})`, `Round the outside (${unit})`],
      ...[`Diameter (${unit})`, `Long (${unit})`],
    ],
    plan.holes.flatMap(({ mark, name, bores }) =>
      bores.map((bore) => [
        ...[mark, name, bore.name, bore.wall],
        ...[length(bore.fromStart), length(bore.fromEnd)],
        ...[Number(bore.face.toFixed(2)), length(bore.off), length(bore.round)],
        ...[length(bore.diameter), length(bore.long)],
      ]),
    ),
  );
}
