import { failure, success, type Result } from '../result.js';
import { trimZeros } from './length.js';
import { normaliseTyped, parseDecimal } from './number.js';

/** Exact by definition: 1 lb = 0.45359237 kg. */
export const POUND = 0.45359237;
const FACTORS: Readonly<Record<string, number>> = { kg: 1, g: 0.001, lb: POUND, lbs: POUND };
const MASS = /^(-?[\d.,]+)\s*(kg|g|lbs?)?$/;

/** Reads a typed mass in kg, or with its unit: `82`, `82 kg`, `850 g`, `180 lb`. */
export function parseMass(text: string): Result<number> {
  const typed = normaliseTyped(text);
  if (typed === '') return failure('Nothing typed. Type a mass such as 82 or 180 lb.');
  const read = MASS.exec(typed);
  if (!read) return failure(`“${text.trim()}” is not a mass. Type kilograms, such as 82, or pounds: 180 lb.`);
  const value = parseDecimal(read[1]!);
  return value.ok ? success(value.value * FACTORS[read[2] ?? 'kg']!) : value;
}

/** Kilograms as text with at most `digits` decimals: `82 kg`. */
export const formatMass = (kilograms: number, digits = 1, bare = false): string =>
  `${trimZeros(kilograms.toFixed(digits)).replace('-', '−')}${bare ? '' : ' kg'}`;

/** Text for an edit field: reads back to the stored value within a milligram. */
export const editableMass = (kilograms: number): string => trimZeros(kilograms.toFixed(6));
