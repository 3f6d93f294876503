import type { AngleSensor } from './instrument';

/** Real sensors on a column show tenths of a degree. */
const GRAIN = 0.1;

/** A sensor that finds the steering somewhere in its range: each reading a good way on from the one before. */
export function simulatedAngleSensor(least: number, most: number): AngleSensor {
  let share = 0.5;
  return {
    name: 'Simulated angle sensor',
    simulated: true,
    read: () => {
      // The golden part of the range further, and round again.
      share = (share + 0.618) % 1;
      return Promise.resolve(Math.round((least + (most - least) * share) / GRAIN) * GRAIN);
    },
  };
}
