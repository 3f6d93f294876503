import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { editableAngle, formatAngle, parseAngle } from './angle.js';
import { librarySection } from '../frame/library.js';
import { sectionLabel, sectionText } from '../frame/sectionText.js';
import { editableMass, formatMass, massBothWays, parseMass, POUND } from './mass.js';
import { editableLength, formatLength, parseLength, type LengthDisplay } from './length.js';

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
  ])('%s is %d mm, whatever the display unit', (text, millimetres) => {
    expect(read(text, 'mm')).toBeCloseTo(millimetres, 9);
  });

  it('takes a bare decimal in the build’s own unit', () => {
    expect(read('25', 'mm')).toBe(25);
    expect(read('.083', 'inch')).toBeCloseTo(2.1082, 9);
    expect(read('648mm', 'fraction')).toBe(648);
  });

  it.each(['', 'abc', '12 apples', '1,080', '3/0', '2 5/4', '--3', '1.2.3', '12 mm mm'])(
    'refuses “%s” in words',
    (text) => {
      expect(read(text)).toBeTypeOf('string');
    },
  );

  it('sets fractions reduced, to the finest shown', () => {
    const display: LengthDisplay = { length: 'fraction', denominator: 32 };
    expect(formatLength(647.7, display)).toBe('25 1/2 in');
    expect(formatLength(-4.7625, display)).toBe('−3/16 in');
    expect(formatLength(25.39, display)).toBe('1 in');
    // Too small for the finest fraction: a decimal, rather than a wrong fraction.
    expect(formatLength(-0.1, display)).toBe('−0.004 in');
    expect(formatLength(0.9, display)).toBe('0.035 in');
    expect(formatLength(0.001, display)).toBe('0 in');
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
  ])('%s', (text, degrees) => expect(parseAngle(text)).toEqual({ ok: true, value: degrees }));

  it.each(['', 'steep', `72° 75'`, '7..2'])('refuses “%s”', (text) =>
    expect(parseAngle(text).ok).toBe(false),
  );

  it('shows no more than is worth showing, and never a minus nought', () => {
    expect(formatAngle(72.50001)).toBe('72.5°');
    expect(formatAngle(-0.001)).toBe('0°');
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
  });
  it.each(['', 'heavy', '12 stone', '1,080'])('refuses “%s” in words', (text) =>
    expect(parseMass(text)).toMatchObject({ ok: false, message: expect.any(String) }),
  );
});
