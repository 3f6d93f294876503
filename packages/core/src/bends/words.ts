import { formatAngle } from '../units/angle.js';
import type { Springback } from './springback.js';

/** How the tube is turned about itself before a bend, seen from the end that is not bent yet. */
export function turnText(rotation: number): string {
  const turned = Math.abs(rotation);
  if (turned < 0.05) return 'not at all';
  if (turned > 179.95) return 'half round';
  return `${formatAngle(turned)} ${rotation > 0 ? 'clockwise' : 'anticlockwise'}`;
}

/** What logged bends have taught, and how sure it is. */
export function springbackText({ known, base, factor, scatter, from }: Springback): string {
  const spread =
    scatter === undefined ? '' : ` Bends lie within about ±${formatAngle(Math.max(0.1, scatter))} of it.`;
  if (known === 'start value')
    return `No bend is logged: ${formatAngle(base)} of springback is the die’s own start value, not measured.`;
  if (known === 'one bend')
    return `From one bend only: ${formatAngle(base)} of springback. Log a second at another angle.`;
  if (known === 'offset')
    return `From ${from} bends of about one angle: ${formatAngle(base)} of springback.${spread}`;
  return `From ${from} bends: set ${base.toFixed(1)}° + ${factor.toFixed(3)} × the angle wanted.${spread}`;
}

/** What a setting is made of: the bend, what springs back, and what the scale reads at a straight tube. Degrees. */
export function settingSum(angle: number, set: number, zero: number, reads: number): string {
  const springs = set - angle;
  const sign = (value: number) => (value < 0 ? ' − ' : ' + ') + formatAngle(Math.abs(value));
  const offset = zero === 0 ? '' : `${sign(zero)} on the scale of a straight tube`;
  const mark = formatAngle(set + zero) === formatAngle(reads) ? '' : ', its nearest mark';
  return `${formatAngle(angle)} of bend${sign(springs)} of springback${offset}: set the scale to ${formatAngle(reads)}${mark}.`;
}

/** A piece that stands for a pair, as lists name it: `1L, R`. */
export const pairMark = (mark: string): string => (mark.endsWith('L') ? `${mark.slice(0, -1)}L, R` : mark);
/** The name of a pair, without a side. */
export const pairName = (name: string): string => name.replace(/, left$/, '');
