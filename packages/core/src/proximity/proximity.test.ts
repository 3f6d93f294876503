import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { add, along, distance, subtract, turn, unit, type Vector } from '../vector/vector.js';
import { apart, boundsOf, outside } from './bounds.js';
import { cornersOf, distanceTo, leastAlong, nearestOf, towards } from './distance.js';
import { gap, gapPlace, leastPossible } from './gap.js';
import { distanceToSegment, nearestOfSegments } from './segments.js';
import { ballAt, boxAt, rodFrom, type Box, type Disc, type Rod, type Shape } from './shapes.js';

const part = fc.double({ min: -400, max: 400, noNaN: true });
const point = fc.tuple(part, part, part) as fc.Arbitrary<Vector>;
const size = fc.double({ min: 1, max: 120, noNaN: true });
const segment = fc.record({ from: point, to: point });
const rod = fc.tuple(point, point, size).map(([from, to, radius]) => rodFrom(from, to, radius));
const disc = fc
  .tuple(point, point, size, size)
  .filter(([, way]) => Math.hypot(...way) > 1)
  .map(([centre, way, radius, half]): Disc => ({
    as: 'disc',
    centre,
    spindle: unit(way),
    radius,
    half,
    round: 5,
  }));
const box = fc.tuple(point, size, size, size).map(([centre, ...half]) => boxAt(centre, half));
const bulging: fc.Arbitrary<Shape> = fc.oneof(rod, disc, box);

const isSolid = (shape: Shape): shape is Rod | Box => shape.as === 'rod' || shape.as === 'box';
/** A turn about an axis and a shift: what is near stays as near. */
const motion = fc.record({
  axis: fc
    .tuple(part, part, part)
    .filter((way) => Math.hypot(...way) > 1)
    .map((way) => unit(way as Vector)),
  degrees: fc.double({ min: -360, max: 360, noNaN: true }),
  shift: point,
});
type Motion = typeof motion extends fc.Arbitrary<infer M> ? M : never;
const turned = (way: Vector, { axis, degrees }: Motion): Vector => turn(way, axis, degrees);
const movedPoint = (at: Vector, by: Motion): Vector => add(turned(at, by), by.shift);
function movedShape<S extends Shape>(shape: S, by: Motion): S {
  if (shape.as === 'rod') return { ...shape, from: movedPoint(shape.from, by), to: movedPoint(shape.to, by) };
  if (shape.as === 'disc')
    return { ...shape, centre: movedPoint(shape.centre, by), spindle: turned(shape.spindle, by) };
  if (shape.as === 'box')
    return {
      ...shape,
      centre: movedPoint(shape.centre, by),
      axes: shape.axes.map((axis) => turned(axis, by)) as unknown as typeof shape.axes,
    };
  return shape;
}

describe('segments', () => {
  it('are as near as the nearest of many points along both', () => {
    fc.assert(
      fc.property(segment, segment, (a, b) => {
        const { distance: found, onA, onB, shareA, shareB } = nearestOfSegments(a, b);
        expect(distance(onA, along(a.from, subtract(a.to, a.from), shareA))).toBeLessThan(1e-9);
        expect(distance(onB, along(b.from, subtract(b.to, b.from), shareB))).toBeLessThan(1e-9);
        expect(distance(onA, onB)).toBeCloseTo(found, 9);
        for (let i = 0; i <= 20; i += 1)
          expect(distanceToSegment(along(a.from, subtract(a.to, a.from), i / 20), b)).toBeGreaterThan(
            found - 1e-6,
          );
      }),
    );
  });
  it('that cross at next to no angle are found where they cross', () => {
    const slight = fc.double({ min: -5.5, max: -2, noNaN: true }).map((power) => 10 ** power);
    fc.assert(
      fc.property(slight, fc.double({ min: 0, max: 1, noNaN: true }), (slope, at) => {
        const [a, b] = [0, 800].map((x) => [x, (x - 800 * at) * slope, 7] as Vector) as [Vector, Vector];
        const { distance: found } = nearestOfSegments(
          { from: a, to: b },
          { from: [0, 0, 0], to: [800, 0, 0] },
        );
        expect(found).toBeCloseTo(7, 7);
      }),
    );
  });
  it('that run alongside each other, and points, have their distance', () => {
    const level = (y: number, from: number, to: number) => ({
      from: [from, y, 0] as Vector,
      to: [to, y, 0] as Vector,
    });
    expect(nearestOfSegments(level(0, 0, 10), level(3, 2, 5)).distance).toBeCloseTo(3, 12);
    expect(nearestOfSegments(level(0, 0, 10), level(3, 14, 20)).distance).toBeCloseTo(5, 12);
    expect(distanceToSegment([5, 0, 0], level(0, 5, 5))).toBe(0);
    expect(distanceToSegment([2e-6, 0, 0], level(0, 0, 1e-6))).toBeCloseTo(1e-6, 9);
    expect(distanceToSegment([-3, 4, 0], level(0, 0, 9))).toBe(5);
  });
});

