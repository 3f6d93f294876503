import { failure, success, type Result } from '../result.js';
import { normaliseTyped, parseDecimal } from './number.js';

/** Exact by definition: 1 in = 25.4 mm. */
export const INCH = 25.4;

export type LengthUnit = 'mm' | 'inch' | 'fraction';
export type Denominator = 16 | 32 | 64;
export interface LengthDisplay {
  readonly length: LengthUnit;
  /** Finest fraction shown when `length` is 'fraction'. */
  readonly denominator: Denominator;
}
/** A length ready to be set in type: whole figure, and a fraction where the build shows fractions. */
export interface LengthText {
  readonly sign: '' | '−';
  readonly whole: string;
  readonly numerator?: number;
  readonly denominator?: number;
  readonly unit: 'mm' | 'in';
}

const METRIC: Readonly<Record<string, number>> = { mm: 1, cm: 10, m: 1000 };
const NUMBER = String.raw`(?:\d+(?:[.,]\d*)?|[.,]\d+)`;
const METRIC_PATTERN = new RegExp(`^(${NUMBER})\\s*(mm|cm|m)$`);
const INCH_PATTERN = new RegExp(
  String.raw`^(?:(${NUMBER})\s*(?:'|ft|feet|foot)\s*-?\s*)?` +
    String.raw`(?:(?:(\d+)\s*[- ]\s*)?(\d+)\s*/\s*(\d+)|(${NUMBER}))?\s*("|in|inch|inches)?$`,
);
const HINT = 'Type a length such as 648, 64.8 cm, 25 1/2 or 2\' 1.5".';

/**
 * Reads a typed length. A bare decimal is in the build's own unit; a fraction, feet or an inch mark always means inches.
 * @param text what was typed, e.g. `25 1/2`, `25-1/2"`, `3/16"`, `648mm`, `64.8 cm`, `2' 1.5"`, `.083`
 * @param unit the build's display unit, for bare decimals
 * @returns millimetres, or what is wrong in words
 */
export function parseLength(text: string, unit: LengthUnit): Result<number> {
  const typed = normaliseTyped(text);
  if (typed === '') return failure(`Nothing typed. ${HINT}`);
  const sign = typed.startsWith('-') ? -1 : 1;
  const body = typed.replace(/^[-+]\s*/, '');
  const metric = METRIC_PATTERN.exec(body);
  if (metric) return scaled(metric[1]!, sign * METRIC[metric[2]!]!);
  const inches = INCH_PATTERN.exec(body);
  if (!inches) return failure(`“${text.trim()}” is not a length. ${HINT}`);
  const [, feet, whole, numerator, denominator, decimal, mark] = inches;
  if (decimal !== undefined && feet === undefined && mark === undefined) {
    return scaled(decimal, sign * (unit === 'mm' ? 1 : INCH));
  }
  if (denominator !== undefined && Number(denominator) === 0)
    return failure('A fraction over 0 has no size.');
  if (denominator !== undefined && Number(numerator) >= Number(denominator) && whole !== undefined) {
    return failure(`“${text.trim()}”: the fraction after a whole number must be less than 1.`);
  }
  const feetValue = parseDecimal(feet ?? '0');
  const decimalValue = parseDecimal(decimal ?? '0');
  if (!feetValue.ok) return feetValue;
  if (!decimalValue.ok) return decimalValue;
  const fraction = denominator === undefined ? 0 : Number(numerator) / Number(denominator);
  return success(sign * (feetValue.value * 12 + Number(whole ?? 0) + fraction + decimalValue.value) * INCH);
}

function scaled(figure: string, factor: number): Result<number> {
  const value = parseDecimal(figure);
  return value.ok ? success(value.value * factor) : value;
}

/** Decimals of an inch that a caliper reads. */
const MOST_DECIMALS = 3;

/**
 * Sets a length for display.
 * @param millimetres the length
 * @param display the build's units
 * @param digits decimals of a millimetre worth showing (inches get two more, but no more than a caliper reads); trailing
 *   zeros are dropped
 */
