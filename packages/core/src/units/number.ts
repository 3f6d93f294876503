import { failure, success, type Result } from '../result.js';

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

/** Folds the many ways of typing the same marks (primes, dashes, one-glyph fractions, hard spaces) into one. */
export function normaliseTyped(text: string): string {
  return text
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (glyph) => ` ${VULGAR[glyph]}`)
    .replace(/[′‘’]/g, "'")
    .replace(/[″“”]|''/g, '"')
    .replace(/[−–—]/g, '-')
    .replace(/[⁄∕]/g, '/')
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .trim()
    .toLowerCase();
}

/**
 * A plain decimal such as `25`, `.083`, `-4.5` or `25,4` (a single comma is read as the decimal mark).
 * `1,080` is refused, since it may mean 1080 or 1.08.
 */
export function parseDecimal(text: string): Result<number> {
  const typed = text.trim();
  if (/^[-+]?\d{1,3},\d{3}$/.test(typed)) {
    return failure(
      `“${typed}” may mean ${typed.replace(',', '')} or ${typed.replace(',', '.')}: leave the comma out or use a point.`,
    );
  }
  const value = typed.replace(/^([-+]?\d*),(\d+)$/, '$1.$2');
  if (!/^[-+]?(\d+\.?\d*|\.\d+)$/.test(value)) return failure(`“${typed}” is not a number.`);
  return success(Number(value));
}