describe('distances', () => {
  it('change by no more than the way that a point goes', () => {
    fc.assert(
      fc.property(bulging, point, point, (shape, p, q) => {
        expect(Math.abs(distanceTo(shape, p) - distanceTo(shape, q))).toBeLessThan(distance(p, q) + 1e-6);
      }),
    );
  });
  it('to a box or a rod: the nearest point lies on it, that far off, in the direction told', () => {
    fc.assert(
      fc.property(fc.oneof(rod, box), point, (shape, p) => {
        const out = distanceTo(shape, p);
        const radius = shape.as === 'rod' ? shape.radius : 0;
        expect(distance(nearestOf(shape, p), p)).toBeCloseTo(Math.abs(out + radius), 6);
        if (out > 1) expect(leastAlong(shape, p, towards(shape, p))).toBeLessThan(out + 1e-6);
        for (const corner of cornersOf(shape)) expect(distanceTo(shape, corner)).toBeCloseTo(-radius, 6);
      }),
    );
  });
  it('do not change where all is turned and moved together', () => {
    fc.assert(
      fc.property(bulging, rod, point, motion, (shape, tube, p, by) => {
        const there = movedShape(shape, by);
        const its = movedShape(tube, by);
        const at = movedPoint(p, by);
        expect(distanceTo(there, at)).toBeCloseTo(distanceTo(shape, p), 6);
        expect(leastPossible(its, there)).toBeCloseTo(leastPossible(tube, shape), 6);
        if (!isSolid(shape) || !isSolid(there)) return;
        const way = unit([3, 1, -2]);
        expect(leastAlong(there, at, turned(way, by))).toBeCloseTo(leastAlong(shape, p, way), 6);
        // From inside, two faces may be as near.
        if (distanceTo(shape, p) > 1)
          expect(distance(nearestOf(there, at), movedPoint(nearestOf(shape, p), by))).toBeLessThan(1e-5);
        const corners = cornersOf(there);
        for (const corner of cornersOf(shape))
          expect(Math.min(...corners.map((each) => distance(each, movedPoint(corner, by))))).toBeLessThan(
            1e-6,
          );
      }),
    );
  });
  it('of a box and its corners: worked by hand, outside, inside and on a face', () => {
    const box = boxAt([10, 0, 0], [3, 4, 12]);
    expect(distanceTo(box, [10, 0, 20])).toBe(8);
    expect(distanceTo(box, [16, 8, 0])).toBe(5);
    expect(distanceTo(box, [10, 1, 0])).toBe(-3);
    expect(distanceTo(box, [13, 0, 0])).toBeCloseTo(0, 12);
    expect(cornersOf(box).map(String)).toHaveLength(8);
    expect(cornersOf(box)).toContainEqual([7, -4, 12]);
    // From inside the nearest face counts, and which of two that are as near does not matter.
    expect(nearestOf(box, [9, 0, 0])).toEqual([7, 0, 0]);
    expect(nearestOf(box, [11, 0, 0])).toEqual([13, 0, 0]);
    expect(nearestOf(box, [10, 3.5, 0])).toEqual([10, 4, 0]);
    expect(nearestOf(box, [9, 0, 30])).toEqual([9, 0, 12]);
    expect(towards(box, [10, 3.5, 0])).toEqual([0, 1, 0]);
    expect(towards(box, [13, 0, 0])).toEqual([1, 0, 0]);
    expect(towards(ballAt([1, 2, 3], 4), [1, 2, 3])).toEqual([0, 0, 1]);
    expect(towards(ballAt([1, 2, 3], 4), [1, 2, 7])).toEqual([0, 0, -1]);
    expect(cornersOf(rodFrom([1, 0, 0], [2, 0, 0], 5))).toEqual([
      [1, 0, 0],
      [2, 0, 0],
    ]);
  });
  it('of a wheel: worked by hand at its tread, its side and its shoulder', () => {
    const wheel: Disc = {
      as: 'disc',
      centre: [0, 0, 0],
      spindle: [0, 1, 0],
      radius: 300,
      half: 20,
      round: 10,
    };
    expect(distanceTo(wheel, [400, 0, 0])).toBeCloseTo(90, 9);
    expect(distanceTo(wheel, [100, 50, 0])).toBeCloseTo(20, 9);
    expect(distanceTo(wheel, [303, 24, 0])).toBeCloseTo(5 - 10, 9);
  });
  it('from the ground, also where the vehicle has sunk at one end', () => {
    expect(distanceTo({ as: 'ground', rear: [0, 0, 0], front: [1000, 0, 0] }, [300, 70, 25])).toBe(25);
    const sunk: Shape = { as: 'ground', rear: [0, 0, 0], front: [400, 0, 300] };
    expect(distanceTo(sunk, [0, 0, 50])).toBeCloseTo(40, 9);
    // 3-4-5: 200 on is 150 up, and 100 over the slope is 80 from it.
    const ahead: Shape = { as: 'ground', rear: [100, 0, 20], front: [500, 0, 320] };
    expect(distanceTo(ahead, [300, 0, 270])).toBeCloseTo(80, 9);
  });
});