export function lengthText(millimetres: number, display: LengthDisplay, digits = 1): LengthText {
  if (display.length === 'mm')
    return { ...signed(trimZeros(Math.abs(millimetres).toFixed(digits)), millimetres), unit: 'mm' };
  const inches = Math.abs(millimetres) / INCH;
  const parts = Math.round(inches * display.denominator);
  // A size that the finest fraction would falsify by a tenth, a wall or a scale's step, is set as a decimal.
  const falsified = inches > 0.0004 && Math.abs(parts / display.denominator - inches) > inches / 10;
  if (display.length === 'inch' || falsified) {
    const decimals = Math.min(MOST_DECIMALS, digits + 2);
    return { ...signed(trimZeros(inches.toFixed(decimals)), millimetres), unit: 'in' };
  }
  const whole = Math.floor(parts / display.denominator);
  const rest = parts - whole * display.denominator;
  const sign = millimetres < 0 && parts > 0 ? '−' : '';
  if (rest === 0) return { sign, whole: String(whole), unit: 'in' };
  const divisor = rest & -rest;
  return {
    sign,
    whole: whole === 0 ? '' : String(whole),
    numerator: rest / divisor,
    denominator: display.denominator / divisor,
    unit: 'in',
  };
}

/** The same as one line of plain text, e.g. `648 mm`, `25.512 in`, `25 1/2 in`; without the unit when `bare`. */
export function formatLength(millimetres: number, display: LengthDisplay, digits = 1, bare = false): string {
  const { sign, whole, numerator, denominator, unit } = lengthText(millimetres, display, digits);
  const fraction = numerator === undefined ? '' : `${numerator}/${denominator}`;
  const figure = `${sign}${[whole, fraction].filter(Boolean).join(' ')}`;
  return bare ? figure : `${figure} ${unit}`;
}

/**
 * A limit, or a wall: to a hundredth of a millimetre or a thousandth of an inch, never as a fraction, which would be another.
 * @param millimetres mm
 */
export const formatExactly = (millimetres: number, display: LengthDisplay, bare = false): string =>
  display.length === 'mm'
    ? formatLength(millimetres, display, 2, bare)
    : formatLength(millimetres, { ...display, length: 'inch' }, 1, bare);

/**
 * How a plate, a sheet or a wall is told: as a fraction only where it is one, else it would be told as another that can be
 * bought.
 * @param millimetres mm
 */
export function gaugeDisplay(millimetres: number, display: LengthDisplay): LengthDisplay {
  if (display.length !== 'fraction') return display;
  const parts = (millimetres / INCH) * display.denominator;
  return Math.abs(parts - Math.round(parts)) < 1e-6 ? display : { ...display, length: 'inch' };
}
export const formatGauge = (millimetres: number, display: LengthDisplay, bare = false): string =>
  formatLength(millimetres, gaugeDisplay(millimetres, display), 2, bare);

/**
 * For words that are written before the build's units are known: `150 mm (5.91 in)`.
 * @param millimetres mm
 */
export function lengthBothWays(millimetres: number): string {
  return `${plainFigure(millimetres, 1)} mm (${plainFigure(millimetres / INCH, 2)} in)`;
}

/**
 * Text for an edit field: reads back to the stored value within 1e-6 mm. A fraction is used only when it is exact.
 * @param millimetres mm
 * @param display the build's units
 */
export function editableLength(millimetres: number, display: LengthDisplay): string {
  if (display.length === 'mm') return trimZeros(millimetres.toFixed(6));
  const inches = millimetres / INCH;
  if (
    display.length === 'fraction' &&
    Math.abs(Math.round(inches * display.denominator) / display.denominator - inches) < 1e-9
  ) {
    return formatLength(millimetres, display, 1, true).replace('−', '-');
  }
  return trimZeros(inches.toFixed(8));
}

export function trimZeros(figure: string): string {
  return figure.includes('.') ? figure.replace(/\.?0+$/, '') : figure;
}

/** A number with at most `digits` decimals, as it is set in type: `25.4`, `−3`, and never a minus nought. */
export function plainFigure(value: number, digits: number): string {
  const { sign, whole } = signed(trimZeros(Math.abs(value).toFixed(digits)), value);
  return `${sign}${whole}`;
}

function signed(figure: string, value: number): { sign: '' | '−'; whole: string } {
  return { sign: value < 0 && Number(figure) !== 0 ? '−' : '', whole: figure };
}
