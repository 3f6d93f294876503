import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { editableAngle, formatAngle, parseAngle, toDegrees, toRadians } from './angle.js';
import { librarySection } from '../frame/library.js';
import { ownSection } from '../frame/ownSection.js';
import { sectionLabel, sectionText } from '../frame/sectionText.js';
import { barOf, boredOf } from '../steering/made/pieces.js';
import { editableMass, formatMass, massBothWays, parseMass, POUND } from './mass.js';
import {
  editableLength,
  formatGauge,
  formatLength,
  lengthBothWays,
  lengthText,
  parseLength,
  plainFigure,
  trimZeros,
  type LengthDisplay,
} from './length.js';
import { normaliseTyped, parseDecimal } from './number.js';

const MM: LengthDisplay = { length: 'mm', denominator: 32 };

const read = (text: string, unit: 'mm' | 'inch' | 'fraction' = 'mm') => {
  const result = parseLength(text, unit);
  return result.ok ? result.value : result.message;
};

describe('typed lengths', () => {
  // The forms in which builders write lengths; values by arithmetic, 1 in = 25.4 mm exactly.
  it.each([
    ['25 1/2', 647.7],
    ['25-1/2"', 647.7],
    ['3/16"', 4.7625],
    ['648mm', 648],
    ['64.8 cm', 648],
    [`2' 1.5"`, 647.7],
    ['1 m', 1000],
    ['25½', 647.7],
    ['−12', -12],
    ['25,4', 25.4],
    ['.083 in', 2.1082],
    [`1' 2 1/2"`, 368.3],
    ['2ft', 609.6],
    ['2 ft 1/2', 622.3],
    ['+5 mm', 5],
    ['- 5mm', -5],
    ['5/4', 31.75],
    ['2 31/32"', 75.40625],
  ])('%s is %d mm, whatever the display unit', (text, millimetres) => {
    expect(read(text, 'mm')).toBeCloseTo(millimetres, 9);
  });

  it('takes a bare decimal in the build’s own unit', () => {
    expect(read('25', 'mm')).toBe(25);
    expect(read('.083', 'inch')).toBeCloseTo(2.1082, 9);
    expect(read('648mm', 'fraction')).toBe(648);
  });

  it.each([
    ['', 'Nothing typed.'],
    ['abc', '“abc” is not a length.'],
    [' 12 apples ', '“12 apples” is not a length.'],
    ['1,080', 'may mean 1080 or 1.080'],
    [`1,080'`, 'may mean 1080 or 1.080'],
    [`2' 1,080"`, 'may mean 1080 or 1.080'],
    ['3/0', 'A fraction over 0'],
    [' 2 5/4 ', '“2 5/4”: the fraction after a whole number'],
    ['2 4/4', 'the fraction after a whole number'],
    ['--3', 'is not a length'],
    ['1.2.3', 'is not a length'],
    ['12 mm mm', 'is not a length'],
    ['x5mm', 'is not a length'],
    [`x2'`, 'is not a length'],
  ])('refuses “%s” in words', (text, words) => {
    expect(read(text)).toContain(words);
  });

  it('sets fractions reduced, to the finest shown', () => {
    const display: LengthDisplay = { length: 'fraction', denominator: 32 };
    expect(formatLength(647.7, display)).toBe('25 1/2 in');
    expect(formatLength(-4.7625, display)).toBe('−3/16 in');
    expect(formatLength(25.39, display)).toBe('1 in');
    // Too small for the finest fraction: a decimal, rather than a wrong fraction.
    expect(formatLength(-0.1, display)).toBe('−0.004 in');
    expect(formatLength(0.9, display)).toBe('0.035 in');
    expect(formatLength(0.001, display)).toBe('0 in');
    expect(formatLength(0, display)).toBe('0 in');
    expect(formatLength(-0.001, display)).toBe('0 in');
    expect(formatLength(-25.4, display)).toBe('−1 in');
    expect(lengthText(647.7, { length: 'fraction', denominator: 16 })).toEqual({
      sign: '',
      whole: '25',
      numerator: 1,
      denominator: 2,
      unit: 'in',
    });
  });
  it('sets a decimal where the finest fraction is a tenth of the size off, and a fraction where it is less', () => {
    const display: LengthDisplay = { length: 'fraction', denominator: 16 };
    // 1/16 in is 1.5875 mm: 9 % under 1.7445, 11 % under 1.7837.
    expect(formatLength(1.5875 / 0.91, display)).toBe('1/16 in');
    expect(formatLength(1.5875 / 0.89, display)).toBe('0.07 in');
    // Under 0.0004 in there is nothing to see.
    expect(lengthText(0.0006 * 25.4, display)).toMatchObject({ whole: '0.001' });
    expect(lengthText(0.00039 * 25.4, display)).toMatchObject({ whole: '0' });
    // No more than a thousandth, however many decimals of a millimetre are asked for.
    expect(formatLength(1.234, { ...display, length: 'inch' }, 2)).toBe('0.049 in');
  });
  it('sets millimetres and inches with no more decimals than asked, and never a minus nought', () => {
    expect(lengthText(-25.44, MM)).toEqual({ sign: '−', whole: '25.4', unit: 'mm' });
    expect(formatLength(-0.01, MM)).toBe('0 mm');
    expect(formatLength(25.4, { length: 'inch', denominator: 32 })).toBe('1 in');
    expect(formatLength(647.7, { length: 'inch', denominator: 32 }, 1, true)).toBe('25.5');
    expect(lengthBothWays(150)).toBe('150 mm (5.91 in)');
    expect(lengthBothWays(-0.04)).toBe('0 mm (0 in)');
    expect([plainFigure(-3, 1), plainFigure(0, 2), plainFigure(100, 0)]).toEqual(['−3', '0', '100']);
    expect(['10', '10.00', '10.50', '0.05'].map(trimZeros)).toEqual(['10', '10', '10.5', '0.05']);
  });
  it('an edit field shows a fraction only where it is exact, and the keyboard’s minus', () => {
    const display: LengthDisplay = { length: 'fraction', denominator: 16 };
    expect(editableLength(-19.05, display)).toBe('-3/4');
    expect(editableLength(25.4 / 32, display)).toBe('0.03125');
    expect(editableLength(19.05, { length: 'inch', denominator: 16 })).toBe('0.75');
    expect(editableLength(19.05, MM)).toBe('19.05');
  });
  it('many ways of typing one mark are one', () => {
    expect(normaliseTyped(' 1⁄2″ – 3’ 4MM ')).toBe(`1/2" - 3' 4mm`);
    expect(['½', '¼', '¾', '⅛', '⅜', '⅝', '⅞', '⅓', '⅔'].map((glyph) => read(`${glyph}"`))).toEqual(
      [1 / 2, 1 / 4, 3 / 4, 1 / 8, 3 / 8, 5 / 8, 7 / 8, 1 / 3, 2 / 3].map((part) => part * 25.4),
    );
  });
  it('a decimal is a number throughout, its one comma a decimal mark unless it may part thousands', () => {
    const decimal = (text: string) => {
      const result = parseDecimal(text);
      return result.ok ? result.value : undefined;
    };
    expect([' 25 ', '.083', '-4.5', '+4', '25,4', ',5', '-25,4', '1234,567'].map(decimal)).toEqual([
      25, 0.083, -4.5, 4, 25.4, 0.5, -25.4, 1234.567,
    ]);
    expect(
      ['1,080', '-12,000', '123,456', 'x1,08', '1,08x', '1.2,3', '25x', 'x25', '.', ''].map(decimal),
    ).toEqual(Array(10).fill(undefined));
    expect(parseDecimal('12,5').ok).toBe(true);
    expect(parseDecimal('1,0800').ok).toBe(true);
  });

  it('reads back what an edit field shows, in every unit', () => {
    const displays: LengthDisplay[] = [
      { length: 'mm', denominator: 16 },
      { length: 'inch', denominator: 16 },
      { length: 'fraction', denominator: 64 },
    ];
    fc.assert(
      fc.property(
        fc.double({ min: -3000, max: 3000, noNaN: true }),
        fc.constantFrom(...displays),
        (value, display) => {
          const back = parseLength(editableLength(value, display), display.length);
          return back.ok && Math.abs(back.value - value) < 1e-6;
        },
      ),
    );
  });
});

