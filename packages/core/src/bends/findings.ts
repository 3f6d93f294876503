import { teller, type Finding } from '../findings/finding.js';
import type { BendSchedule } from './schedule.js';

const tell = teller('cuts');

/** Tube sizes to a radius: under the first a tube kinks, under the other it flattens. Common practice, no source. */
export const TIGHT = { kinks: 2, flattens: 3 } as const;

/** What can be said of bends whatever the workshop has. */
export const bendFindings = (schedules: readonly BendSchedule[]): Finding[] =>
  schedules
    .filter(({ side }) => side !== 'right')
    .flatMap(({ way, bends, across, piece, mark }) =>
      way !== 'die'
        ? []
        : bends.flatMap(({ radius, number }) => {
            const sizes = radius / across;
            if (sizes >= TIGHT.flattens) return [];
            const values = { mark, bend: number, radius, sizes, wanted: TIGHT.flattens * across };
            return [tell('bend-radius-small', sizes < TIGHT.kinks ? 'look' : 'note', piece, values)];
          }),
    );
