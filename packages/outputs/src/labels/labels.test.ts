import fc from 'fast-check';
import jsQr from 'jsqr';
import { describe, expect, it } from 'vitest';
import { FAMILIES, made } from '../../../../testing/made.js';
import { sourceOf } from '../../../../testing/source.js';
import type { Mark } from '../drawing.js';
import { LEAST_SIZE } from '../text/measure.js';
import { boxesMeet, boxOf } from '../text/place.js';
import { labelSheets, labelWords } from './labels.js';
import { qrMarks } from './qr.js';

/** What an independent reader sees in black areas. */
function read(marks: readonly Mark[], left: number, top: number, size: number): string | undefined {
  const dots = 400;
  const pixels = new Uint8ClampedArray(dots * dots * 4).fill(255);
  const dot = (mm: number) => Math.round((mm / size) * dots);
  for (const mark of marks) {
    if (mark.as !== 'path' || !mark.filled) continue;
    const [[x0, y0], , [x1, y1]] = mark.points as readonly [
      readonly [number, number],
      unknown,
      readonly [number, number],
    ];
    for (let y = dot(y0 - top); y < dot(y1 - top); y += 1)
      for (let x = dot(x0 - left); x < dot(x1 - left); x += 1)
        if (x >= 0 && y >= 0 && x < dots && y < dots)
          pixels.fill(0, 4 * (y * dots + x), 4 * (y * dots + x) + 3);
  }
  return jsQr(pixels, dots, dots)?.data;
}

describe('labels', () => {
  it('a code reads back, by an independent reader, wherever it is printed', () =>
    fc.assert(
      fc.property(fc.webUrl({ size: 'small' }), fc.double({ min: 0, max: 150, noNaN: true }), (text, at) => {
        expect(read(qrMarks(text, [at, 20], 28), at, 20, 28)).toBe(text);
      }),
      { numRuns: 20 },
    ));
  it.each(FAMILIES)('%s, %s: every piece and plate has one, with a code that opens it', (kind, set) => {
    const units = { length: 'fraction', denominator: 64 } as const;
    const source = sourceOf({ ...made(kind, set), units }, { address: 'http://shop.local:4173/builds/abc' });
    const words = labelWords(source);
    const { cuts, frame } = source.plan;
    expect(words.map(({ mark }) => mark)).toEqual([...cuts, ...frame.plates].map(({ mark }) => mark));
    expect(words[0]!.code).toBe(`http://shop.local:4173/builds/abc/joints?piece=${words[0]!.mark}`);
    for (const size of ['A4', 'Letter'] as const) {
      const on = { ...source, document: { ...source.document, paper: { ...source.document.paper, size } } };
      const sheets = labelSheets(on);
      const said = sheets.flatMap(({ marks }) => marks.flatMap((mark) => (mark.as === 'text' ? [mark] : [])));
      for (const { mark } of words) expect(said.some(({ text, bold }) => text === mark && bold)).toBe(true);
      // Words stay on their label: a third of the sheet's width, and clear of the code.
      const third = sheets[0]!.width / 3;
      for (const each of said) {
        const { left, right } = boxOf(each);
        expect(Math.floor(left / third)).toBe(Math.floor((right + 20) / third));
      }
      // The mark and the figure share a line, and leave each other white.
      for (const { marks } of sheets) {
        const large = marks.flatMap((mark) => (mark.as === 'text' && mark.size > LEAST_SIZE ? [mark] : []));
        for (const [index, each] of large.entries())
          for (const other of large.slice(index + 1).filter(({ at }) => at[1] === each.at[1]))
            expect(boxesMeet(boxOf(each), boxOf(other), 1), `${each.text}, ${other.text}`).toBe(false);
      }
    }
  });
});
