import fc from 'fast-check';
import { mat4, vec3 } from 'gl-matrix';
import { describe, expect, it } from 'vitest';
import {
  add,
  along,
  cross,
  distance,
  dot,
  length,
  mirror,
  scale,
  squareTo,
  subtract,
  turn,
  unit,
  type Vector,
} from './vector.js';

const part = fc.double({ min: -1000, max: 1000, noNaN: true });
const vector = fc.tuple(part, part, part) as fc.Arbitrary<Vector>;
const direction = vector.filter((each) => Math.hypot(...each) > 1).map(unit);

const same = (found: Vector, wanted: ArrayLike<number>, digits = 6) =>
  found.forEach((each, axis) => expect(each).toBeCloseTo(wanted[axis]!, digits));
// gl-matrix reckons in whatever array it is given: in doubles here.
const out = (): vec3 => [0, 0, 0];

describe('vectors', () => {
  it('agree with a general library', () => {
    // Source: gl-matrix.
    fc.assert(
      fc.property(vector, vector, part, (a, b, amount) => {
        const [p, q] = [[...a] as vec3, [...b] as vec3];
        same(add(a, b), vec3.add(out(), p, q));
        same(subtract(a, b), vec3.subtract(out(), p, q));
        same(scale(a, amount), vec3.scale(out(), p, amount));
        same(cross(a, b), vec3.cross(out(), p, q));
        same(along(a, b, amount), vec3.scaleAndAdd(out(), p, q, amount));
        expect(dot(a, b)).toBeCloseTo(vec3.dot(p, q), 6);
        expect(length(a)).toBeCloseTo(vec3.length(p), 9);
        expect(distance(a, b)).toBeCloseTo(vec3.distance(p, q), 9);
        expect(mirror(a)).toEqual([a[0], -a[1], a[2]]);
      }),
    );
  });
  it('turn right-handed about an axis', () => {
    // Source: gl-matrix's rotation matrices, which hold single precision.
    fc.assert(
      fc.property(vector, direction, fc.double({ min: -720, max: 720, noNaN: true }), (a, axis, degrees) => {
        const rotation = mat4.fromRotation(mat4.create(), (degrees * Math.PI) / 180, [...axis] as vec3)!;
        same(turn(a, axis, degrees), vec3.transformMat4(out(), [...a] as vec3, rotation), 1);
      }),
    );
    same(turn([1, 0, 0], [0, 0, 1], 90), [0, 1, 0], 12);
    same(turn([0, 1, 5], [0, 0, 1], 180), [0, -1, 5], 12);
  });
  it('the part square to an axis is square to it, and what was taken off lies along it', () => {
    fc.assert(
      fc.property(vector, direction, (a, axis) => {
        const square = squareTo(a, axis);
        expect(dot(square, axis)).toBeCloseTo(0, 6);
        expect(length(cross(subtract(a, square), axis))).toBeCloseTo(0, 6);
      }),
    );
  });
  it('a direction is one long, and needs two different points', () => {
    fc.assert(
      fc.property(direction, (each) => {
        expect(length(each)).toBeCloseTo(1, 12);
      }),
    );
    same(unit([0, -5, 0]), [0, -1, 0], 12);
    same(unit([1.1e-12, 0, 0]), [1, 0, 0], 9);
    expect(() => unit([0.9e-12, 0, 0])).toThrow(RangeError);
    expect(() => unit([Number.NaN, 0, 0])).toThrow('A direction needs two different points.');
  });
});
