import { failure, formatAngle, lengthBothWays, type Result } from '@larchwood/core';

type Take = () => Result<true>;

/** Takes a length that lies between two, mm; else says between which, in both units. */
export const lengthWithin = (value: number, low: number, high: number, take: Take): Result<true> =>
  value < low || value > high
    ? failure(`Must lie between ${lengthBothWays(low)} and ${lengthBothWays(high)}.`)
    : take();

/** Takes an angle that lies between two, degrees; else says between which. */
export const angleWithin = (value: number, low: number, high: number, take: Take): Result<true> =>
  value < low || value > high
    ? failure(`Must lie between ${formatAngle(low)} and ${formatAngle(high)}.`)
    : take();
