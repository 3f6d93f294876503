import fontkit from '@pdf-lib/fontkit';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { PDFDocument, PDFName } from 'pdf-lib';
import { describe, expect, it } from 'vitest';
import { fixtureDetails } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { DEMO } from '../../../testing/demo.js';
import { planMade } from '../../../testing/made.js';
import { pagesOf, pdfOf } from '../../../testing/pdf.js';
import type { Drawing } from './drawing.js';
import { fixtureOnRoll } from './fixture/fixtureDrawing.js';
import { fixtureSheets } from './fixture/fixtureSheets.js';
import { fullSizeDrawing, planOnRoll } from './fixture/fullSize.js';
import { TRUE_PRINTER } from './paper.js';
import { patternSheets } from './patterns/sheets.js';
import { FACES } from './text/faces.js';
import { LEAST_SIZE, textWidth } from './text/measure.js';
import { boxesMeet, boxInside, boxOf } from './text/place.js';
import { tiled } from './tiles.js';

const REVISION = 'revision 3, 2026-01-02';

/** Every sheet that a build can be printed on: patterns, the fixture, the plan in tiles and along a roll. */
function paperOf(document: BuildDocument): Readonly<Record<string, readonly Drawing[]>> {
  const plan = planMade(document);
  const details = fixtureDetails({ document, ...plan });
  const { units: display } = document;
  const block = { build: plan.name, what: 'plan', revision: REVISION, scale: '1:1', units: 'mm' };
  const sheets = (size: 'A4' | 'Letter') => ({
    [`patterns ${size}`]: patternSheets(plan.cuts, {
      size,
      display,
      paperThickness: 0.1,
      buildName: plan.name,
      revision: REVISION,
    }),
    [`fixture ${size}`]: fixtureSheets(document, plan, details, { size, revision: REVISION }),
    [`plan ${size}`]: tiled(fullSizeDrawing(plan, 60), { size, overlap: 15, block }),
  });
  return {
    ...sheets('A4'),
    ...sheets('Letter'),
    'plan on a roll': [planOnRoll(plan, 60, 914, TRUE_PRINTER, REVISION)],
    'fixture on a roll': [fixtureOnRoll(plan, details, display, 610, TRUE_PRINTER, REVISION)],
  };
}

/** What is wrong with the words of a sheet. */
function faultsOf({ width, height, marks }: Drawing): string[] {
  const page = { left: 0, top: 0, right: width, bottom: height };
  const words = marks.flatMap((mark) => (mark.as === 'text' && mark.text !== '' ? [mark] : []));
  const boxes = words.map(boxOf);
  const faults: string[] = [];
  words.forEach((mark, index) => {
    const box = boxes[index]!;
    if (mark.size < LEAST_SIZE - 1e-9) faults.push(`“${mark.text}” is ${mark.size} mm`);
    if (!boxInside(box, page)) faults.push(`“${mark.text}” runs off the sheet`);
    for (let other = 0; other < index; other += 1)
      if (boxesMeet(box, boxes[other]!, -0.05)) faults.push(`“${mark.text}” is over “${words[other]!.text}”`);
  });
  for (const mark of marks)
    if (
      mark.as === 'path' &&
      mark.points.some(([x, y]) => x < -0.5 || y < -0.5 || x > width + 0.5 || y > height + 0.5)
    )
      faults.push(`a ${mark.stroke} line runs off the sheet`);
  return faults;
}

describe('every sheet of the demo workshop', () => {
  it.each(DEMO.map((document) => [document.name, document] as const))(
    '%s: no words over words, none off the sheet, none too small to read at a bench',
    (_, document) => {
      for (const [name, sheets] of Object.entries(paperOf(document)))
        for (const [index, sheet] of sheets.entries())
          expect(faultsOf(sheet), `${name}, ${index + 1}`).toEqual([]);
    },
  );
});

describe('the letters of paper', () => {
  const outputs = createRequire(import.meta.url);
  it.each(['regular', 'bold'] as const)('are as wide as the %s face says, by a font library', (weight) => {
    const faces = FACES[weight].map((face) => fontkit.create(readFileSync(outputs.resolve(face))));
    for (const letter of 'AWil01½°×–·…Łżøé“') {
      const code = letter.codePointAt(0)!;
      const face = faces.find((each) => each.hasGlyphForCodePoint(code))!;
      const width = face.glyphForCodePoint(code).advanceWidth / face.unitsPerEm;
      expect(textWidth(letter, 1, weight === 'bold'), letter).toBeCloseTo(width, 3);
    }
  });
  it('come with the file, the rarer ones too', async () => {
    const text = (words: string): Drawing => ({
      width: 100,
      height: 20,
      marks: [
        {
          as: 'text',
          at: [5, 10],
          size: 4,
          text: words,
          anchor: 'start',
          bold: false,
          turned: false,
          clear: false,
        },
      ],
    });
    const [page] = await pagesOf([text('Łódź – ½ × Žďár')]);
    expect(page!.text).toContain('Łódź – ½ × Žďár');
  });
});

describe('a page that is longer than a page’s own units allow', () => {
  it('has larger units and says so', async () => {
    const long: Drawing = { width: 6000, height: 600, marks: [] };
    const pdf = await PDFDocument.load(await pdfOf([long]));
    const page = pdf.getPage(0);
    const unit = Number(page.node.get(PDFName.of('UserUnit'))?.toString());
    expect(page.getWidth()).toBeLessThanOrEqual(14400);
    expect((page.getWidth() * unit * 25.4) / 72).toBeCloseTo(6000, 3);
  });
});
