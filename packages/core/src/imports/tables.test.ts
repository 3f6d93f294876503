import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { made } from '../../../../testing/made.js';
import { Planner } from '../plan/planner.js';
import { checkList } from '../plan/stages/checks.js';
import { stanceOf } from '../stance/stance.js';
import { readDimensions } from './dimensions.js';
import { readReadings } from './readings.js';
import { readScales } from './scales.js';

describe('a table of dimensions', () => {
  const touring = made('bicycle', 'touring');
  const read = (text: string, document = touring) => {
    const result = readDimensions(text, document);
    if (!result.ok) throw new Error(result.message);
    return result.value;
  };
  it('mixed units, any case, commas or semicolons: each is held, and the vehicle closes on them all', () => {
    const { understood, not, document } = read(
      'Name;Value;Unit\nhead ANGLE;71.5;deg\nChainstay length;17 1/2;in\nBB drop;7;cm\nTrail;62;mm\n',
    );
    expect(not).toEqual([]);
    const solved = stanceOf(document);
    if (!solved.ok) throw new Error('no stance');
    const { values, held } = solved.stance;
    expect(values.headAngle).toBeCloseTo(71.5, 6);
    expect(values.chainstayLength).toBeCloseTo(444.5, 6);
    expect(values.bottomBracketDrop).toBeCloseTo(70, 6);
    expect(values.trail).toBeCloseTo(62, 6);
    expect(held).toHaveProperty('trail');
    // What had to give way is said, and is none of the table's own.
    const trail = understood.find(({ dimension }) => dimension.id === 'trail')!;
    expect(trail.letGo).toBeDefined();
    expect(['headAngle', 'chainstayLength', 'bottomBracketDrop']).not.toContain(trail.letGo);
  });
  it.each([
    ['semicolons', 'head angle;71,5;deg\nTrail;62,5;mm\n'],
    ['commas, so that a number stands in two cells', 'head angle,71,5,deg\nTrail,62,5,mm\n'],
    ['commas, without units', 'head angle,71,5\nTrail,62,5\n'],
    ['tabs', 'head angle\t71,5\tdeg\nTrail\t62,5\tmm\n'],
  ])('a decimal comma between %s', (_, text) => {
    const { not, understood } = read(text);
    expect(not).toEqual([]);
    expect(understood.map(({ value }) => value)).toEqual([71.5, 62.5]);
  });
  it('a row that is not understood changes nothing and says why', () => {
    const { understood, not, document } = read(
      'head angle,72 mm\nbottom,3\nchainstay length,forty\nbb drop,\ntrail,9000\nhead angle,71\nhead angle,70',
    );
    expect(understood.map(({ dimension }) => dimension.id)).toEqual(['headAngle']);
    expect(document.stance.held.headAngle).toBe(71);
    expect(not.map(({ where }) => /row (\d)/.exec(where)![1])).toEqual(['1', '2', '3', '4', '5', '7']);
    expect(not[0]!.why).toMatch(/angle/);
    expect(not[1]!.why).toMatch(/called that/);
    expect(not[5]!.why).toMatch(/twice/);
  });
  it('nothing, and far too much, are refused', () => {
    expect(readDimensions('', touring)).toMatchObject({ ok: false });
    expect(readDimensions('a,1\n'.repeat(600), touring)).toMatchObject({ ok: false });
  });
  it('any text is read or refused, never thrown, and leaves a vehicle', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom('Trail', 'Head angle', 'wheelbase', 'x'),
            fc.oneof(fc.double().map(String), fc.string({ maxLength: 6 })),
          ),
          { maxLength: 4 },
        ),
        (rows) => {
          const result = readDimensions(rows.map((row) => row.join(',')).join('\n'), touring);
          if (result.ok) expect(stanceOf(result.value.document).ok).toBe(true);
        },
      ),
      { numRuns: 40 },
    ));
});

describe('logs of instruments', () => {
  it('wheel scales: any usual name of a wheel, mixed units, several rows to their mean', () => {
    const kart = made('kart', 'ladder');
    const read = readScales(
      'wheel,weight,unit\nFront left,31.2,kg\nFL,30.8,kg\nright front,68 lb\nRL,44,kg\nrr,43\nspare,9\nrear left,minus',
      kart,
    );
    if (!read.ok) throw new Error(read.message);
    const { understood, not, document } = read.value;
    const loads = document.mass.scales!.level;
    expect(loads.frontLeft).toBeCloseTo(31, 9);
    expect(loads.frontRight).toBeCloseTo(68 * 0.45359237, 3);
    expect([loads.rearLeft, loads.rearRight]).toEqual([44, 43]);
    expect(understood.find(({ wheel }) => wheel === 'frontLeft')!.rows).toBe(2);
    expect(not.map(({ where }) => /row (\d)/.exec(where)![1])).toEqual(['7', '8']);
    expect(readScales('front,20\nrear,30', made('bicycle', 'touring'))).toMatchObject({ ok: true });
  });
  it('readings: by number or name, in the tool’s own unit, several rows with their spread', () => {
    const list = new Planner().ask(checkList, made('bicycle', 'touring'));
    const [first, second] = list.order.frame.map(({ measure }) =>
      list.measures.find(({ id }) => id === measure)!,
    );
    const text = (value: number, { quantity }: { quantity: string }) =>
      quantity === 'angle' ? `${value} deg` : `${value / 25.4} in`;
    const rows = [
      ['No', 'Value'],
      ['1', text(first!.nominal + 1, first!)],
      ['1', text(first!.nominal + 1.2, first!)],
      [second!.name.toUpperCase(), text(second!.nominal, second!)],
      ['999', '1'],
      ['no such thing', '1'],
    ];
    const read = readReadings(
      rows.map((row) => row.map((cell) => `"${cell}"`).join(',')).join('\n'),
      list,
      false,
      'mm',
    );
    if (!read.ok) throw new Error(read.message);
    const { understood, not } = read.value;
    expect(understood[0]!.measure.id).toBe(first!.id);
    expect(understood[0]!.value).toBeCloseTo(first!.nominal + 1.1, 2);
    // Of two that lie 0.2 apart: 0.2 divided by the root of two.
    expect(understood[0]!.spread).toBeCloseTo(0.2 / Math.SQRT2, 3);
    expect(understood[1]!.value).toBeCloseTo(second!.nominal, 2);
    expect(not).toHaveLength(2);
  });
});
