import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { leastBetween } from './golden.js';
import { rootBetween } from './root.js';

const real = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('where a function is nought, and where it is least', () => {
  it('a cubic with one root is nought there', () => {
    fc.assert(
      fc.property(real(-50, 50), real(0.01, 20), (root, lift) => {
        const f = (x: number) => (x - root) ** 3 + lift * (x - root);
        expect(rootBetween(f, -60, 70)).toBeCloseTo(root, 9);
      }),
    );
  });
  it('without a change of sign the root is taken at the end that is nearer to nought', () => {
    expect(rootBetween((x) => x + 1, 0, 5)).toBe(0);
    expect(rootBetween((x) => x - 9, 0, 5)).toBe(5);
  });
  it('a valley is found to the width asked for, also when it lies at an end', () => {
    fc.assert(
      fc.property(real(-10, 10), real(-4, 4), real(0.5, 4), (bottom, skew, power) => {
        const f = (x: number) => Math.abs(x - bottom) ** power * (x > bottom ? 5 + skew : 5 - skew);
        const within = Math.min(8, Math.max(-8, bottom));
        expect(Math.abs(leastBetween(f, -8, 8, 1e-6) - within)).toBeLessThan(1e-5);
      }),
    );
  });
});
