import fc from 'fast-check';
import { shopFaults } from '@larchwood/format';
import { describe, expect, it } from 'vitest';
import { readSections, type BroughtSection } from './sectionTable.js';

describe('a table of tube sections', () => {
  const of = (text: string, unit: 'mm' | 'inch' | 'fraction' = 'mm') => {
    const read = readSections(text, unit);
    if (!read.ok) throw new Error(read.message);
    return {
      sections: read.value.understood.map(({ section }) => section),
      not: read.value.not.map(({ where, why }) => `${where.split(':')[0]!}: ${why}`),
    };
  };
  it('has its units in the heads, in the cells, or is in the build’s own; a gauge is a wall', () => {
    const { sections, not } = of(
      'Name,Shape,OD (in),Height [in],Wall\nrail,round,1 1/4,,0.065 in\nbox,square,1,,1.5 mm\ngate,,2,1,2 mm\n,oval,40 mm,20 mm,1.2',
    );
    expect(not).toEqual([]);
    expect(sections).toEqual([
      { id: 'own-round-31.75x1.65', name: 'rail', shape: 'round', diameter: 31.75, wall: 1.651 },
      {
        ...{ id: 'own-rectangular-25.4x25.4x1.5', name: 'box', shape: 'rectangular' },
        ...{ width: 25.4, height: 25.4, wall: 1.5, corner: 3 },
      },
      {
        ...{ id: 'own-rectangular-50.8x25.4x2', name: 'gate', shape: 'rectangular' },
        ...{ width: 50.8, height: 25.4, wall: 2, corner: 4 },
      },
      {
        id: 'own-oval-40x20x1.2',
        name: '40 × 20 × 1.2 oval',
        shape: 'oval',
        width: 40,
        height: 20,
        wall: 1.2,
      },
    ]);
    // Source: Birmingham gauge 16 is 0.065 in, the sheet standard's 16 is 0.0598 in.
    const gauges = of('form,od,gauge\nround,25,16\nsquare,25,16 ga\nround,25,1.5 mm').sections;
    expect(gauges.map(({ wall }) => wall.toFixed(3))).toEqual(['1.651', '1.519', '1.500']);
    expect(of('od,gauge\n25,99').not[0]).toMatch(/No gauge 99/);
    expect(of('width;height;wall;corner\n40;20;2;3', 'inch').not).toHaveLength(1);
    expect(of('width;height;wall;corner\n40;20;2;3').sections[0]).toMatchObject({ corner: 3 });
    expect(of('shape,diameter,wall\nround,17,8.5').sections[0]).toMatchObject({ name: 'Bar 17', wall: 8.5 });
    expect(of('shape,width,height,wall\noval,17,17,8.5').not[0]).toMatch(/leaves no bore/);
  });
  it('tells each row that is none: why, and where', () => {
    const { sections, not } = of(
      'shape,diameter,wall\nround,25,1\nround,25.0,1.00\nstar,25,1\nround,abc,1\nround,25,12.6\nround,301,2\nround,25,\nround,300,30',
    );
    expect(sections.map(({ id }) => id)).toEqual(['own-round-25x1', 'own-round-300x30']);
    expect(not.map((each) => each.replace(/“.*?”/, '…'))).toEqual([
      'row 3: It is the same as row 2.',
      'row 4: … is no shape: round, square, rectangular or oval.',
      expect.stringMatching(/^row 5: width: /) as string,
      'row 6: Twice the wall leaves no bore. For a solid bar the wall is half the diameter.',
      'row 7: width: between 4 and 300 mm is wanted.',
      expect.stringMatching(/^row 8: wall: /) as string,
    ]);
  });
  it('what is no such table is refused in words', () => {
    for (const text of [
      '',
      'a,b\n1,2',
      'diameter\n25',
      'x'.repeat(5_000_001),
      'wall,od\n' + '1,25\n'.repeat(501),
    ])
      expect(readSections(text, 'mm').ok).toBe(false);
  });
  it('every section that it reads can be kept', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('round', 'square', 'oval', ''),
        fc.integer({ min: 6300, max: 30_000 }).map((value) => value / 100),
        fc.integer({ min: 30, max: 3000 }).map((value) => value / 100),
        fc.string({ maxLength: 90, unit: 'binary' }),
        (shape, width, wall, name) => {
          const quoted = `"${name.replace(/"/g, '""')}"`;
          const read = readSections(`name,shape,width,wall\n${quoted},${shape},${width},${wall}`, 'mm');
          if (!read.ok) throw new Error(read.message);
          const [{ section }] = read.value.understood as [BroughtSection];
          expect(shopFaults('sections', section.id, section)).toEqual([]);
        },
      ),
    ));
});
