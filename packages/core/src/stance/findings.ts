import type { Finding } from '../findings/finding.js';
import { findKind } from './kinds/registry.js';
import type { Stance } from './stance.js';

/** Dimensions outside their usual band, and shapes that can be built but will not ride. */
export function stanceFindings(stance: Stance): Finding[] {
  const { values, bands, wheels } = stance;
  const kind = findKind(stance.kind);
  const tell = (
    code: string,
    severity: Finding['severity'],
    ref: string,
    more: Finding['values'],
  ): Finding => ({ code, severity, where: { station: 'stance', ref }, values: more });
  const outside = Object.entries(bands).flatMap(([id, band]) => {
    const value = values[id];
    if (value === undefined || id === 'toeClearance' || (value >= band.low && value <= band.high)) return [];
    const dimension = kind?.dimensions.find((candidate) => candidate.id === id);
    return [
      tell('outside-band', 'note', id, {
        dimension: dimension?.name ?? id,
        quantity: dimension?.quantity ?? 'length',
        value,
        low: band.low,
        high: band.high,
        use: band.use,
      }),
    ];
  });
  const found: Finding[] = [];
  if (values.wheelbase !== undefined && values.wheelbase < wheels.front.radius + wheels.rear.radius) {
    found.push(
      tell('wheels-overlap', 'stop', 'wheelbase', {
        overlap: wheels.front.radius + wheels.rear.radius - values.wheelbase,
      }),
    );
  }
  if (values.trail !== undefined && values.trail < 0)
    found.push(tell('trail-negative', 'stop', 'trail', { value: values.trail }));
  if (values.forkOffset !== undefined && values.forkOffset < 0)
    found.push(tell('offset-behind', 'note', 'forkOffset', { value: values.forkOffset }));
  if (values.toeClearance !== undefined && values.toeClearance < 0)
    found.push(tell('toe-overlap', 'look', 'toeClearance', { overlap: -values.toeClearance }));
  if (
    values.bottomBracketHeight !== undefined &&
    values.crankLength !== undefined &&
    values.bottomBracketHeight - values.crankLength < 60
  ) {
    found.push(
      tell('pedal-low', 'look', 'bottomBracketHeight', {
        gap: values.bottomBracketHeight - values.crankLength,
        wanted: 60,
      }),
    );
  }
  const chainstay = values.chainstayLength;
  if (chainstay !== undefined && chainstay < wheels.rear.radius + 30) {
    found.push(
      tell('wheel-meets-shell', 'stop', 'chainstayLength', {
        gap: chainstay - wheels.rear.radius - 20,
        wanted: 10,
      }),
    );
  }
  return [...found, ...outside];
}
