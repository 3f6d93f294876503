import { travellerSheets } from '../work/traveller.js';
import { measuringSheets, readingsCsv } from '../work/measuringSheet.js';
import { noTubes, paper, type Output } from './output.js';

/** The order of work on paper, to tick. */
export const traveller = paper({
  id: 'traveller',
  title: 'Order of work',
  group: 'work',
  name: () => 'order-of-work',
  caution:
    'Not an engineering approval: steering, brakes, suspension and roll structure are welded or checked by a qualified welder; local codes and rule books go before this sheet.',
  refuse: noTubes,
  pages: travellerSheets,
});

/** What to measure, to fill in at the bench. */
export const measuringList = paper({
  id: 'measuring-list',
  title: 'Measuring list',
  group: 'work',
  name: () => 'measuring-list',
  refuse: noTubes,
  pages: measuringSheets,
});

/** What was read. */
export const readings: Output = {
  ...{ id: 'readings-csv', title: 'Readings, CSV', group: 'work', mediaType: 'text/csv', suffix: 'csv' },
  formOf: 'measuring-list',
  name: () => 'readings',
  refuse: ({ document }) =>
    (document.measured ?? []).length > 0 ? undefined : 'Nothing was measured of this frame yet.',
  make: readingsCsv,
};
