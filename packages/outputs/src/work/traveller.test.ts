import { describe, expect, it } from 'vitest';
import { balanced, CAUTIONS, Planner, segmentsOf, work } from '@larchwood/core';
import { DEMO } from '../../../../testing/demo.js';
import { sourceOf } from '../../../../testing/source.js';
import type { Words } from '../drawing.js';
import { travellerSheets } from './traveller.js';

describe('the order of work on paper', () => {
  it.each(['Ferry Road tourer', 'Orchard ladder', 'Heron Hill 125'])(
    '%s: every step and every stretch has its line',
    (name) => {
      const document = DEMO.find((each) => each.name === name)!;
      const sheets = travellerSheets(sourceOf(document));
      const words = sheets.flatMap(({ marks }) =>
        marks.filter((mark): mark is Words => mark.as === 'text').map(({ text }) => text),
      );
      const { steps, seams } = new Planner().ask(work, document);
      const stretches = balanced(segmentsOf(seams.filter(({ to }) => to[0] !== 'cap'))).order;
      expect(words.filter((text) => text === '____')).toHaveLength(steps.length + stretches.length);
      const all = words.join(' ');
      for (const step of steps) expect(all, step.id).toContain(step.name.split(' ')[0]!);
      // What can hurt is on the sheet where it applies.
      for (const caution of ['arc', 'fire', 'ride'] as const)
        expect(all.replace(/\s+/g, ' ')).toContain(CAUTIONS[caution].split(' ').slice(0, 4).join(' '));
      // Within the sheet, and none over its foot.
      for (const { width, height, marks } of sheets)
        for (const mark of marks)
          if (mark.as === 'text') {
            expect(mark.at[0]).toBeGreaterThan(0);
            expect(mark.at[0]).toBeLessThan(width);
            expect(mark.at[1]).toBeLessThan(height - 4);
          }
    },
  );
});