describe('typed angles', () => {
  it.each([
    ['72.5', 72.5],
    ['72,5°', 72.5],
    ['72 deg', 72],
    [`72° 30'`, 72.5],
    ['-3', -3],
    [`-72° 30'`, -72.5],
    ['72 15', 72.25],
    [`72°  30.5 '`, 72 + 30.5 / 60],
    [`72 ° 59.9'`, 72 + 59.9 / 60],
    ['72°30', 72.5],
  ])('%s', (text, degrees) => expect(parseAngle(text)).toEqual({ ok: true, value: degrees }));

  it.each([
    ['', 'Nothing typed.'],
    [' steep ', '“steep” is not an angle.'],
    [` 72° 60' `, `“72° 60'”: minutes of arc`],
    ['7..2', 'is not a number'],
    ['x72', 'is not an angle'],
    ['72 degx', 'is not an angle'],
    [`x72° 30'`, 'is not an angle'],
    [`72° 30' x`, 'is not an angle'],
  ])('refuses “%s”', (text, words) =>
    expect(parseAngle(text)).toEqual({ ok: false, message: expect.stringContaining(words) }),
  );
  it('of a half turn are pi', () => {
    expect(toRadians(180)).toBe(Math.PI);
    expect(toDegrees(Math.PI / 6)).toBeCloseTo(30, 12);
  });

  it('shows no more than is worth showing, and never a minus nought', () => {
    expect(formatAngle(72.50001)).toBe('72.5°');
    expect(formatAngle(-0.001)).toBe('0°');
    expect(formatAngle(-3.25, 1, true)).toBe('−3.3');
    expect(formatAngle(0)).toBe('0°');
    expect(Number(editableAngle(71.123456789))).toBeCloseTo(71.123456789, 9);
  });
});

