import { deviation, mean } from 'd3-array';
import { failure, success, type Result } from '../result.js';
import { parseAngle } from '../units/angle.js';
import { parseLength } from '../units/length.js';
import type { Quantity } from '../units/quantity.js';

/** What was held of an instrument: one value, and how far several lay apart. */
export interface Captured {
  readonly value: number;
  /** Standard deviation; none of a single one. */
  readonly spread?: number;
}

/** Several readings to one: their mean, to a thousandth, with their standard deviation. @throws RangeError when there is none */
export function captured(values: readonly number[]): Captured {
  if (values.length === 0) throw new RangeError('Nothing was held.');
  const spread = deviation(values);
  return { value: Math.round(mean(values)! * 1000) / 1000, ...(spread === undefined ? {} : { spread }) };
}

/** An address before it, of figures and letters, is left out: `01A+0012.300`. */
const LINE = /(?:^|[^\d.,])\s*([-+−]?)\s*(\d+(?:[.,]\d+)?)\s*(mm|cm|in|"|″|°|deg)?\s*$/i;

/**
 * A line that an instrument sends, as most do: a sign, a number, and a unit or none: `+ 12.34 mm`, `71.9`, `0.4725 in`.
 * @returns mm or degrees; bare numbers are mm, or degrees
 */
export function readInstrumentLine(line: string, quantity: Quantity): Result<number> {
  const found = LINE.exec(line);
  if (!found) return failure(`“${line.slice(0, 40)}” has no number.`);
  const [, sign, figure, unit = ''] = found;
  const value = `${sign === '−' || sign === '-' ? '-' : ''}${figure!.replace(',', '.')}`;
  const isAngle = unit === '°' || /deg/i.test(unit);
  if (isAngle !== (quantity === 'angle') && unit !== '')
    return failure(
      `It reads ${isAngle ? 'an angle' : 'a length'}; ${quantity === 'angle' ? 'an angle' : 'a length'} is wanted.`,
    );
  const parsed =
    quantity === 'angle' ? parseAngle(value) : parseLength(`${value} ${unit || 'mm'}`.trim(), 'mm');
  return parsed.ok ? success(parsed.value) : parsed;
}

/** A stand-in for an instrument: what it is held to, how unsteady it is, and how far its zero is off. */
export interface Simulated {
  readonly truth: number;
  /** Standard deviation of its readings. */
  readonly noise: number;
  readonly offset: number;
  /** Smallest step of its display. */
  readonly step: number;
}
/** What it shows now. @param normal a draw of mean 0 and deviation 1 */
export const simulatedReading = ({ truth, noise, offset, step }: Simulated, normal: number): number =>
  Math.round((truth + offset + noise * normal) / step) * step;
