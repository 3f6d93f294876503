import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { LengthDisplay } from '@larchwood/core';
import { angleWithin, lengthWithin, massWithin } from './bounds';
import { readerOf, type FieldQuantity } from './quantities';

const MM: LengthDisplay = { length: 'mm', denominator: 32 };
const DECIMAL: LengthDisplay = { length: 'inch', denominator: 32 };
const FRACTIONS: LengthDisplay = { length: 'fraction', denominator: 32 };
const read = (quantity: FieldQuantity, display: LengthDisplay, text: string): number => {
  const found = readerOf(quantity, display).parse(text);
  if (!found.ok) throw new Error(found.message);
  return found.value;
};

describe('how a quantity is typed', () => {
  it.each([MM, DECIMAL, FRACTIONS])('in $length: what stands in a field reads back as it was', (display) => {
    const quantities = ['length', 'angle', 'mass', 'roundWall', 'boxWall'] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...quantities),
        fc.integer({ min: -9999, max: 99999 }),
        (quantity, hundredths) => {
          // A wall is none below nothing, and a whole number in inches could be a gauge.
          const value = quantity.endsWith('Wall') ? Math.abs(hundredths) / 1000 + 0.01 : hundredths / 100;
          const { editable } = readerOf(quantity, display);
          // A mass is kept to half a thousandth of its unit.
          const within = quantity === 'mass' ? 0.0005001 : 1e-6;
          expect(Math.abs(read(quantity, display, editable(value)) - value)).toBeLessThan(within);
        },
      ),
    );
  });
  it('a press of an arrow key is a millimetre or a 32nd, a tenth of a degree, a kilogram or a pound', () => {
    const step = (quantity: FieldQuantity, display: LengthDisplay) => readerOf(quantity, display).step;
    expect([step('length', MM), step('length', FRACTIONS)]).toEqual([1, 25.4 / 32]);
    expect([step('angle', MM), step('angle', FRACTIONS)]).toEqual([0.1, 0.1]);
    // Source: the international pound, 0.45359237 kg (1959).
    expect([step('mass', MM), step('mass', DECIMAL)]).toEqual([1, 0.45359237]);
    expect(readerOf('mass', FRACTIONS)).toMatchObject({ unit: 'lb', spoken: 'pounds' });
    expect(readerOf('length', DECIMAL)).toMatchObject({ unit: 'in' });
  });
  it('a wall may be told by its gauge, each trade by its own table; a length may not', () => {
    // Source: Birmingham wire gauge, 16 gauge 0.065 in; manufacturers' standard for sheet, 16 gauge 0.0598 in.
    expect(read('roundWall', MM, '16 ga')).toBeCloseTo(0.065 * 25.4, 6);
    expect(read('boxWall', MM, '16 ga')).toBeCloseTo(0.0598 * 25.4, 3);
    expect(readerOf('length', MM).parse('16 ga').ok).toBe(false);
  });
});

describe('bounds', () => {
  const took: number[] = [];
  const take = (value: number) => () => (took.push(value), { ok: true, value: true } as const);
  it('both ends are taken, and just beyond either says between which, in both units', () => {
    for (const value of [10, 20]) expect(lengthWithin(value, [10, 20], take(value)).ok).toBe(true);
    expect(took).toEqual([10, 20]);
    for (const value of [9.999, 20.001, NaN]) {
      const said = lengthWithin(value, [10, 20], take(value));
      expect(said).toMatchObject({ ok: false });
      if (!said.ok) expect(said.message).toMatch(/^Must lie between 10 mm.*in.* and 20 mm.*in.*\.$/);
    }
    const angle = angleWithin(91, [-90, 90], take(91));
    expect(angle.ok ? '' : angle.message).toBe('Must lie between -90° and 90°.'.replace('-', '−'));
    const mass = massWithin(0, [1, 500], take(0));
    expect(mass.ok ? '' : mass.message).toMatch(/kg.*lb/);
    expect(took).toEqual([10, 20]);
  });
});
