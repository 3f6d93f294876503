import { formatAngle } from '../units/angle.js';
import { formatLength, type LengthDisplay } from '../units/length.js';
import type { Dimension, Solvable } from './dimension.js';

const WORD = /[A-Za-z][A-Za-z0-9]*/g;
const FUNCTIONS = new Set(['sin', 'cos', 'tan', 'asin', 'acos', 'atan']);

/**
 * A dimension's formula with this build's numbers in place of the symbols; undefined for what is measured or chosen, and
 * for what is found by turning or searching and has no formula.
 */
export function formulaWithNumbers(
  kind: Pick<Solvable, 'dimensions'>,
  dimension: Dimension,
  values: Readonly<Record<string, number>>,
  display: LengthDisplay,
): string | undefined {
  if (!dimension.formula.includes('=')) return undefined;
  const [, right] = dimension.formula.split('=') as [string, string];
  return right.trim().replace(WORD, (word) => {
    if (FUNCTIONS.has(word)) return word;
    const other = kind.dimensions.find(({ symbol }) => symbol === word);
    return other ? figure(other, values[other.id] ?? Number.NaN, display) : word;
  });
}

/** Bare figure of a length, an angle with its sign; negative ones in brackets. */
function figure({ quantity }: Dimension, value: number, display: LengthDisplay): string {
  const text = quantity === 'angle' ? formatAngle(value, 2) : formatLength(value, display, 2, true);
  return value < 0 ? `(${text})` : text;
}