describe('sections', () => {
  const inches: LengthDisplay = { length: 'fraction', denominator: 32 };
  // 28.6 is sold as 1 1/8 in; 40 mm is no fraction that a caliper would agree with.
  it.each([
    ['round-28.6x0.9', MM, '28.6 × 0.9', '28.6 × 0.9'],
    ['round-28.6x0.9', inches, '1 1/8 × .035 in', '1 1/8 × .035 in (28.6 × 0.9 mm)'],
    [
      'round-28.6x0.9',
      { length: 'inch', denominator: 32 },
      '1.126 × .035 in',
      '1.126 × .035 in (28.6 × 0.9 mm)',
    ],
    ['round-40x3', inches, '1.575 × .118 in', '1.575 × .118 in (40 × 3 mm)'],
    ['box-25x75x1.6', inches, '.984 × 2.953 × .063 in', '.984 × 2.953 × .063 in (25 × 75 × 1.6 mm)'],
    ['round-1in-x0.083in', inches, '1 × .083 in', '1 × .083 in'],
    ['round-1in-x0.083in', MM, '25.4 × 2.11', '25.4 × 2.11 mm (1 × .083 in)'],
    ['round-31.8x1.2', inches, '1 1/4 × .047 in', '1 1/4 × .047 in (31.8 × 1.2 mm)'],
    ['tapered-19-14x0.8', inches, '3/4 to .551 × .031 in', '3/4 to .551 × .031 in (19 to 14 × 0.8 mm)'],
  ] as const)('%s', (id, display, text, label) => {
    expect(sectionText(librarySection(id), display)).toBe(text);
    expect(sectionLabel(librarySection(id), display)).toBe(label);
  });
  it('of a build’s own go by the name they were given', () => {
    const own = { ...librarySection('round-28.6x0.9'), name: 'From the rack by the door' };
    expect(sectionText(own, inches)).toBe('From the rack by the door');
    // Without a name of its own it goes by its sizes.
    const unnamed = ownSection({ shape: 'rectangular', width: 25.4, height: 50.8, wall: 1.651 });
    expect(sectionText(unnamed, inches)).toBe('1 × 2 × .065 in');
    expect(sectionText(unnamed, MM)).toBe('25.4 × 50.8 × 1.65');
    expect(sectionText(barOf(19.05), inches)).toBe('Bar 3/4 in');
    expect(sectionText(barOf(17), MM)).toBe('Bar 17');
    expect(sectionText({ ...barOf(17), name: 'Silver steel' }, inches)).toBe('Silver steel');
    expect(sectionText(boredOf('boss', 31.75, 15.875), inches)).toBe('1 1/4 × .313 in');
  });
});