describe('gaps', () => {
  it('told quickly: from middle to middle, less how far each reaches, worked by hand', () => {
    const tube = rodFrom([-10, 0, 100], [10, 0, 100], 5);
    expect(leastPossible(tube, boxAt([0, 0, 0], [3, 4, 12]))).toBe(100 - 15 - 13);
    expect(leastPossible(tube, rodFrom([0, -24, 0], [0, 24, 0], 6))).toBe(100 - 15 - 30);
    expect(leastPossible(tube, ballAt([0, 0, 60], 6))).toBe(40 - 15 - 6);
    const wheel: Disc = {
      as: 'disc',
      centre: [0, 0, 0],
      spindle: [0, 1, 0],
      radius: 40,
      half: 9,
      round: 2,
    };
    expect(leastPossible(tube, wheel)).toBe(100 - 15 - 41 - 2);
    const ground: Shape = { as: 'ground', rear: [0, 0, 0], front: [1000, 0, 0] };
    expect(leastPossible(rodFrom([0, 0, 300], [0, 0, 200], 5), ground)).toBe(200 - 5 - 1000);
  });
  it('of a ball are those of its middle, and of two that are one there is no way between', () => {
    expect(gap(ballAt([30, 40, 0], 10), boxAt([0, 0, 0], [6, 8, 5]))).toBeCloseTo(30, 9);
    expect(gap(ballAt([0, 0, 0], 10), ballAt([0, 0, 0], 5))).toBe(-15);
    expect(gapPlace(ballAt([1, 2, 3], 10), ballAt([1, 2, 3], 5))).toEqual([1, 2, 3]);
    const ground: Shape = { as: 'ground', rear: [0, 0, 0], front: [1000, 0, 0] };
    expect(gap(rodFrom([0, 0, 50], [100, 0, 30], 10), ground)).toBeCloseTo(20, 2);
  });
  it('of a rod are those of its nearest place, and never under what is told quickly', () => {
    fc.assert(
      fc.property(rod, bulging, (one, other) => {
        const found = gap(one, other);
        expect(leastPossible(one, other)).toBeLessThan(found + 1e-6);
        for (let i = 0; i <= 20; i += 1) {
          const at = along(one.from, subtract(one.to, one.from), i / 20);
          // The search ends within a fifth of a thousandth of the rod's length.
          expect(distanceTo(other, at) - one.radius).toBeGreaterThan(
            found - 2e-4 * distance(one.from, one.to) - 1e-6,
          );
        }
      }),
    );
  });
  it('lie half way between the two surfaces', () => {
    const at = gapPlace(ballAt([0, 0, 0], 10), ballAt([100, 0, 0], 30));
    expect(at[0]).toBeCloseTo(40, 9);
    const onBox = gapPlace(rodFrom([-50, 0, 60], [50, 0, 60], 10), boxAt([0, 0, 0], [20, 20, 20]));
    expect(onBox[2]).toBeCloseTo(35, 3);
  });
});

describe('bounds', () => {
  it('hold all their points, and what they tell apart is apart', () => {
    fc.assert(
      fc.property(
        fc.array(point, { minLength: 1, maxLength: 6 }),
        fc.array(point, { minLength: 1, maxLength: 6 }),
        size,
        (a, b, by) => {
          const [one, other] = [boundsOf(a), boundsOf(b)];
          expect(a.some((each) => outside(each, one))).toBe(false);
          if (apart(one, other, by))
            for (const p of a) for (const q of b) expect(distance(p, q)).toBeGreaterThan(by);
          expect(apart(one, other, by)).toBe(apart(other, one, by));
          const clear = [0, 1, 2].some(
            (axis) =>
              Math.max(...a.map((each) => each[axis]!)) + by < Math.min(...b.map((each) => each[axis]!)) ||
              Math.max(...b.map((each) => each[axis]!)) + by < Math.min(...a.map((each) => each[axis]!)),
          );
          expect(apart(one, other, by)).toBe(clear);
        },
      ),
    );
  });
  it('just inside and just outside of a margin', () => {
    const one = boundsOf([[0, 0, 0]], 5);
    expect([outside([5, 0, 0], one), outside([5.001, 0, 0], one), outside([7, 0, 0], one, 2)]).toEqual([
      false,
      true,
      false,
    ]);
    for (const [axis, way] of [0, 1, 2].flatMap((axis) => [-1, 1].map((way) => [axis, way] as const))) {
      const at = (by: number) => [0, 1, 2].map((each) => (each === axis ? way * by : 0)) as unknown as Vector;
      const other = boundsOf([at(10)]);
      expect([4.999, 5, 5.001].map((by) => apart(one, other, by))).toEqual([true, false, false]);
      expect([6.999, 7, 7.001].map((by) => outside(at(by), one, 2))).toEqual([false, false, true]);
    }
    expect(boundsOf([])).toEqual({
      low: [Infinity, Infinity, Infinity],
      high: [-Infinity, -Infinity, -Infinity],
    });
  });
});
