import { barsCut, marksMade, nestedBy, sawingOf, stockGroups } from '@larchwood/core';
import { NO_SHOP } from '@larchwood/format';
import { csvOf, lengthsIn } from '../csv.js';
import type { Source } from '../registry/output.js';

/** Which piece comes out of which bar, as comma-separated values: bars that are cut first, then the rest as it stands nested. */
export function barsCsv({ document, plan, shop = NO_SHOP, nests = {} }: Source): string {
  const { unit, length } = lengthsIn(document.units, { mm: 1, inch: 4 });
  const done = barsCut(document);
  const sawing = sawingOf(shop);
  const rows = [
    ...done.map((bar) => ({ ...bar, state: 'cut', from: bar.offcut === undefined ? 'new' : 'rack' })),
    ...stockGroups(plan, shop, marksMade(document)).flatMap((group) =>
      nestedBy(nests, group, sawing).nest.bars.map(({ source, pieces, left }) => ({
        ...{ section: group.section, material: group.material, length: source.length, pieces, left },
        ...{ state: 'to cut', from: source.donor ? 'donor' : source.offcut ? 'rack' : 'new' },
      })),
    ),
  ];
  return csvOf(
    [
      'Bar',
      'Section',
      'Material',
      `Length (${unit})`,
      'From',
      'State',
      'Piece',
      `Cut (${unit})`,
      `Left (${unit})`,
    ],
    rows.flatMap((bar, index) =>
      bar.pieces.map((piece, place) => [
        ...[index + 1, bar.section, bar.material, length(bar.length), bar.from, bar.state],
        ...[piece.mark, length(piece.length), place === bar.pieces.length - 1 ? length(bar.left) : ''],
      ]),
    ),
  );
}
