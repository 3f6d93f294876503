import { ticks } from 'd3-array';
import { formatAngle, formatLength, INCH, type Dimension, type LengthDisplay } from '@larchwood/core';

type Quantity = Pick<Dimension, 'quantity'>;

/** How a dimension's values read on an axis. */
export const axisText =
  ({ quantity }: Quantity, display: LengthDisplay, digits = 1) =>
  (value: number): string =>
    quantity === 'angle'
      ? formatAngle(value, digits)
      : formatLength(value, display, display.length === 'mm' ? digits : 2, true);

/** Steps of an axis in inches and fractions: halves of halves below one, and what a tape marks above it. */
const TAPE_STEPS = [1 / 64, 1 / 32, 1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 3, 4, 6, 12, 24, 36, 48, 96];

/**
 * Ticks that are round in the unit that is shown, some `count` of them between two values.
 * @returns millimetres, or degrees
 */
export function axisTicks(
  { quantity }: Quantity,
  { length, denominator }: LengthDisplay,
  low: number,
  high: number,
  count: number,
): number[] {
  if (quantity === 'angle' || length === 'mm') return ticks(low, high, count);
  const [from, to] = [low / INCH, high / INCH];
  if (length === 'inch') return ticks(from, to, count).map((tick) => tick * INCH);
  const finest = 1 / denominator;
  const step =
    TAPE_STEPS.find((each) => each >= finest && (to - from) / each <= count + 1) ?? TAPE_STEPS.at(-1)!;
  const first = Math.ceil(from / step - 1e-9);
  return Array.from(
    { length: Math.max(0, Math.floor(to / step + 1e-9) - first + 1) },
    (_, index) => (first + index) * step * INCH,
  );
}

export type Ticks = (low: number, high: number, count: number) => number[];

/** The unit beside a figure of the axis, angles carry theirs; and its ticks. */
export const axisUnit = (
  dimension: Quantity,
  display: LengthDisplay,
): { readonly unit?: string; readonly ticks: Ticks } => ({
  ...(dimension.quantity === 'angle' ? {} : { unit: display.length === 'mm' ? 'mm' : 'in' }),
  ticks: (low, high, count) => axisTicks(dimension, display, low, high, count),
});
