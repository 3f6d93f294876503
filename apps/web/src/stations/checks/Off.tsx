import type { Quantity } from '@larchwood/core';
import { useUnits } from '../../editor/editor';
import { Measure } from '../../parts/Figure';

/** Less than this shows as nothing; mm and degrees. */
const NIL = 0.05;

/** How far something is off, with its sign to either side. */
export function Off({ value, quantity }: { readonly value: number; readonly quantity: Quantity }) {
  const units = useUnits();
  const shown = Math.abs(value) < NIL ? 0 : value;
  return (
    <span>
      {shown > 0 ? '+' : ''}
      <Measure value={shown} quantity={quantity} display={units} />
    </span>
  );
}
