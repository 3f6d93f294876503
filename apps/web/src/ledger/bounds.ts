import { failure, formatAngle, lengthBothWays, massBothWays, type Result } from '@larchwood/core';
import type { Limits } from '@larchwood/format';

type Take = () => Result<true>;

const bounded =
  (text: (value: number) => string) =>
  (value: number, [low, high]: Limits, take: Take): Result<true> =>
    value >= low && value <= high ? take() : failure(`Must lie between ${text(low)} and ${text(high)}.`);

/** Takes a length that lies between two, mm; else says between which, in both units. */
export const lengthWithin = bounded(lengthBothWays);

/** Takes an angle that lies between two, degrees; else says between which. */
export const angleWithin = bounded((degrees) => formatAngle(degrees));

/** Takes a mass that lies between two, kg; else says between which, in both units. */
export const massWithin = bounded(massBothWays);
