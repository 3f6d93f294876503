import type { Plate } from '@larchwood/format';
import { toRadians } from '../units/angle.js';

/** Where the neutral line lies in a fold, as a share of the thickness from the inside. Common practice, no source. */
export const K_FACTOR = 0.44;

export interface Fold {
  readonly angle: number;
  readonly radius: number;
  /** Of the neutral line round the fold, mm. */
  readonly allowance: number;
  /** What two outside lengths are shortened by together, mm. */
  readonly deduction: number;
}

/**
 * Bend allowance and deduction of sheet.
 * Source: allowance = angle x (radius + K thickness); deduction = 2 (radius + thickness) tan(angle / 2) less the allowance;
 * any sheet metal text.
 * @param angle that it is folded by, degrees; @param radius inside, mm
 */
export function foldOf(thickness: number, angle: number, radius: number, k = K_FACTOR): Fold {
  const turned = Math.abs(angle);
  const allowance = toRadians(turned) * (radius + k * thickness);
  const setback = Math.tan(toRadians(Math.min(turned, 179)) / 2) * (radius + thickness);
  return { angle, radius, allowance, deduction: 2 * setback - allowance };
}

export const foldsOf = ({ bendLines, thickness }: Pick<Plate, 'bendLines' | 'thickness'>): readonly Fold[] =>
  bendLines.map(({ angle, radius }) => foldOf(thickness, angle, radius));
