import { failure, success, type Result } from '../result.js';
import { plainFigure, trimZeros } from './length.js';
import { normaliseTyped, parseDecimal } from './number.js';

const DEGREES = /^(-?)([\d.,]+)\s*(?:°|deg|degrees)?$/;
const SEXAGESIMAL = /^(-?)(\d+)\s*(?:°|deg|\s)\s*(\d+(?:\.\d+)?)\s*'?$/;

/**
 * Reads a typed angle in degrees: `72.5`, `72,5°`, `72 deg`, `72° 30'`.
 * @returns degrees, or what is wrong with the text
 */
export function parseAngle(text: string): Result<number> {
  const typed = normaliseTyped(text);
  if (typed === '') return failure('Nothing typed. Type an angle in degrees, such as 72.5.');
  const minutes = SEXAGESIMAL.exec(typed);
  if (minutes) {
    if (Number(minutes[3]) >= 60) return failure(`“${text.trim()}”: minutes of arc run from 0 to 59.`);
    return success((minutes[1] ? -1 : 1) * (Number(minutes[2]) + Number(minutes[3]) / 60));
  }
  const degrees = DEGREES.exec(typed);
  if (!degrees) return failure(`“${text.trim()}” is not an angle. Type degrees, such as 72.5.`);
  const value = parseDecimal(degrees[2]!);
  return value.ok ? success((degrees[1] ? -1 : 1) * value.value) : value;
}

/** Degrees as text with at most `digits` decimals: `72.5°`. */
export function formatAngle(degrees: number, digits = 1, bare = false): string {
  return `${plainFigure(degrees, digits)}${bare ? '' : '°'}`;
}

/** Text for an edit field: reads back to the stored value within 1e-8 degrees. */
export const editableAngle = (degrees: number): string => trimZeros(degrees.toFixed(9));

export const toRadians = (degrees: number): number => (degrees * Math.PI) / 180;
export const toDegrees = (radians: number): number => (radians * 180) / Math.PI;
