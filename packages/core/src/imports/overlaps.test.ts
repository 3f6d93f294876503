import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withoutDoubles } from './overlaps.js';
import type { Flat, Stroke } from './stroke.js';

const line = (from: Flat, to: Flat, more: Partial<Stroke> = {}): Stroke => ({
  ...{ layer: 'a', level: 0, from, to },
  ...more,
});
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('lines that are drawn twice', () => {
  it('parts of one line that lie over each other are that line again, in any order and either way round', () =>
    fc.assert(
      fc.property(
        number(0, Math.PI),
        fc.array(number(1, 400), { minLength: 1, maxLength: 6 }),
        fc.array(fc.boolean(), { minLength: 7, maxLength: 7 }),
        fc.infiniteStream(fc.nat()),
        (angle, lengths, turned, chance) => {
          // Each begins 5 mm before the last one ends.
          let end = 5;
          const spans = [2, ...lengths].map((long) => {
            const start = end - 5;
            end = start + 5 + long;
            return [start, end] as const;
          });
          const at = (way: number): Flat => [Math.cos(angle) * way, Math.sin(angle) * way];
          const parts = spans.map(([low, high], index) =>
            turned[index % 7] ? line(at(high), at(low)) : line(at(low), at(high)),
          );
          const mixed = parts
            .map((part) => [chance.next().value as number, part] as const)
            .sort(([a], [b]) => a - b)
            .map(([, part]) => part);
          const { strokes, doubles } = withoutDoubles(mixed);
          expect(strokes).toHaveLength(1);
          const [{ from, to }] = strokes as [Stroke];
          expect(Math.hypot(from[0] - to[0], from[1] - to[1])).toBeCloseTo(end, 6);
          expect(doubles.get('a')).toBe(mixed.length - 1);
        },
      ),
    ));
  it.each([
    ['end to end', line([0, 0], [100, 0]), line([100, 0], [200, 0])],
    ['across each other', line([0, 0], [100, 0]), line([50, -50], [50, 50])],
    ['beside each other', line([0, 0], [100, 0]), line([0, 0.5], [100, 0.5])],
    ['one over the other', line([0, 0], [100, 0]), line([0, 0], [100, 0], { level: 30 })],
    ['in two layers', line([0, 0], [100, 0]), line([0, 0], [100, 0], { layer: 'b' })],
    [
      'an arc and its chord',
      line([0, 0], [100, 0]),
      line([0, 0], [100, 0], { arc: { centre: [50, 0], radius: 50, sweep: Math.PI } }),
    ],
    [
      'the two halves of a circle',
      line([0, 0], [100, 0], { arc: { centre: [50, 0], radius: 50, sweep: Math.PI } }),
      line([100, 0], [0, 0], { arc: { centre: [50, 0], radius: 50, sweep: -2 } }),
    ],
  ])('%s they stay two', (_, a, b) => {
    expect(withoutDoubles([a, b])).toEqual({ strokes: [a, b], doubles: new Map() });
  });
  it('an arc drawn from its other end is the same', () => {
    const arc = line([100, 0], [0, 100], { arc: { centre: [0, 0], radius: 100, sweep: Math.PI / 2 } });
    const back = line([0, 100], [100, 0], { arc: { centre: [0, 0], radius: 100, sweep: -Math.PI / 2 } });
    expect(withoutDoubles([arc, back, arc]).strokes).toEqual([arc]);
  });
});
