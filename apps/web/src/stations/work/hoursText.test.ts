import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hoursText, parseHours, pauseText } from './hoursText';

const read = (text: string): number | string => {
  const found = parseHours(text);
  return found.ok ? found.value : found.message;
};

describe('hours', () => {
  it.each([
    ['1.5', 1.5],
    [' 1,5 h', 1.5],
    ['2 hours', 2],
    ['90 min', 1.5],
    ['90m', 1.5],
    ['1 h 30', 1.5],
    ['1h30m', 1.5],
    ['1:30', 1.5],
    ['1:05', 1 + 5 / 60],
    ['0', 0],
    ['2000', 2000],
  ])('“%s” is %d', (text, hours) => expect(read(text)).toBeCloseTo(hours, 9));
  it('what is no time is told, with what would be one', () => {
    expect(read('')).toBe('How long does it take?');
    expect(read('soon')).toMatch(/^“soon” is no time: 1\.5, 90 min or 1 h 30\.$/);
    expect(read('-1')).toMatch(/is no time/);
    expect(read('2000.1')).toBe('At most 2000 hours.');
    expect(read('1:300')).toMatch(/is no time/);
  });
  it('are told to five minutes, never as none where there are some', () => {
    expect([0, 0.001, 0.04, 0.05, 0.99, 1, 1.04, 1.05, 1.5].map(hoursText)).toEqual([
      ...['0 h', '5 min', '5 min', '5 min', '1 h', '1 h', '1 h', '1 h 05', '1 h 30'],
    ]);
  });
  it('read back as they are told', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20_000 }), (fives) => {
        const hours = (fives * 5) / 60;
        expect(read(hoursText(hours))).toBeCloseTo(hours, 9);
      }),
    ));
  it('a pause is told as a watch has it', () => {
    expect([0, 0.1, 0.66, 1, 1.25, 1.34, 61].map(pauseText)).toEqual([
      ...['10 s', '10 s', '40 s', '1 min', '1 min 20', '1 min 20', '61 min'],
    ]);
  });
});
