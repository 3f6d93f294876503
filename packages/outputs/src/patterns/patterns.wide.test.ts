import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, planMade } from '../../../../testing/made.js';
import { patternSheets, type SheetOptions } from './sheets.js';
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
});