describe('masses', () => {
  // 1 lb = 0.45359237 kg, by definition.
  it.each([
    ['82', 82],
    ['82,5 kg', 82.5],
    ['850 g', 0.85],
    ['180 lb', 81.6466266],
    ['180lbs', 81.6466266],
  ])('%s is %d kg', (text, kilograms) => {
    const read = parseMass(text);
    expect(read.ok && read.value).toBeCloseTo(kilograms, 9);
    const again = parseMass(editableMass(kilograms, MM));
    expect(again.ok && Math.abs(again.value - kilograms)).toBeLessThan(0.0005001);
  });
  it('in a build of inches is typed and shown in pounds, and a pound figure stays that figure', () => {
    const inches: LengthDisplay = { length: 'fraction', denominator: 32 };
    const read = parseMass('210', 'lb');
    expect(read).toEqual({ ok: true, value: 210 * POUND });
    expect(editableMass(210 * POUND, inches)).toBe('210');
    expect(formatMass(210 * POUND, inches)).toBe('210 lb');
    expect(formatMass(210 * POUND, MM, 2)).toBe('95.25 kg');
    expect(editableMass(210 * POUND, MM)).toBe('95.254');
    expect(massBothWays(3000)).toBe('3000 kg (6613.9 lb)');
    expect([formatMass(-0.01, MM), formatMass(-2, MM, 0, true)]).toEqual(['0 kg', '−2']);
  });
  it.each([
    ['', 'kg', 'Nothing typed. Type a mass such as 82 or 180 lb.'],
    ['', 'lb', 'Nothing typed. Type a mass such as 180 or 82 kg.'],
    [' heavy ', 'kg', '“heavy” is not a mass. Type one such as 82'],
    ['12 stone', 'lb', 'is not a mass. Type one such as 180'],
    ['x82', 'kg', 'is not a mass'],
    ['1,080', 'kg', 'may mean 1080 or 1.080'],
  ] as const)('refuses “%s” in words', (text, unit, words) =>
    expect(parseMass(text, unit)).toEqual({ ok: false, message: expect.stringContaining(words) }),
  );
});

describe('gauges and plates', () => {
  const fraction: LengthDisplay = { length: 'fraction', denominator: 16 };
  it('a size is a fraction only where it is one: 6 mm is no 1/4 in', () => {
    expect(formatGauge(6, fraction)).toBe('0.236 in');
    expect(formatGauge(6.35, fraction)).toBe('1/4 in');
    expect(formatGauge(1.65, fraction)).toBe('0.065 in');
    expect(formatGauge(3.25, MM)).toBe('3.25 mm');
  });
  it('whatever it is, what is told is the size, to half of what a caliper reads', () => {
    const display = fc.constantFrom<LengthDisplay>(
      ...[16, 32, 64].map((denominator) => ({ length: 'fraction', denominator }) as LengthDisplay),
      { length: 'inch', denominator: 32 },
    );
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 40, noNaN: true }), display, (mm, units) => {
        expect(Math.abs((read(formatGauge(mm, units), 'fraction') as number) - mm)).toBeLessThanOrEqual(
          0.0005 * 25.4 + 1e-9,
        );
      }),
    );
  });
});
