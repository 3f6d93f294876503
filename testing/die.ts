import type { Die } from '@larchwood/format';

/** A die for one inch of round tube on a centre line of three; its scale reads nought at a straight tube. */
export const DIE: Die = {
  ...{
    name: 'One inch on three',
    size: 25.4,
    shape: 'round',
    radius: 76.2,
    clamp: 60,
    follow: 90,
    mark: 0,
    zero: 0,
  },
  ...{ step: 0.5, spring: 2, most: 180, reach: 0, below: 0, floor: 0 },
};
