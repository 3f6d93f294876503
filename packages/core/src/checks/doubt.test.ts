import fc from 'fast-check';
import { inverse, Matrix } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { dotOf, gainsOf, growing, settledBy, varianceOf, type Equation } from './doubt.js';

/** Five unknowns, and up to eight equations of them. */
const SIZE = 5;
const value = fc.double({ min: -3, max: 3, noNaN: true });
const row = fc.array(value, { minLength: SIZE, maxLength: SIZE }).map((all) => Float64Array.from(all));
const equations = fc.array(fc.record({ row, sigma: fc.double({ min: 0.05, max: 2, noNaN: true }) }), {
  minLength: 1,
  maxLength: 8,
});
const LOOSE = 4;
/** The same by the normal equations, in the usual form. */
const covarianceOf = (all: readonly Equation[]): Matrix => {
  const normal = Matrix.eye(SIZE, SIZE, 1 / LOOSE ** 2);
  for (const { row: of, sigma } of all)
    normal.add(
      Matrix.columnVector([...of])
        .mmul(Matrix.rowVector([...of]))
        .div(sigma ** 2),
    );
  return inverse(normal);
};
const near = (a: number, b: number) => expect(Math.abs(a - b)).toBeLessThan(1e-6 * Math.max(1, Math.abs(b)));

describe('what equations make of unknowns', () => {
  it('is the same solved for the equations, one by one, and by the normal equations', () =>
    fc.assert(
      fc.property(equations, row, row, (all, one, other) => {
        const covariance = covarianceOf(all);
        const wanted = covariance.mmul(Matrix.columnVector([...one])).to1DArray();
        const grown = growing(SIZE, LOOSE);
        all.forEach(grown.takeIn);
        for (const doubt of [settledBy(all, LOOSE), grown]) {
          doubt.times(one).forEach((got, index) => near(got, wanted[index]!));
          near(dotOf(other, doubt.times(one)), dotOf(one, doubt.times(other)));
          expect(varianceOf(doubt, one)).toBeGreaterThanOrEqual(-1e-9);
        }
        // How far the unknowns are off: covariance by the weighted equations.
        const off = all.map((_, index) => index - 2);
        const right = new Float64Array(SIZE);
        all.forEach(({ row: of, sigma }, index) =>
          of.forEach((each, place) => (right[place]! += (each * off[index]!) / sigma ** 2)),
        );
        const solved = covariance.mmul(Matrix.columnVector([...right])).to1DArray();
        settledBy(all, LOOSE)
          .offBy(off)
          .forEach((got, index) => near(got, solved[index]!));
        // What is left of each equation's own variance: less that of what it is said to be by then.
        all.forEach(({ row: of, sigma }, index) => {
          const said = Matrix.rowVector([...of])
            .mmul(covariance)
            .mmul(Matrix.columnVector([...of]))
            .get(0, 0);
          near(settledBy(all, LOOSE).leftOf(index), sigma ** 2 - said);
        });
      }),
    ));
  it('is what was known before, where nothing was read', () => {
    const one = Float64Array.of(1, 2, 0, 0, 0);
    for (const doubt of [settledBy([], LOOSE), growing(SIZE, LOOSE)])
      expect([...doubt.times(one)]).toEqual([...one].map((each) => each * LOOSE ** 2));
  });
  it('one equation more lessens a variance by what was foretold', () =>
    fc.assert(
      fc.property(equations, row, row, (all, wanted, more) => {
        const [before, after] = [
          settledBy(all, LOOSE),
          settledBy([...all, { row: more, sigma: 0.3 }], LOOSE),
        ];
        const [gain] = gainsOf(before, [wanted], { row: more, sigma: 0.3 });
        near(varianceOf(before, wanted) - varianceOf(after, wanted), gain!);
      }),
    ));
});
