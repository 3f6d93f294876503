import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatLength } from '@larchwood/core';
import { axisTicks } from './axisText';

const length = { quantity: 'length' } as const;

describe('ticks of an axis', () => {
  it('are round in the unit that is shown', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -800, max: 800, noNaN: true }),
        fc.double({ min: 5, max: 600, noNaN: true }),
        fc.constantFrom(16 as const, 32 as const, 64 as const),
        (low, span, denominator) => {
          const inches = axisTicks(length, { length: 'fraction', denominator }, low, low + span, 6);
          expect(inches.length).toBeLessThanOrEqual(8);
          const steps = inches.slice(1).map((tick, index) => (tick - inches[index]!) / 25.4);
          for (const step of steps) expect(step).toBeCloseTo(steps[0]!, 9);
          // Of a fraction only halves of halves; each reads as it stands.
          if (steps[0] !== undefined && steps[0] < 1)
            expect(Math.log2(steps[0]) - Math.round(Math.log2(steps[0]))).toBeCloseTo(0, 9);
          for (const tick of inches) {
            const text = formatLength(tick, { length: 'fraction', denominator }, 2, true);
            expect(text).not.toMatch(/\./);
          }
          for (const tick of axisTicks(length, { length: 'inch', denominator }, low, low + span, 6))
            expect((tick / 25.4) * 1000 - Math.round((tick / 25.4) * 1000)).toBeCloseTo(0, 6);
        },
      ),
    );
  });
  it('in millimetres and degrees stay as they were', () => {
    expect(axisTicks(length, { length: 'mm', denominator: 32 }, 0, 10, 5)).toEqual([0, 2, 4, 6, 8, 10]);
    expect(axisTicks({ quantity: 'angle' }, { length: 'fraction', denominator: 32 }, 70, 74, 4)).toEqual([
      70, 71, 72, 73, 74,
    ]);
  });
});
