import { describe, expect, it } from 'vitest';
import { parseLength } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { DEMO } from '../../../../testing/demo.js';
import { sourceOf } from '../../../../testing/source.js';
import { labelWords } from '../labels/labels.js';
import { cutListTable } from '../lists/cutList.js';
import type { Mark } from '../drawing.js';
import { flatParts, outlineShape } from './outlines.js';

/** Half of what a caliper reads in inches, mm. */
const READ = 0.0005 * 25.4 + 1e-9;
const sizeIn = (text: string): number => {
  const read = parseLength(text, 'fraction');
  if (!read.ok) throw new Error(`${text}: ${read.message}`);
  return read.value;
};
const textsOf = (marks: readonly Mark[]): readonly string[] =>
  marks.flatMap((mark) => ('text' in mark ? [mark.text] : []));

const WITH_PLATES = DEMO.filter(({ frame }) => frame.plates.length > 0);
const UNITS: readonly BuildDocument['units'][] = [
  { length: 'fraction', denominator: 16 },
  { length: 'fraction', denominator: 64 },
  { length: 'inch', denominator: 32 },
  { length: 'mm', denominator: 32 },
];

describe('thicknesses on paper, in whatever units a build has', () => {
  it('there are plates to look at, of four-wheelers, too', () => {
    expect(WITH_PLATES.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['kart', 'bicycle']));
  });
  it.each(WITH_PLATES.map((document) => [document.name, document] as const))(
    '%s: label, cut list and outline tell the plate that is to be bought, and not another',
    (_, document) => {
      for (const units of UNITS) {
        const source = sourceOf({ ...document, units });
        const { plan } = source;
        const thickness = new Map(plan.frame.plates.map(({ mark, plate }) => [mark, plate.thickness]));
        const labels = labelWords(source).filter(({ length }) => length.endsWith(' thick'));
        expect(labels).toHaveLength(thickness.size);
        for (const { mark, length } of labels)
          expect(Math.abs(sizeIn(length.replace(' thick', '')) - thickness.get(mark)!)).toBeLessThanOrEqual(
            READ,
          );
        const { rows } = cutListTable(plan, source.document);
        const told = rows.filter((row) => String(row[2]).startsWith('plate '));
        expect(told).toHaveLength(thickness.size);
        for (const row of told)
          expect(
            Math.abs(sizeIn(String(row[2]).replace('plate ', '')) - thickness.get(String(row[0]))!),
          ).toBeLessThanOrEqual(READ);
        for (const part of flatParts(plan)) {
          const texts = textsOf(outlineShape(part, units).marks);
          const thick = texts.find((text) => text.endsWith(' thick'))!;
          expect(
            Math.abs(sizeIn(thick.replace(' thick', '')) - part.thickness),
            part.name,
          ).toBeLessThanOrEqual(READ);
        }
      }
    },
  );
});
