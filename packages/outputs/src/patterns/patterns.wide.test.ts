import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, planMade } from '../../../../testing/made.js';
import { patternSheets, type SheetOptions } from './sheets.js';
import { boxesMeet, boxInside, boxOf } from '../text/place.js';
import { stripsOf } from './strip.js';

const options: SheetOptions = {
  size: 'A4',
  paperThickness: 0.1,
  display: { length: 'mm', denominator: 32 },
  buildName: 'Test',
  revision: 'revision 1, 2026-01-02',
};

describe('sheets of patterns', () => {
  it.each(['A4', 'Letter', 'A3', 'Tabloid'] as const)(
    '%s holds the patterns of every starting set',
    (size) => {
      for (const [kind, set] of EVERY_SET) {
        const { cuts } = planMade(made(kind, set));
        const marks = patternSheets(cuts, { ...options, size }).flatMap((sheet) => sheet.marks);
        const words = new Set(marks.map((mark) => (mark.as === 'text' ? mark.text : '')));
        for (const each of cuts)
          expect(words.has(each.mark), `${kind} ${set} ${each.mark}`).toBe(
            stripsOf(each, options).length > 0,
          );
      }
    },
  );
  it.each([true, false])(
    'words lie on their wrap, and none over “match”; one for each end: %s',
    (separate) => {
      for (const [kind, set] of EVERY_SET)
        for (const cut of planMade(made(kind, set)).cuts)
          for (const { marks } of stripsOf(cut, { ...options, separate, square: true })) {
            const edge = marks.flatMap((mark) =>
              mark.as === 'path' && mark.stroke === 'cut' ? mark.points : [],
            );
            const [xs, ys] = [edge.map(([x]) => x), edge.map(([, y]) => y)];
            const paper = {
              ...{ left: Math.min(...xs), right: Math.max(...xs) },
              ...{ top: Math.min(...ys), bottom: Math.max(...ys) },
            };
            const words = marks.flatMap((mark) => (mark.as === 'text' ? [mark] : []));
            const match = words.find(({ text }) => text === 'match');
            for (const each of words) {
              const where = `${kind} ${set} ${cut.mark}: ${each.text}`;
              expect(boxInside(boxOf(each), paper), where).toBe(true);
              if (match && each !== match) expect(boxesMeet(boxOf(match), boxOf(each)), where).toBe(false);
            }
          }
    },
  );
});
