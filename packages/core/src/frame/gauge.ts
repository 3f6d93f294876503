import { failure, success, type Result } from '../result.js';
import { INCH } from '../units/length.js';

/**
 * Two gauge tables that differ: the manufacturers' standard for sheet steel (of which square and rectangular tube is
 * rolled), and Birmingham wire gauge for round tube. Inches. From memory; the certificate of the tube goes before them.
 */
const SHEET: Readonly<Record<number, number>> = {
  7: 0.1793,
  8: 0.1644,
  9: 0.1495,
  10: 0.1345,
  11: 0.1196,
  12: 0.1046,
  13: 0.0897,
  14: 0.0747,
  15: 0.0673,
  16: 0.0598,
  17: 0.0538,
  18: 0.0478,
  19: 0.0418,
  20: 0.0359,
  22: 0.0299,
  24: 0.0239,
};
const BIRMINGHAM: Readonly<Record<number, number>> = {
  7: 0.18,
  8: 0.165,
  9: 0.148,
  10: 0.134,
  11: 0.12,
  12: 0.109,
  13: 0.095,
  14: 0.083,
  15: 0.072,
  16: 0.065,
  17: 0.058,
  18: 0.049,
  19: 0.042,
  20: 0.035,
  22: 0.028,
  24: 0.022,
};
export type GaugeTable = 'sheet' | 'Birmingham';
export const GAUGES: Readonly<Record<GaugeTable, Readonly<Record<number, number>>>> = {
  sheet: SHEET,
  Birmingham: BIRMINGHAM,
};

/** Wall in mm of a gauge number, or undefined where the table has no such number. */
export const gaugeWall = (gauge: number, table: GaugeTable): number | undefined =>
  GAUGES[table][gauge] === undefined ? undefined : GAUGES[table][gauge] * INCH;

/**
 * The gauge number of a wall in mm, where it is one of the table's to a thousandth of an inch.
 * @param wall mm
 * @param table which of the gauge tables
 */
export function gaugeOf(wall: number, table: GaugeTable): number | undefined {
  const found = Object.entries(GAUGES[table]).find(([, inches]) => Math.abs(inches * INCH - wall) < 0.012);
  return found && Number(found[0]);
}

/**
 * Reads `16 ga` as a wall in mm by a table, or says which gauges that has; undefined where the text is no gauge.
 * @param text as it was typed
 * @param table which of the gauge tables
 * @returns mm
 */
export function parseGauge(text: string, table: GaugeTable): Result<number> | undefined {
  const match = /^\s*(\d{1,3})\s*(?:ga|gauge)\.?\s*$/i.exec(text);
  if (!match) return undefined;
  const wall = gaugeWall(Number(match[1]), table);
  if (wall !== undefined) return success(wall);
  const numbers = Object.keys(GAUGES[table]);
  return failure(`No gauge ${match[1]} here: ${numbers.slice(0, -1).join(', ')} or ${numbers.at(-1)}.`);
}
