import { formatAngle, formatLength, type Dimension, type LengthDisplay } from '@larchwood/core';

/** How a dimension's values read on an axis. */
export const axisText =
  ({ quantity }: Pick<Dimension, 'quantity'>, display: LengthDisplay, digits = 1) =>
  (value: number): string =>
    quantity === 'angle'
      ? formatAngle(value, digits)
      : formatLength(value, display, display.length === 'mm' ? digits : 2, true);

/** The unit beside a figure of the axis; angles carry theirs. */
export const axisUnit = (
  { quantity }: Pick<Dimension, 'quantity'>,
  display: LengthDisplay,
): { readonly unit?: string } =>
  quantity === 'angle' ? {} : { unit: display.length === 'mm' ? 'mm' : 'in' };
