import { formatAngle, formatLength, type Dimension, type LengthDisplay } from '@larchwood/core';

/** How a dimension's values read on an axis. */
export const axisText =
  ({ quantity }: Pick<Dimension, 'quantity'>, display: LengthDisplay, digits = 1) =>
  (value: number): string =>
    quantity === 'angle'
      ? formatAngle(value, digits)
      : formatLength(value, display, display.length === 'mm' ? digits : 2, true);
