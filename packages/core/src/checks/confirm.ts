import { knownBefore, sigmaOf, slopes, type Adjusted, type Network, type Reading } from './adjust.js';
import { gainsOf, varianceOf } from './doubt.js';
import type { Measurand } from './measure.js';

/** A reading that could be wrong and nobody would see it. */
export interface Unconfirmed {
  readonly measure: string;
  /** The measure, of those not taken, that would bear it out best; none where none does. */
  readonly by?: string;
}

/**
 * Of a reading the others bear out less than this part, a gross error cannot be told from a bent frame. Source: W. Förstner's
 * bound for a redundancy number that makes a reading hardly controllable, 0.1.
 */
export const UNCONFIRMED = 0.1;

/**
 * Readings that nothing else bears out: wrong or right, the frame is drawn by them. Each with the reading more that would show it.
 * @param readings those that were taken, mm and degrees
 * @param open measures that were not
 */
export function unconfirmedOf(
  network: Network,
  { unknown, displaced, residuals }: Pick<Adjusted, 'unknown' | 'displaced' | 'residuals'>,
  readings: readonly Reading[],
  open: readonly Measurand[],
): readonly Unconfirmed[] {
  const used = readings.filter(({ measure }) => residuals.has(measure.id));
  const bare = used.filter(({ measure }) => residuals.get(measure.id)!.borneOut < UNCONFIRMED);
  if (bare.length === 0) return [];
  const x = unknown.flatMap((id) => [...displaced[id]!]);
  const rowOf = (measure: Measurand) => slopes(network, unknown, x, measure);
  const rows = used.map(({ measure }) => rowOf(measure));
  const candidates = open
    .filter(({ as }) => as !== 'gap')
    .map((measure) => ({ measure, row: rowOf(measure) }));
  return bare.map((reading): Unconfirmed => {
    const own = used.indexOf(reading);
    const others = knownBefore(network, unknown);
    used.forEach((each, index) => {
      if (index !== own) others.takeIn({ row: rows[index]!, sigma: sigmaOf(each) });
    });
    const row = rows[own]!;
    const before = varianceOf(others, row);
    const sigma2 = sigmaOf(reading) ** 2;
    const [best] = candidates
      .map(({ measure, row: more }) => ({
        id: measure.id,
        borneOut:
          sigma2 / (sigma2 + before - gainsOf(others, [row], { row: more, sigma: measure.reads })[0]!),
      }))
      .sort((a, b) => b.borneOut - a.borneOut);
    const better = best && best.borneOut > 2 * (sigma2 / (sigma2 + before));
    return { measure: reading.measure.id, ...(better ? { by: best.id } : {}) };
  });
}
