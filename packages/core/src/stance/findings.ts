import type { Finding } from '../findings/finding.js';
import { findKind } from './kinds/registry.js';
import { otherSolutions } from './solve.js';
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
  if (values.casterTrail !== undefined && values.casterTrail < 0)
    found.push(tell('trail-negative', 'stop', 'casterTrail', { value: values.casterTrail }));
  if (
    values.trailFull !== undefined &&
    values.trailFull < 0 &&
    (values.trail ?? values.casterTrail ?? 0) >= 0
  )
    found.push(tell('trail-negative-full', 'look', 'trailFull', { value: values.trailFull }));
  if (values.deckToTyre !== undefined && values.deckToTyre < 20)
    found.push(tell('deck-near-tyre', 'stop', 'deckToTyre', { gap: values.deckToTyre, wanted: 20 }));
  const lowest = values.groundClearance;
  if (lowest !== undefined && kind && stance.postures) {
    const under = Math.min(
      ...['floorRear', 'floorFront'].map((name) => stance.postures?.full.points[name]?.[2] ?? Infinity),
    );
    if (under < 20) found.push(tell('floor-low', 'look', 'groundClearance', { gap: under, wanted: 20 }));
  }
  if (kind) {
    const [other] = otherSolutions(kind, stance.held, stance.state);
    const differs = other && kind.dimensions.find(({ id }) => !(id in stance.held) && id in other);
    if (differs)
      found.push(
        tell('second-solution', 'note', differs.id, {
          dimension: differs.name,
          quantity: differs.quantity,
          value: values[differs.id]!,
          other: other[differs.id]!,
        }),
      );
  }
  return [...found, ...outside];
}
