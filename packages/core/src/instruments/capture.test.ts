import fc from 'fast-check';
import { mean, sampleStandardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { captured, readInstrumentLine, simulatedReading } from './capture.js';

describe('an instrument', () => {
  it('three readings to one: mean and spread as a statistics package has them; one alone has no spread', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -500, max: 500, noNaN: true }), { minLength: 2, maxLength: 9 }),
        (all) => {
          const { value, spread } = captured(all);
          expect(Math.abs(value - mean(all))).toBeLessThanOrEqual(0.0005 + 1e-9);
          expect(spread!).toBeCloseTo(sampleStandardDeviation(all), 6);
          expect(captured([all[0]!]).spread).toBeUndefined();
        },
      ),
    ));
  it('none is an error', () => expect(() => captured([])).toThrow('Nothing was held.'));
  it.each([
    ['+ 12.34 mm', 'length', 12.34],
    ['-0,5', 'length', -0.5],
    ['0.5 in', 'length', 12.7],
    ['71.9', 'angle', 71.9],
    ['01A +  1.25 deg', 'angle', 1.25],
    ['01A+0012.300', 'length', 12.3],
    ['−3.5°', 'angle', -3.5],
  ] as const)('the line “%s” is %s %d', (line, quantity, value) => {
    const read = readInstrumentLine(line, quantity);
    expect(read.ok && read.value).toBeCloseTo(value, 9);
  });
  it('a line without a number, or with the other quantity, is told', () => {
    expect(readInstrumentLine('ERR', 'length')).toMatchObject({
      ok: false,
      message: expect.stringContaining('no number') as string,
    });
    expect(readInstrumentLine('12 °', 'length')).toMatchObject({
      ok: false,
      message: expect.stringContaining('a length is wanted') as string,
    });
  });
  it('a stand-in shows its truth with noise and offset, in steps of its display', () => {
    const gauge = { truth: 72, noise: 0.2, offset: 0.5, step: 0.1 };
    expect(simulatedReading(gauge, 0)).toBeCloseTo(72.5, 9);
    expect(simulatedReading(gauge, 1)).toBeCloseTo(72.7, 9);
    expect(simulatedReading({ ...gauge, offset: 0, noise: 0 }, 3)).toBeCloseTo(72, 9);
  });
});
