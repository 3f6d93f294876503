import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance, type Vector } from '../vector/vector.js';
import { carried, mirroredPath, nearestOn, pathOf, pointOn } from './path.js';

describe('a bent centre line', () => {
  const corners: Vector[] = [
    [0, 0, 0],
    [300, 0, 0],
    [500, 200, 0],
    [500, 500, 150],
  ];
  it('has the bends, straights and developed length of the worked example', () => {
    // Source: vector algebra, worked by hand.
    const path = pathOf(corners, [76.2, 76.2]);
    expect(path.arcs.map(({ angle }) => angle)).toEqual([
      expect.closeTo(45, 3) as number,
      expect.closeTo(50.768, 3) as number,
    ]);
    expect(path.legs.map(({ length }) => Number(length.toFixed(3)))).toEqual([268.437, 215.123, 299.253]);
    expect(path.length).toBeCloseTo(910.18, 3);
    expect(path.tight).toEqual([]);
  });
  it('with no room for its radius takes the largest that fits, and says so', () => {
    const path = pathOf(
      [
        [0, 0, 0],
        [50, 0, 0],
        [50, 80, 0],
      ],
      [120],
    );
    expect(path.tight).toEqual([{ bend: 0, fits: expect.closeTo(50, 6) as number }]);
    expect(path.legs[0]!.length).toBeCloseTo(0, 9);
  });
  it('doubling back, or running straight on, has no bend and is drawn all the same', () => {
    for (const third of [[0, 0, 0] as Vector, [200, 0, 0] as Vector])
      expect(pathOf([[0, 0, 0], [100, 0, 0], third], [30]).arcs).toEqual([]);
  });
  it('is smooth, walked by its own length, found again from its points, and mirrored by its points', () => {
    const coordinate = fc.double({ min: -400, max: 400, noNaN: true });
    const point = fc.tuple(coordinate, coordinate, coordinate);
    fc.assert(
      fc.property(
        fc.array(point, { minLength: 3, maxLength: 5 }),
        fc.double({ min: 20, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (points, radius, share) => {
          fc.pre(points.every((each, index) => index === 0 || distance(each, points[index - 1]!) > 20));
          const path = pathOf(
            points,
            points.slice(2).map(() => radius),
          );
          fc.pre(path.arcs.every(({ angle }) => angle < 150));
          const station = share * path.length;
          const { at, direction } = pointOn(path, station);
          const ahead = pointOn(path, Math.min(path.length, station + 1e-4));
          expect(Math.hypot(...direction)).toBeCloseTo(1, 9);
          expect(distance(at, ahead.at)).toBeLessThan(1.001e-4);
          expect(nearestOn(path, at).away).toBeLessThan(1e-6);
          const over = pointOn(mirroredPath(path), station).at;
          expect(distance([at[0], -at[1], at[2]], over)).toBeLessThan(1e-6);
          const side: Vector = carried(path, [0, 0, 1], station);
          expect(Math.hypot(...side)).toBeCloseTo(1, 9);
        },
      ),
      { numRuns: 200 },
    );
  });
});
