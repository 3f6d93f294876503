import { failure, success, type Result } from '../result.js';
import { plainFigure, trimZeros, type LengthDisplay } from './length.js';
import { normaliseTyped, parseDecimal } from './number.js';

/** Exact by definition: 1 lb = 0.45359237 kg. */
export const POUND = 0.45359237;
const FACTORS: Readonly<Record<string, number>> = { kg: 1, g: 0.001, lb: POUND, lbs: POUND };
const MASS = /^(-?[\d.,]+)\s*(kg|g|lbs?)?$/;

/** A build that is measured in inches is weighed in pounds. */
export type MassUnit = 'kg' | 'lb';
export const massUnitOf = ({ length }: LengthDisplay): MassUnit => (length === 'mm' ? 'kg' : 'lb');

/**
 * Reads a typed mass, in the build's own unit or with another: `82`, `82 kg`, `850 g`, `180 lb`.
 *
 * @returns The mass in kg, or why it is none.
 */
export function parseMass(text: string, unit: MassUnit = 'kg'): Result<number> {
  const typed = normaliseTyped(text);
  const example = unit === 'kg' ? '82 or 180 lb' : '180 or 82 kg';
  if (typed === '') return failure(`Nothing typed. Type a mass such as ${example}.`);
  const read = MASS.exec(typed);
  if (!read) return failure(`“${text.trim()}” is not a mass. Type one such as ${example}.`);
  const value = parseDecimal(read[1]!);
  return value.ok ? success(value.value * FACTORS[read[2] ?? unit]!) : value;
}

/** A mass in kg as text in the build's unit with at most `digits` decimals: `82 kg`, `180.8 lb`. */
export function formatMass(kilograms: number, display: LengthDisplay, digits = 1, bare = false): string {
  const unit = massUnitOf(display);
  const figure = plainFigure(kilograms / FACTORS[unit]!, digits);
  return bare ? figure : `${figure} ${unit}`;
}

/** For words that are written before the build's units are known: `300 kg (661.4 lb)`. */
export const massBothWays = (kilograms: number): string =>
  `${plainFigure(kilograms, 1)} kg (${plainFigure(kilograms / POUND, 1)} lb)`;

/** Text for an edit field, in the build's unit: reads back to the stored value within half a gram. */
export const editableMass = (kilograms: number, display: LengthDisplay): string =>
  trimZeros((kilograms / FACTORS[massUnitOf(display)]!).toFixed(3));
